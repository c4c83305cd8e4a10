import { describe, expect, it } from 'vitest';
import { readScript, type ReadLine } from '@/core/plain-script';
import { stepsInOrder } from '@/core/plan';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';
import { hands, isAsMeant, type Half } from '../support/hands';

/** The share of lines that were understood as they are meant. */
function shareAsMeant(of: Half | readonly string[]): number {
  let [right, all] = [0, 0];
  for (const hand of hands().filter(({ half, name }) => (typeof of === 'string' ? half === of : of.includes(name)))) {
    const { lines } = readScript(countingIds('h'), hand.lines.map(({ text }) => text).join('\n'));
    all += hand.lines.length;
    right += hand.lines.filter((line, at) => isAsMeant(line, itemAt(lines, at))).length;
  }
  return right / all;
}

describe('ordinary writing in many hands', () => {
  it('is understood as it is meant', () => {
    expect(shareAsMeant('tuned')).toBeGreaterThan(0.97);
  });

  it('is understood in hands that were known when the rules were made', () => {
    expect(shareAsMeant('known')).toBeGreaterThan(0.97);
  });

  it('is understood in the hands that were only read at first, as well as then', () => {
    expect(shareAsMeant(['dictated', 'substitute'])).toBeGreaterThan(0.82);
  });

  it('is understood in hands that were written after the rules and are only read', () => {
    expect(shareAsMeant('kept')).toBeGreaterThan(0.93);
  });

  it('is understood in new hands of the usual forms that nobody read', () => {
    expect(shareAsMeant('usual')).toBeGreaterThan(0.96);
    expect(shareAsMeant('later')).toBeGreaterThan(0.95);
    expect(shareAsMeant('last')).toBeGreaterThan(0.9);
    expect(shareAsMeant('newest')).toBeGreaterThan(0.9);
    expect(shareAsMeant('final')).toBeGreaterThan(0.9);
  });

  it('is understood in the kinds of writing that came last and were only read until then', () => {
    const opened = ['festival', 'stickynotes', 'translated', 'campsite', 'clinic', 'notesapp'];
    expect(shareAsMeant(opened)).toBeGreaterThan(0.95);
  });

  it('is understood in harder hands that nobody read who made a rule, as far as the rules carry', () => {
    expect(shareAsMeant('unread')).toBeGreaterThan(0.84);
  });

  it('is marked where it is not understood, mostly also in hands that are only read', () => {
    const wrong = (half: Half): ReadLine[] =>
      hands()
        .filter((hand) => hand.half === half)
        .flatMap(({ lines }) => {
          const { lines: read } = readScript(countingIds('h'), lines.map(({ text }) => text).join('\n'));
          return read.filter((line, at) => !isAsMeant(itemAt(lines, at), line));
        });
    const marked = (half: Half): number => {
      const all = wrong(half);
      return all.filter(({ unsure }) => unsure).length / all.length;
    };
    expect(marked('tuned')).toBeGreaterThan(0.9);
    expect(marked('known')).toBeGreaterThan(0.85);
    expect(marked('kept')).toBeGreaterThan(0.8);
    expect(marked('unread')).toBeGreaterThan(0.85);
    expect(marked('usual')).toBeGreaterThan(0.9);
    // Of the later ones so few are wrong that what counts is how many are wrong without a mark: three of all.
    const later = hands()
      .filter(({ half }) => half === 'later')
      .flatMap(({ lines }) => lines);
    expect(wrong('later').filter(({ unsure }) => !unsure).length / later.length).toBeLessThan(0.022);
  });

  it('keeps every line, whatever it is taken for', () => {
    for (const { name, lines } of hands()) {
      const { lines: read } = readScript(countingIds('h'), lines.map(({ text }) => text).join('\n'));
      expect(read.map(({ text }) => text.trimEnd()), name).toEqual(lines.map(({ text }) => text)); // prettier-ignore
    }
  });
});

describe('one endless line', () => {
  /** Some of these took longer than anybody waits, twice as long for each mark more. */
  const REPEATED = ['( ', ', ', '. ', '… ', '8 ', 'x8 ', ' - ', '| ', '“', '*', '1:00-', 'in out ', 'each ', '8 a, ', 'x8. A ', '8 times. ', 'a: ']; // prettier-ignore

  it.each(REPEATED)('of nothing but “%s” is read to its end', (mark) => {
    for (const length of [66, 280, 490, 2_900]) {
      const line = mark.repeat(Math.ceil(length / mark.length)).slice(0, length);
      const { lines } = readScript(countingIds('h'), `${line}7\n${line}8`);
      expect(lines).toHaveLength(2);
    }
  });

  it.each([10_000, 100_000])('of %i characters is said, and no name or number', (length) => {
    for (const part of [
      '3-5 times each way, ',
      'a ',
      '(((',
      'in: out: ',
      'half a minute or ',
      'left, then the right ',
    ]) {
      const { plan, lines } = readScript(countingIds('l'), part.repeat(Math.ceil(length / part.length)));
      expect(lines.map(({ kind, unsure }) => [kind, unsure])).toEqual([['said', true]]);
      expect(stepsInOrder(plan).map(({ step }) => step.kind)).toEqual(['talk']);
    }
  });
});

describe('forms of counts, times and sides', () => {
  const read = (text: string) => itemAt(readScript(countingIds('f'), `# Class\n## Main set\n- ${text}`).lines, 2);
  it.each([
    ['Wrists, 3-5 times each way', 'Wrists', { rounds: 4, roundsWithin: [3, 5], sides: 'both-directions' }],
    ['Wrists 3 or 4 times', 'Wrists', { rounds: 3, roundsWithin: [3, 4] }],
    ['Bow once', 'Bow', { rounds: 1 }],
    ['Bow, twice each side', 'Bow', { rounds: 2, sides: 'alternating' }],
    ['Bow (2x)', 'Bow', { rounds: 2 }],
    ['Heel raises 2 x 8', 'Heel raises', { rounds: 16 }],
    ['Arm swings, 40 swings', 'Arm swings', { rounds: 40 }],
    ['The oar, seven or so', 'The oar', { rounds: 7 }],
    ['Palms on the belly, 6 b.', 'Palms on the belly', { rounds: 6 }],
    ['Shoulders x 8 fwd, x 8 bwd', 'Shoulders', { rounds: 8, sides: 'both-directions' }],
    ['Hips, 6 e/w', 'Hips', { rounds: 6, sides: 'both-directions' }],
    ['Ankles 5 e/s', 'Ankles', { rounds: 5, sides: 'alternating' }],
    ['The wave, 5 reps each lead leg', 'The wave', { rounds: 5, sides: 'alternating' }],
    ['Circles with w/ arms x 9', 'Circles with w/ arms', { rounds: 9 }],
    ['One foot 2 x 20s (L then R)', 'One foot', { sides: 'one-then-other', seconds: [40, 30, 60] }],
    ['Sway 1/2 min', 'Sway', { seconds: [30, 23, 45] }],
    ['Sway ½ min', 'Sway', { seconds: [30, 23, 45] }],
    ['Sway 3/4 min', 'Sway', { seconds: [45, 34, 68] }],
    ['Sway 2 ¼ min', 'Sway', { seconds: [135, 101, 203] }],
    ['Shaking, 2½ mins', 'Shaking', { seconds: [150, 113, 225] }],
    ['Slow walk, 5 minutes at your own speed', 'Slow walk', { seconds: [300, 225, 450], ownPace: true }],
    ['Crane, 4 times, low stance for some', 'Crane', { rounds: 4 }],
    ['Hip circles | 8 each way | smooth', 'Hip circles', { rounds: 8, sides: 'both-directions' }],
    ['Three breaths | 3x | together', 'Three breaths', { rounds: 3 }],
    ['Bow, 5 each', 'Bow', { rounds: 5, sides: 'alternating' }],
    ['Oar 3/side', 'Oar', { rounds: 3, sides: 'alternating' }],
    ['Oar 2 ea. side', 'Oar', { rounds: 2, sides: 'alternating' }],
    ['Neck L/R x3', 'Neck', { rounds: 3, sides: 'alternating' }],
    ['Oar x6, changing sides each time', 'Oar', { rounds: 6, sides: 'alternating' }],
    ['Oar x6, switching legs', 'Oar', { rounds: 6, sides: 'alternating' }],
    ['Oar x6, changing slowly', 'Oar', { rounds: 6 }],
    ['Oar x6, alternating', 'Oar', { rounds: 6, sides: 'alternating' }],
    ['Oar, 6 each side in turn', 'Oar', { rounds: 6, sides: 'one-then-other' }],
    ['Ankles, each side, 6', 'Ankles', { rounds: 6, sides: 'alternating' }],
    ['Level 2, 8', 'Level 2', { rounds: 8 }],
    ['Rowing. 10.', 'Rowing', { rounds: 10 }],
    ['Rowing: 10 slowly', 'Rowing', { rounds: 10 }],
    ['Rowing, 5 or 6', 'Rowing', { rounds: 5, roundsWithin: [5, 6] }],
    ['Oar, 4 left, 4 right', 'Oar', { rounds: 4, sides: 'one-then-other' }],
    ['Shoulders 5 forward, 5 back', 'Shoulders', { rounds: 5, sides: 'both-directions' }],
    ['Belly, 3 slow breaths', 'Belly', { rounds: 3 }],
    ['Sway 1:30', 'Sway', { seconds: [90, 68, 135] }],
    ['Sway 1 min 20 s', 'Sway', { seconds: [80, 60, 120] }],
    ['Sway, 1 min and 20 secs', 'Sway', { seconds: [80, 60, 120] }],
    ['Sway 2 min 30', 'Sway', { seconds: [150, 113, 225] }],
    ['Sway a minute and a half', 'Sway', { seconds: [90, 68, 135] }],
    ['Sway 2.5 minutes', 'Sway', { seconds: [150, 113, 225] }],
    ['Sway 1 1/2 min', 'Sway', { seconds: [90, 68, 135] }],
    ['Sway 45s', 'Sway', { seconds: [45, 34, 68] }],
    ['Heron, about 95 seconds each side', 'Heron', { seconds: [190, 143, 285], sides: 'one-then-other' }],
    ['Heron - hold 20 s', 'Heron', { held: true, seconds: [20, 15, 30] }],
    ['Low stance, hold 40 s each side', 'Low stance', { held: true, sides: 'one-then-other', seconds: [80, 60, 120] }],
    ['Ankle circles, 3 each way on each leg', 'Ankle circles', { rounds: 3, sides: 'both-directions-each-side' }],
    ['Hauling the rope, 6', 'Hauling the rope', { rounds: 6 }],
    ['Heel raise, 2 sets of 8 reps', 'Heel raise', { rounds: 16 }],
    ['Sit to stand, 1 set x 6 reps', 'Sit to stand', { rounds: 6 }],
    ['Knee bends, 2 series of 8', 'Knee bends', { rounds: 16 }],
    ['Cloud arms, reps 8-10', 'Cloud arms', { rounds: 9, roundsWithin: [8, 10] }],
    ['One foot 10 s x 3', 'One foot', { seconds: [30, 23, 45] }],
    ["Horse stance 45''", 'Horse stance', { seconds: [45, 34, 68] }],
    ["Horse stance 2'", 'Horse stance', { seconds: [120, 90, 180] }],
    ['Trunk turns 8 reps (4 R / 4 L)', 'Trunk turns', { rounds: 4, sides: 'one-then-other', startSide: 'right' }],
    ['Wrists, 10 inwards, 10 outwards', 'Wrists', { rounds: 10, sides: 'both-directions' }],
    ['Bow, five rounds, start from left', 'Bow', { rounds: 5, startSide: 'left' }],
    ['Rub the kidneys thirty six times', 'Rub the kidneys', { rounds: 36 }],
    ['Press down, three slow ones', 'Press down', { rounds: 3 }],
    ['Arms float x8, breathe in 4 out 5', 'Arms float', { rounds: 8, breath: [4, 5] }],
    ['Arms float x8 (in for four, out for six)', 'Arms float', { rounds: 8, breath: [4, 6] }],
    ['Arms float x8, 4 in / 6 out', 'Arms float', { rounds: 8, breath: [4, 6] }],
    ['Arms float x8, breath 3/5', 'Arms float', { rounds: 8, breath: [3, 5] }],
    ['Arms float, in 4, out 6 times', 'Arms float, in 4, out', { rounds: 6 }],
    ['Sway, a couple of minutes', 'Sway', { seconds: [120, 90, 180] }],
    ['Bow, a couple times', 'Bow', { rounds: 2 }],
    ['Shake, half a dozen times', 'Shake', { rounds: 6 }],
    ['Climb, a dozen in all', 'Climb', { rounds: 12 }],
    ['Bow, eight in all, four each side', 'Bow', { rounds: 4, sides: 'alternating' }],
    ['Horse stance, hold 20 s, twice', 'Horse stance', { held: true, seconds: [40, 30, 60] }],
    ['Ankles 6, same again the other way', 'Ankles', { rounds: 6, sides: 'both-directions' }],
    ['Hips, three times round', 'Hips', { rounds: 3 }],
    ['Oar along the quay (seated) 12', 'Oar along the quay', { rounds: 12 }],
    ['Oar x4, L only', 'Oar', { rounds: 4, sides: 'one-side', startSide: 'left' }],
    ['Oar, 4 times, only on the right', 'Oar', { rounds: 4, sides: 'one-side', startSide: 'right' }],
    ['Oar left arm only x 4', 'Oar', { rounds: 4, sides: 'one-side', startSide: 'left' }],
    ['Turn just a little to the right, 6 times', 'Turn just a little to the right', { rounds: 6 }],
    ['Oar, R then L, 3 of each', 'Oar', { rounds: 3, sides: 'one-then-other', startSide: 'right' }],
    ['“Brush the Water” - 5 times', 'Brush the Water', { rounds: 5 }],
    ['20 sec. to shake out', 'shake out', { seconds: [20, 15, 30] }],
    ['then we’re doing the oar, six times', 'the oar', { rounds: 6 }],
    ['Rowing, 4 tmies', 'Rowing', { rounds: 4 }],
    ['Holding up the lamp', 'Holding up the lamp', {}],
    ['Box breathing 4-4-4-4 x 4', 'Box breathing', { rounds: 4, breath: [4, 4], rests: [4, 4] }],
    ['4-7-8 breath, four rounds', 'breath', { rounds: 4, breath: [4, 8], rests: [7, 0] }],
    ['In 4, hold 2, out 6, 5 rounds', 'Breathing', { rounds: 5, breath: [4, 6], rests: [2, 0] }],
    ['Long exhale (in 4, out 8) 6 rounds', 'Long exhale', { rounds: 6, breath: [4, 8] }],
    ['90-second low stance', 'low stance', { seconds: [90, 68, 135] }],
    ['a 5-minute warm up walk', 'warm up walk', { seconds: [300, 225, 450] }],
    ['Sway 2 → 3 min', 'Sway', { seconds: [150, 120, 180] }],
    ['Cloud hands eight', 'Cloud hands', { rounds: 8 }],
    ['Cloud hands x eight', 'Cloud hands', { rounds: 8 }],
    ['Arms float, approx. 2 min', 'Arms float', { seconds: [120, 90, 180] }],
    ['Arm swings 1m30, loose', 'Arm swings', { seconds: [90, 68, 135] }],
    ['Cloud arms 10 - soft knees', 'Cloud arms', { rounds: 10 }],
    ['(optional) Rowing, 6 each way', 'Rowing', { rounds: 6, sides: 'both-directions' }],
    ['Alternate nostrils, 2 min', 'Alternate nostrils', { seconds: [120, 90, 180] }],
    ['First light: 3 minutes', 'First light', { seconds: [180, 135, 270] }],
    ['Gr. heron, 3x', 'Gr. heron', { rounds: 3 }],
    ['Pushing hands, 2 rounds of 3 minutes', 'Pushing hands', { seconds: [360, 270, 540] }],
    ['Wall push, 10 reps, 2 sets', 'Wall push', { rounds: 20 }],
    ['Hold the moon, 45 s to 1 min', 'Hold the moon', { seconds: [53, 45, 60] }],
    ['Rowing, 6 fwd 6 back - 2 min', 'Rowing', { rounds: 6, sides: 'both-directions', seconds: [120, 90, 180] }],
    ['Ex 2 Rowing, 6 times', 'Rowing', { rounds: 6 }],
    ['Wave, L lead x6, R lead x6', 'Wave', { rounds: 6, sides: 'one-then-other' }],
    ['Lamp as the tide turns', 'Lamp as the tide turns', {}],
    ['I am a lamp', 'I am a lamp', {}],
    ['Both arms up', 'Both arms up', {}],
    ['Level 2 of the lamp', 'Level 2 of the lamp', {}],
  ])('%s', (text, name, counts) => {
    const { words, counts: found } = read(text);
    expect(found).toEqual(counts);
    expect(words).toBe(name);
  });

  it('what stands behind the amounts of a movement, or in a column of its own, is said in it', () => {
    const script =
      '# Class\n## Main set\n- Crane, 4 times, low stance for some\nGull | 6x | inhale up, exhale down | no forcing';
    const [crane, gull] = stepsInOrder(readScript(countingIds('f'), script).plan).map(({ step }) => step);
    expect(crane).toMatchObject({ name: 'Crane' });
    expect(JSON.stringify(crane)).toContain('"text":"low stance for some"');
    expect(gull).toMatchObject({ name: 'Gull', pattern: [{ kind: 'inhale' }, { kind: 'exhale' }] });
    expect(JSON.stringify(gull)).toContain('no forcing');
  });

  it.each([
    ['Cloud sequence\n* gathering, 4x', 'section'],
    ['2. Mobility [10 min]\n2.1 Ankles x 4', 'section'],
    ['A. Preparation\na) Lamp x 3', 'section'],
    ["WU (5')\nLamp x 3", 'section'],
    ['2. Bow, 6 times\n3. Lamp x 3', 'movement'],
    ['*No turning with a new hip*\nLamp x 3', 'said'],
    ['Then a rest of twenty seconds.\nLamp x 3', 'pause'],
    ['give them a twenty second break after the bow\nLamp x 3', 'pause'],
    ['Sit, 3 min\nLamp x 3', 'silence'],
    ['Stand up behind the chair\nLamp x 3', 'transition'],
    ['[pause 5]\nLamp x 3', 'pause'],
  ])('%j is read as a %s', (text, kind) => {
    const { lines } = readScript(countingIds('f'), `# Class\n## First\n- Lamp x6\n${text}`);
    expect(itemAt(lines, 3).kind).toBe(kind);
  });

  it('labels under a movement are its caution, its levels and how it is done seated', () => {
    const { plan } = readScript(
      countingIds('f'),
      '# Class\n## Main set\n- Lamp x6\nCaution: smaller if sore\nLevel 1: hands low\nLevel 2: hands high\nSeated: as it is',
    );
    expect(itemAt(stepsInOrder(plan), 0).step).toMatchObject({
      moments: { caution: 'smaller if sore' },
      levels: [{ lines: ['hands low'] }, { lines: ['hands high'] }],
      seated: 'as it is',
    });
  });
});
