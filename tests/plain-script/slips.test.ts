import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { NEAR_WORDS } from '@/core/plain-script/tokens/near-words';
import { KEY_WORDS } from '@/core/plain-script/tokens/slips';
import { countingIds } from '../support/chance';

/*
 * Slips of the fingers in the words by which a line is read: two letters that have changed places, one missing, one twice,
 * and the key beside the right one. A line with a slip is read as the line without it, and what is named and said keeps it.
 */

const LINES: readonly (readonly [line: string, words: readonly string[]])[] = [
 ['shoulder rolls, 8 times', ['times']], ['ankle circles, 6 each way', ['each', 'way']], ['Polishing the brass, 5 each side', ['each', 'side']], ['pause 20 seconds', ['pause', 'seconds']], ['stand quietly for two minutes', ['stand', 'quietly', 'minutes', 'two']], ['quiet standing 90 seconds', ['quiet', 'standing', 'seconds']], ['Silence 2 minutes', ['Silence', 'minutes']], ['Rowing, eight times', ['eight', 'times']], ['Rowing 3 minutes, own pace', ['minutes', 'pace']], ['Crane, 20 seconds each leg', ['seconds', 'each', 'leg']], ['Rowing, 6 rounds', ['rounds']], ['Rowing, 6 breaths', ['breaths']], ['Rowing, 6 repetitions', ['repetitions']], ['Bow, 4 left, 4 right', ['left', 'right']], ['Bow, 4 alternating sides', ['alternating', 'sides']], ['Wheel, 6 both directions', ['both', 'directions']], ['Rowing twice', ['twice']], ['Rowing, half a minute', ['half', 'minute']], ['hold the ball for 30 seconds', ['hold', 'seconds']], ['inhale up, exhale down', ['inhale', 'exhale']], ['inhale: arms rise', ['inhale']], ['breathe in, arms rise', ['breathe']], ['Closing', ['Closing']], ['Loosening', ['Loosening']], ['Warm up', ['Warm']], ['Main set', ['Main']], ['Welcome', ['Welcome']], ['Settling (3 minutes)', ['Settling', 'minutes']], ['Caution: mind the knees', ['Caution']], ['Level 1: stay low', ['Level']], ['Seated: hands on the lap', ['Seated']], ['Say: soft knees', []], ['Rounds: 5', ['Rounds']], ['Time: 2 minutes', ['Time']], ['start on the left', ['start', 'left']], ['other side', ['other', 'side']], ['round 3: a little lower', ['round']], ['last two: eyes closed', ['last']], ['call back 20 seconds before the end', ['seconds']], ['Feet together', ['together']], ['Sit down', ['down']], ['sit, eyes closed, 3 minutes', ['closed', 'minutes']], ['Cloud hands, five each side', ['five', 'each']], ['Water break, 2 minutes', ['break', 'minutes']], ['thank you all', ['thank']], ['Welcome talk 1 minute', ['Welcome', 'minute']],
]; // prettier-ignore
/** The key to the right of each, or to its left. */
const BESIDE: Readonly<Record<string, string>> = {
  a: 's', b: 'v', c: 'v', d: 's', e: 'r', f: 'g', g: 'f', h: 'j', i: 'o', k: 'l', l: 'k', m: 'n', n: 'm', o: 'p', p: 'o', q: 'w', r: 't',
  s: 'a', t: 'r', u: 'i', v: 'b', w: 'e', y: 'u',
}; // prettier-ignore
/** Words of their own, and slips that may be of two words: “pase” of pause and pace. */
const english = new Set([...NEAR_WORDS, ...KEY_WORDS, 'pase', 'paue', 'ight']);
/** In shorter words only letters that have changed places, or stand twice, are a slip. */
const LETTERS = 4;

function slipsOf(word: string): readonly string[] {
  const found = new Set<string>();
  for (let at = 0; at < word.length; at++) {
    const [before, letter, next, rest] = [word.slice(0, at), word.charAt(at), word.charAt(at + 1), word.slice(at + 2)];
    if (next !== '' && letter !== next) found.add(`${before}${next}${letter}${rest}`);
    found.add(`${before}${letter}${letter}${next}${rest}`);
    if (word.length < LETTERS) continue;
    found.add(`${before}${next}${rest}`);
    const beside = BESIDE[letter.toLowerCase()];
    if (beside !== undefined && at > 0) found.add(`${before}${beside}${next}${rest}`);
  }
  return [...found].filter((slip) => slip !== word && !english.has(slip.toLowerCase()));
}

const BELOW = /^(?:inhale|breathe|Caution|Level|Seated|Say|Rounds|Time|start|other|round|last|call)/;
const PART = /^[A-Z]\w+(?: \w+)?(?: \(.*\))?$/;

/** What a line becomes among others: its kind, amounts and place, and how many steps and parts the class has. */
function readAs(line: string, without: string): string {
  const put = BELOW.test(without) ? `  ${line}` : PART.test(without) ? `\n${line}` : `- ${line}`;
  const script = `Harbour morning, 20 min\n\nWelcome\nGood morning.\n\nMain set\n- Lifting the lamp x8\n- Bow to the tide, 3 each side\n${put}\n- Push the boat x6\n\nThe end\nBye.`;
  const { lines, plan } = readScript(countingIds('s'), script);
  const found = lines.find(({ text }) => text.trim().replace(/^- /, '') === line);
  return [found?.kind, JSON.stringify(found?.counts), JSON.stringify(found?.over), found?.steps, plan.sections.length, plan.sections.map(({ steps }) => steps.length).join()].join(' '); // prettier-ignore
}

describe('slips of the fingers', () => {
  it.each(LINES)('in "%s" change nothing', (line, words) => {
    const meant = readAs(line, line);
    const wrong = words.flatMap((word) =>
      slipsOf(word).filter((slip) => readAs(line.replace(word, slip), line) !== meant),
    );
    expect(wrong).toEqual([]);
  });

  it('are kept where they are named and said', () => {
    const { plan } = readScript(
      countingIds('k'),
      'Class\n\nMain set\n- Stnading at the rail x4\n\nTake it easy on the lfet, Tove and Letf.',
    );
    const [step, talk] = plan.sections.flatMap(({ steps }) => steps);
    expect(step?.name).toBe('Stnading at the rail');
    expect(JSON.stringify(step ?? talk)).toContain('on the lfet, Tove and Letf.');
  });

  it('are kept in words over a silence, over the rounds and at a time', () => {
    const { plan } = readScript(
      countingIds('o'),
      [
        'Class', '', 'Main set',
        '- Rowing x8', '  in: up', '  out: down', '  ruond 3: heavy on the lfet', '  ruonds 5-8: quiteer on the rihgt', '  Inhlae - arms stnad up',
        '- Shake 2 mintues', '  at 30 secnods: stlilness on the lfet',
        '- Silnece 2 minutes', '  Feel the lfet foot.', '  at 30 secnods: Feel the rihgt foot.',
      ].join('\n'),
    ); // prettier-ignore
    const all = JSON.stringify(plan);
    const kept = ['heavy on the lfet', 'quiteer on the rihgt', 'arms stnad up', 'stlilness on the lfet', 'Feel the lfet foot.', 'Feel the rihgt foot.']; // prettier-ignore
    expect(kept.filter((words) => !all.includes(words))).toEqual([]);
    expect(plan.sections.flatMap(({ steps }) => steps)).toHaveLength(3);
  });
});
