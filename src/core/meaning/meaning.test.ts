import { describe, expect, it } from 'vitest';
import { claimIn, nameIsSaid, offers, says, saysOrDenies, sidesNamed } from '.';
import { patternsFor } from './meanings';
import { readWords } from './words';

const found = (written: string, text: string): string[] =>
  patternsFor([[written, 'it']])(text).map(({ from, to }) => text.slice(from, to));

describe('the words of a text', () => {
  it('come with their stems, places, sentences and clauses', () => {
    const words = readWords('Lifting the boats, slowly. {side} Breathe!');
    expect(words.map(({ plain }) => plain)).toEqual(['lifting', 'the', 'boats', 'slowly', 'breathe']);
    expect(words.map(({ stem }) => stem)).toEqual(['lift', 'the', 'boat', 'slowli', 'breath']);
    expect(words.map(({ clause }) => clause)).toEqual([0, 0, 0, 1, 2]);
    expect(words.map(({ sentence }) => sentence)).toEqual([0, 0, 0, 0, 1]);
    expect(words.map(({ from, to }) => [from, to])[2]).toEqual([12, 17]);
  });

  it.each([
    ['Never hold the breath.', 'hold', true],
    ['Don’t pull, push or hold it.', 'hold', true],
    ['Do not hurry, hold it.', 'hold', false],
    ['Not only hold it.', 'hold', false],
    ['Do not hurry but hold it.', 'hold', false],
    ['Breathe instead of holding.', 'holding', true],
    ['Lean rather than hold.', 'hold', true],
    ['No. Hold it.', 'hold', false],
    ['Do not hurry, hold it. Pull or push.', 'hold', false],
    ['Do not hurry, hold it, nor anything.', 'hold', true],
  ])('in “%s” %s is denied: %s', (text, word, denied) => {
    expect(readWords(text).find(({ plain }) => plain === word)?.deniedBy !== null).toBe(denied);
  });

  it('know what is only supposed, or found by somebody for themselves', () => {
    const supposed = (text: string) => readWords(text).filter((word) => word.supposed).length;
    expect(supposed('If it hurts, stop.')).toBe(2);
    expect(supposed('Some people find it warm.')).toBe(2);
    expect(supposed('It hurts if you hurry.')).toBe(2);
    expect(supposed('Find your feet.')).toBe(0);
  });
});

describe('a pattern', () => {
  it.each([
    ['hold breath', 'Hold breath, holding breaths', ['Hold breath', 'holding breaths']],
    ['hold breath', 'Hold the breath', []],
    ['hold ..1 breath', 'Hold the breath', ['Hold the breath']],
    ['hold ..1 breath', 'Hold, breath', []],
    ['hold ~1 breath', 'Hold, breath', ['Hold, breath']],
    ['hold ~1 breath', 'Hold. Breath', []],
    ['hold the? breath', 'hold breath hold the breath', ['hold breath', 'hold the breath']],
    ['=hold', 'Holding on, hold', ['hold']],
    ['^fold', 'We fold; fold it', ['fold']],
    ['@pregnant', 'When expecting', ['expecting']],
  ])('“%s” in “%s”', (written, text, wanted) => {
    expect(found(written, text)).toEqual(wanted);
  });

  it('cancels, with a mark before it, what overlaps it and nothing else', () => {
    const find = patternsFor([
      ['bend over', 'fold'],
      ['!knee bend', 'fold'],
      ['bend', 'bow'],
    ]);
    expect(find('The knee bends over the foot; bend over.').map(({ of }) => of)).toEqual(['bow', 'fold', 'bow']);
  });

  it('of an unknown group is no pattern', () => {
    expect(() => patternsFor([['@nowhere', 'it']])).toThrow('no group @nowhere');
  });
});

describe('what a line says', () => {
  it('is said outright, offered, or only spoken of', () => {
    expect(says('Hold the breath.', 'breath-forced')).toBe(true);
    expect(says('Never hold the breath.', 'breath-forced')).toBe(false);
    expect(says('You may want to hold the breath; please don’t.', 'breath-forced')).toBe(false);
    expect(saysOrDenies('Never hold the breath.', 'breath-forced')).toBe(true);
    expect(says('Never fold forward, head hanging low.', 'head-low')).toBe(false);
    expect(says('Fold forward, head hanging low.', 'head-low')).toBe(true);
    expect(says('Do not worry, holding the breath is fine.', 'breath-forced')).toBe(true);
    expect(says('Do not fold forward as though to touch the floor.', 'forward-bend')).toBe(false);
    expect(offers('If you like, use a chair.', 'seat')).toBe(true);
    expect(offers('Nobody sits today.', 'seat')).toBe(false);
    expect(offers('Sit back into your hips.', 'seat')).toBe(false);
    expect(offers('Sit deep in the low horse stance.', 'seat')).toBe(false);
    expect(offers('Sit in a chair, feet flat.', 'seat')).toBe(true);
    expect(offers('Both hands rest on the lower belly.', 'support')).toBe(false);
    expect(offers('The toes may stay down.', 'support')).toBe(true);
  });

  it('claims something in a sentence, of which it gives the place', () => {
    const text = 'Stand well. This heals the liver, they say. Breathe.';
    const claim = claimIn(text);
    expect(claim && text.slice(claim.sentence.from, claim.sentence.to)).toBe('This heals the liver, they say.');
    expect(claim && text.slice(claim.from, claim.to)).toContain('heals');
    expect(claimIn('It does not heal the liver.')).toBeNull();
    expect(claimIn('If it heals the liver, good.')).toBeNull();
    // Cautions, and no claims; what stands behind one is looked at as well.
    for (const caution of ['No deep bends with back pain.', 'Stop at the first pain.', 'Contra: acute back pain'])
      expect(claimIn(caution)).toBeNull();
    for (const promise of [
      'Stop back pain with this one.',
      'No more back pain after this.',
      'Stop the pain at the root.',
      'Avoid surgery with this movement.',
      'No more medicine for back pain with this set.',
      'Pain will leave the body with the breath going out.',
      'Your bones grow long and strong again.',
    ])
      expect(claimIn(promise), promise).not.toBeNull();
    const behind = 'Stop at the first pain. This heals the liver.';
    expect(claimIn(behind)?.sentence).toEqual({ from: 24, to: behind.length });
    expect(claimIn('People with back pain should leave this one out.')).toBeNull();
    expect(claimIn('Let the back pain leave.')).not.toBeNull();
  });

  it('is remembered no longer than there is room, and found again', () => {
    const find = patternsFor([['hold', 'it']]);
    for (let count = 0; count < 20_100; count++) find(`line ${count}`);
    expect(find('hold')).toHaveLength(1);
  });
});

describe('sides', () => {
  it.each([
    ['Left, right, left.', ['left', 'right']],
    ['Right.', ['right']],
    ['Right. And in.', []],
    ['The right one, the left one.', ['right', 'left']],
    ['To the right of the door.', ['right']],
    ['All right, right now, right down.', []],
    ['What is left, and left over, is yours.', []],
    ['The {side} hand.', []],
  ])('in “%s”: %j', (text, sides) => {
    expect(sidesNamed(text)).toEqual(sides);
  });
});

describe('a name', () => {
  it.each([
    ['Hauling the net', 'We haul nets.', true],
    ['Hauling the net', 'The net is wet.', false],
    ['Exercise 4', 'Go on.', true],
    ['Turn the head slowly to look over the shoulder', 'Go on.', true],
  ])('“%s” in “%s”: %s', (name, text, said) => {
    expect(nameIsSaid(name, text)).toBe(said);
  });
});

describe('an apostrophe', () => {
  it.each([
    'I’ll come back.',
    'We’ll be back in the hall on Monday.',
    'I’ll leave you with that.',
    'Come back when the bell rings.',
  ])('makes nobody ill or well: “%s”', (text) => {
    expect(claimIn(text)).toBeNull();
  });
});
