import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import {
  bellyWords,
  breathWords,
  emptyTokens,
  fillTokens,
  instructorSide,
  NO_SPELLING,
  sideWord,
  spelled,
  TERMS,
  termsIn,
  themed,
  TOKENS,
  unknownTokens,
  USUAL_STYLE,
  usualText,
  wayWord,
  withSpelling,
  type Term,
  type TokenFacts,
} from '.';

const FACTS: TokenFacts = {
  movement: 'Heron on the piling',
  nextMovement: 'Rowing home',
  side: 'left',
  otherSide: 'right',
  way: 'clockwise',
  otherWay: 'anticlockwise',
  round: 3,
  rounds: 5,
  roundsLeft: 3,
  count: 3,
  level: 'small',
  minutesLeft: 4,
  in: 'in',
  out: 'out',
  belly: 'the belly widens',
  picture: (name) => (name === 'wave' ? 'tide' : name),
};

describe('tokens', () => {
  it.each([
    ['Turn to the {side}, then the {other side}.', 'Turn to the left, then the right.'],
    ['{side} knee up.', 'Left knee up.'],
    ['Good. {side} knee up.', 'Good. Left knee up.'],
    ['{rounds left} more.', 'Three more.'],
    ['The {nth round} of {rounds} rounds.', 'The third of five rounds.'],
    ['Next, {next movement}. {minutes left} minutes left.', 'Next, Rowing home. Four minutes left.'],
    ['The {picture wave} comes, {way}.', 'The tide comes, clockwise.'],
    ['Breathe {In}, and {out}.', 'Breathe In, and out.'],
    ['{ SIDE } is read as well', 'Left is read as well'],
    ['No {such token} here, {}, or { here', 'No {such token} here, {}, or { here'],
  ])('%s', (text, filled) => {
    expect(fillTokens(text, FACTS)).toBe(filled);
  });

  it('make a plural behind a number of one singular, and no other', () => {
    const one = { ...FACTS, rounds: 1, minutesLeft: 1, roundsLeft: 1 };
    expect(fillTokens('{rounds} rounds, {rounds left} more, {minutes left} minutes.', one)).toBe(
      'One round, one more, one minute.',
    );
    expect(fillTokens('{rounds} breaths and {rounds} dresses', one)).toBe('One breath and one dresses');
  });

  it('tell the unknown, and those that are empty where they stand', () => {
    expect(unknownTokens('{side} {sid} {picture} {picture wave} {sid}')).toEqual(['sid', 'picture']);
    expect(emptyTokens('{side} {round} {movement}', { ...FACTS, side: '', round: 0 })).toEqual(['side', 'round']);
    for (const { token } of TOKENS) if (!token.includes('…')) expect(unknownTokens(token)).toEqual([]);
  });

  it('have usual words, so that time can be kept for them', () => {
    expect(usualText('{rounds} rounds to the {side}')).toBe('Seven rounds to the right');
    for (const { token } of TOKENS) if (!token.includes('…')) expect(usualText(token)).not.toContain('{');
  });
});

describe('style', () => {
  const styled = (part: Partial<typeof USUAL_STYLE>) => ({ ...USUAL_STYLE, ...part });

  it.each([
    ['mirror', 'left', 'left', 'right'],
    ['own', 'left', 'left', 'left'],
    ['marks', 'right', 'door side', 'left'],
    ['none', 'right', 'other', 'right'],
  ] as const)('%s: the follower’s %s is said “%s”, and the instructor moves the %s', (sides, side, word, moves) => {
    const style = styled({ sides, leftMark: 'window side', rightMark: 'door side' });
    expect(sideWord(side, style, side === 'left')).toBe(word);
    expect(instructorSide(side, style)).toBe(moves);
  });

  it('turn circles round in a mirror, and name none where no side is named', () => {
    expect(wayWord('one-way', 'right', styled({ circles: 'above' }))).toBe('clockwise');
    expect(wayWord('other-way', 'right', styled({ circles: 'above' }))).toBe('anticlockwise');
    expect(wayWord('one-way', 'right', styled({ circles: 'mirror' }))).toBe('anticlockwise');
    expect(wayWord('other-way', 'left', styled({ sides: 'none' }))).toBe('the other way');
  });

  it('give the breath its words', () => {
    expect(breathWords(styled({ breath: 'nose-mouth', outBreath: 'long' }), true)).toEqual({
      in: 'in through the nose',
      out: 'slowly out through the mouth',
    });
    expect(breathWords(styled({}), false)).toEqual({ in: 'in', out: 'out' });
    expect(bellyWords(styled({}), 'inhale')).toBe('the belly widens');
    expect(bellyWords(styled({ belly: 'reversed' }), 'inhale')).toBe('the belly draws in');
    expect(bellyWords(styled({ belly: 'reversed' }), 'exhale')).toBe('the belly widens');
  });
});

describe('terms', () => {
  it('are found by any spelling, the longest first', () => {
    expect(termsIn('Tai chi and Qi gong; the dan-tien. Chi, and charity.').map(({ variant }) => variant)).toEqual([
      'tai chi',
      'qi gong',
      'dan tien',
      'chi',
    ]);
  });

  it('are written as one, capitals kept, and others left alone', () => {
    expect(withSpelling('Chi rises. Tai chi, and chi.', 'breath-energy', 'qi', [])).toBe('Qi rises. Tai chi, and qi.');
    for (const { term, variants } of TERMS) {
      for (const variant of variants.filter((one) => one !== 'song' && one !== 'sung')) {
        expect(withSpelling(`the ${variant} here`, term, itemAt(variants, 0), [])).toBe(`the ${variants[0]} here`);
      }
    }
  });
});

describe('a studio’s spelling', () => {
  it('is followed for the terms chosen, and leaves the others as written', () => {
    const spelling = { chosen: { 'breath-energy': 'chi', 'lower-belly': 'dan tien' }, own: [] };
    expect(spelled('Qi gathers in the Dantian. Qigong, and qi.', spelling)).toBe(
      'Chi gathers in the Dan tien. Qigong, and chi.',
    );
    expect(spelled('Qi.', NO_SPELLING)).toBe('Qi.');
  });

  it('knows terms of the studio’s own, with whatever marks they have', () => {
    const own: Term[] = [
      { term: 'own-1', variants: ['lu (the way)', 'Loo'], misheard: ['loom'], known: false },
      { term: 'own-2', variants: ['slack step', 'slack stepping'], misheard: [], known: true },
    ];
    expect(termsIn('Loo, then slack stepping; a loose chi.', own).map(({ term }) => term)).toEqual([
      'own-1',
      'own-2',
      'breath-energy',
    ]);
    expect(spelled('Loo and looms, LOO.', { chosen: { 'own-1': 'lu (the way)' }, own })).toBe(
      'Lu (the way) and looms, Lu (the way).',
    );
  });
});

describe('themes', () => {
  const theme = { id: 't', name: 'Garden', words: [{ plain: 'Raising the lamp', themed: 'Lifting the lantern' }] };

  it('swap names, and leave what they do not name', () => {
    expect(themed(theme, 'raising the lamp ')).toBe('Lifting the lantern');
    expect(themed(theme, 'Rowing home')).toBe('Rowing home');
    expect(themed(null, 'Raising the lamp')).toBe('Raising the lamp');
  });
});
