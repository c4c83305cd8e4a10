import { describe, expect, it } from 'vitest';
import { readScript, type Counts } from '@/core/plain-script';
import { itemAt } from '@/core/units';
import { countingIds } from '../support/chance';

/*
 * A step told in a sentence: a hundred ways to come to it, names with and without capitals, amounts of six kinds. What is
 * asked is the name by itself and its amount.
 */

const FRAMES = [
  '{N} comes next, {A}.',
  'Next comes {N}, {A}.',
  'Next up is {N}, {A}.',
  'The next one is {N}, {A}.',
  'The first form is {N}, {A}, the breath slow and easy.',
  'For the middle of the class I like {N}, {A}.',
  'We do {N}, {A}.',
  'We do {N} {A}.',
  'We then do {N} {A}, nice and slow.',
  'Then we do {N} {A}.',
  'Then {N}, {A}.',
  'After that {N}, {A}.',
  'After that it is {N}, {A}.',
  'After that we move into {N}, {A}.',
  'This is followed by {N}, {A}.',
  'Followed by {N}, {A}.',
  'I follow with {N}, {A}.',
  'I usually do {N} here, {A}.',
  'I usually do {N}, {A}.',
  'I like to do {N} {A}.',
  'I lead {N}, {A}.',
  'I teach {N}, {A}.',
  'I show {N} once, then we do it {A}.',
  'Show {N} once, then {A} together.',
  'Everyone does {N}, {A}.',
  'Have them do {N}, {A}.',
  'Let them do {N}, {A}.',
  'Get them to do {N} {A}.',
  'Take them through {N}, {A}.',
  'Lead them through {N} {A}.',
  'Go through {N} {A}.',
  'Go into {N}, {A}.',
  'Move on to {N}, {A}.',
  'Moving on to {N}, {A}.',
  'Continue with {N}, {A}.',
  'Carry on with {N}, {A}.',
  'Start with {N}, {A}.',
  'We start with {N}, {A}, to wake everyone up.',
  'Begin with {N}, {A}.',
  'Finish with {N}, {A}.',
  'End on {N}, {A}.',
  'We end with {N}, {A}, very softly.',
  'To warm up, {N}, {A}.',
  'As a warm up, {N}, {A}.',
  'To finish, {N}, {A}.',
  'Now {N}, {A}.',
  'Now for {N}, {A}.',
  'Now it is time for {N}, {A}.',
  'Time for {N}, {A}.',
  'Practise {N}, {A}.',
  'Repeat {N}, {A}.',
  'Perform {N} {A}.',
  '{N}: {A}.',
  '{N} – {A}',
  '{N} is done {A}.',
  '{N} is repeated {A}.',
  '{N}, which we do {A}.',
  '{N}, and we do it {A}.',
  '{N}. Do this {A}.',
  '{N}. {A}.',
  '{N}, repeated {A}.',
  '{N} {A}, please.',
  'Please do {N}, {A}.',
  'Could you do {N}, {A}?',
  'Maybe {N}, {A}?',
  'Perhaps {N}, {A}, if there is time.',
  'If there is time, {N}, {A}.',
  'When they are warm, {N}, {A}.',
  'Once they are warm we do {N}, {A}.',
  'The main thing is {N}, {A}.',
  'The main part is {N}, {A}.',
  'Our main exercise today is {N}, {A}.',
  'Today we learn {N}, {A}.',
  'Today’s new one is {N}, {A}.',
  'New today: {N}, {A}.',
  'In the middle there is {N}, {A}.',
  'There is {N}, {A}.',
  'They love {N}, so we do it {A}.',
  'They know {N} already, so {A} is enough.',
  'I want to see {N}, {A}.',
  'I put in {N}, {A}.',
  'I add {N}, {A}.',
  'You do {N}, {A}.',
  'You lead {N}, {A}, they know it.',
  'Standing, {N}, {A}.',
  'Sitting down, {N}, {A}.',
  'Still standing, {N}, {A}.',
  'With the feet wide, {N}, {A}.',
  'Slowly, {N}, {A}.',
  'Very gently {N}, {A}.',
  'All together {N}, {A}.',
  'Together we do {N}, {A}, and then we rest.',
  '{A}: {N}.',
  '{A} of {N}.',
  '{A}, {N}.',
  'Do {N}, {A}, then shake out.',
  '{N}, {A}, as usual.',
  '{N} again, {A}.',
  'Once more {N}, {A}.',
  '{N}, {A}, and breathe out each time.',
];
const AMOUNTS: Readonly<Record<string, (counts: Counts) => boolean>> = {
  'six times': ({ rounds }) => rounds === 6,
  '6 times': ({ rounds }) => rounds === 6,
  'four times on each side': ({ rounds, sides }) => rounds === 4 && sides !== undefined,
  'for two minutes': ({ seconds }) => seconds?.[0] === 120,
  'about three minutes': ({ seconds }) => seconds?.[0] === 180,
  'eight to ten times': ({ roundsWithin }) => roundsWithin?.join() === '8,10',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const bare = (name: string): string => name.toLowerCase().replace(/^the /, '');

interface Told {
  readonly line: string;
  readonly right: boolean;
  readonly unsure: boolean;
}

function told(names: readonly string[]): Told[] {
  return FRAMES.flatMap((frame) =>
    names.flatMap((name) =>
      Object.entries(AMOUNTS).map(([amount, isAmount]): Told => {
        const first = frame.startsWith('{A}') || frame.includes('. {A}');
        const line = frame.replace('{N}', name).replace('{A}', first ? capital(amount) : amount);
        const { lines } = readScript(countingIds('s'), ['Class', '', 'Lift the Water x6', line].join('\n'));
        const { kind, words, counts, unsure } = itemAt(lines, 3);
        return { line, right: kind === 'movement' && bare(words) === bare(name) && isAmount(counts), unsure };
      }),
    ),
  );
}

describe.each([
  ['with capitals', ['Folding the Sail', 'Turning to the Lighthouse', 'Cloud Hands'], 0.99],
  ['without capitals', ['shoulder rolls', 'the cloud hands', 'swinging the arms'], 0.94],
] as const)('a name %s in a sentence', (_, names, share) => {
  const all = told(names);

  it('is found with its amount', () => {
    expect(all.filter(({ right }) => right).length / all.length).toBeGreaterThanOrEqual(share);
  });

  it('is marked where it is not', () => {
    const silent = all.filter(({ right, unsure }) => !right && !unsure);
    expect(silent.length / all.length).toBeLessThan(0.01);
  });
});
