import { describe, expect, it } from 'vitest';
import { withoutFrame } from './frames';

describe('a sentence that tells of a step', () => {
  it.each([
    ['You begin by standing still for about a minute.', 'standing still for about a minute.'],
    ['Then I had them circle the wrists ten times.', 'circle the wrists ten times.'],
    ['We sat quietly for five minutes.', 'sit quietly for five minutes.'],
    ['Finish on four quiet breaths.', 'four quiet breaths.'],
    ['Follow that with Drawing the Curtain, five per side.', 'Drawing the Curtain, five per side.'],
    ['We finish the middle part with the Pine Tree, twice.', 'the Pine Tree, twice.'],
    ['For Walking in the Mist, take three minutes.', 'Walking in the Mist: three minutes.'],
    ['And five minutes of sitting.', 'five minutes of sitting.'],
  ])('gives up who does it and how they come to it: %s', (sentence, step) => {
    expect(withoutFrame(sentence)).toBe(step);
  });

  it.each([
    ['Next comes Gathering Kelp, which you’ll do six times.', 'Gathering Kelp, six times.'],
    ['Scooping the Sea came next, nine times.', 'Scooping the Sea, nine times.'],
    ['Shape three is the Cormorant, which is held: twenty seconds.', 'the Cormorant, hold twenty seconds.'],
    ['You take four easy breaths before you go on.', 'four easy breaths'],
  ])('gives up what is told behind its name: %s', (sentence, step) => {
    expect(withoutFrame(sentence)).toBe(step);
  });

  it.each([
    'Lifting the lantern, six times',
    'Close the gate, eight times',
    'Is that five times enough?',
    'If your shoulder complains, do it twice.',
    'Don’t do more than four.',
    'I ring the bell once.',
    'We gather in a circle and I ring the bell once.',
    'Everybody for himself, 3 min.',
    `We ${'slowly '.repeat(40)}turn twice.`,
  ])('is none where nothing tells of a step: %s', (line) => {
    expect(withoutFrame(line)).toBeNull();
  });
});
