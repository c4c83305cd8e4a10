/** How many window widths there are, from the letter alone to four letters on either side. */
export const WINDOWS = 9;

/**
 * The letters around `at`, as `left.letter.right` with `_` for the edge of the word. Width 0 is the letter alone;
 * each further width takes one more letter, right first, then left.
 */
export function windowOf(word: string, at: number, width: number): string {
  const right = (width + 1) >> 1;
  const left = width >> 1;
  let key = '';
  for (let i = at - left; i < at; i++) key += i < 0 ? '_' : word[i];
  key += '.' + word[at] + '.';
  for (let i = at + 1; i <= at + right; i++) key += i >= word.length ? '_' : word[i];
  return key;
}
