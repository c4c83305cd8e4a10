import type { Caption } from '@/core/interchange';
import type { PracticeSchedule } from '@/core/practice';
import { Random, type Interval, type Seconds } from '@/core/units';

/** What a listening machine does to what was said. */
export interface MachineHabits {
  /** Share of words that are misheard, left out or added. */
  readonly wordErrors: number;
  /** Its times are wrong by as much, either way. */
  readonly timesOff: Seconds;
  /** Of silences of ten seconds and more, the share in which it invents something. */
  readonly invents: number;
}

const OTHER_WORDS = ['the', 'and', 'rich', 'sand', 'bell', 'whether', 'two', 'light', 'hold', 'or', 'in', 'out'];
const INVENTED = ['Thank you.', 'Okay.', 'And that is all for today.', 'Breathe.', 'You.'];

/**
 * Captions as a machine might write them of what was said: words misheard, pieces of one caption and captions run
 * together at will, times rounded to its own idea of them, and words for silence. Seeded. How machines mishear is made
 * up here: common practice, no published source.
 */
export function machineCaptions(
  { said }: Pick<PracticeSchedule, 'said'>,
  { wordErrors, timesOff, invents }: MachineHabits,
  seed: number,
): Caption[] {
  const chance = new Random(seed);
  const off = (): Seconds => timesOff * (2 * chance.next() - 1);
  const captions: Caption[] = [];
  said.forEach((line, at) => {
    const before = said.at(at - 1);
    const quiet = before && at > 0 ? line.startSeconds - before.endSeconds : 0;
    if (before && quiet > 10 && chance.yes(invents)) {
      const startSeconds = before.endSeconds + 4;
      captions.push({ startSeconds, endSeconds: startSeconds + 1.5, text: chance.pick(INVENTED) });
    }
    const text = misheard(line.text, wordErrors, chance);
    if (text === '') return;
    const startSeconds = Math.max(captions.at(-1)?.startSeconds ?? 0, line.startSeconds + off());
    const endSeconds = Math.max(startSeconds + 0.2, line.endSeconds + off());
    const last = captions.at(-1);
    // Lines close to each other run together, as one caption.
    if (last && startSeconds - last.endSeconds < 0.4 && chance.yes(0.4))
      captions[captions.length - 1] = { ...last, endSeconds, text: `${last.text} ${text}` };
    else captions.push({ startSeconds, endSeconds, text });
  });
  return captions;
}

/** Substitutions, deletions and insertions, two to one to one; a machine writes no capitals and few marks. */
function misheard(text: string, errors: number, chance: Random): string {
  return text
    .toLowerCase()
    .replace(/[^a-z' ]/g, '')
    .split(' ')
    .flatMap((word) => {
      if (!chance.yes(errors)) return [word];
      const kind = chance.whole(1, 4);
      if (kind === 1) return [];
      return kind === 2
        ? [word, chance.pick(OTHER_WORDS)]
        : [chance.yes(0.5) ? nearly(word, chance) : chance.pick(OTHER_WORDS)];
    })
    .join(' ');
}

/** A word with one letter changed for another. */
function nearly(word: string, chance: Random): string {
  const at = chance.whole(0, Math.max(0, word.length - 1));
  return `${word.slice(0, at)}${chance.pick([...'aeioustrn'])}${word.slice(at + 1)}`;
}

/** Where a careful ear hears speech: what was said, a few hundredths off. */
export function speechHeard({ said }: Pick<PracticeSchedule, 'said'>, seed: number): (Interval & { likely: number })[] {
  const chance = new Random(seed);
  return said.map(({ startSeconds, endSeconds }) => ({
    startSeconds: startSeconds + 0.06 * (chance.next() - 0.5),
    endSeconds: endSeconds + 0.06 * (chance.next() - 0.5),
    likely: 0.9,
  }));
}
