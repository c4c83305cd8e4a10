/*
 * How learned scores are written down: each word's as a letter, in steps, and those of words and pairs that are present
 * in hundredths.
 */

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const MIDDLE = LETTERS.length / 2;
const STEP = 1.6;
export const PRESENT_FINE = 100;

/** The letter of a score; the nearest there is. */
export function letterOf(score: number): string {
  return LETTERS.charAt(Math.max(0, Math.min(LETTERS.length - 1, MIDDLE + Math.round(score / STEP))));
}

/** The score of a letter. */
export function scoreOfLetter(letter: string): number {
  return (LETTERS.indexOf(letter) - MIDDLE) * STEP;
}
