/* Lists that are numbered by ordinals, in figures or in words. */

/** "1st: standing, 2 min", "2nd: neck, 3 min". */
const IN_FIGURES = /^(\s*)(\d{1,2})(?:st|nd|rd|th) ?(?:[:.)–-]) ?(?=\p{L})/iu;
const FIGURES_AT_LEAST = 3;

/** Ordinals from one on, one after the other, number a list. */
export function withOrdinalsMarked(lines: readonly string[]): readonly string[] {
  const numbers = lines.flatMap((line) => IN_FIGURES.exec(line)?.[2] ?? []).map(Number);
  if (numbers.length < FIGURES_AT_LEAST || !numbers.every((one, at) => one === at + 1)) return lines;
  return lines.map((line) => line.replace(IN_FIGURES, '$1$2. '));
}

/** "first movement: the tide", "second: turning the wheel", "third: …". */
const IN_WORDS =
  /^(\s*)(?:and )?(?:the |my )?(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|last|final)(?: (?:movement|exercise|one|form|move|piece|posture|thing|up))? ?(?::| [–-]) +(?=\p{L})/iu;
/** One alone may be anything. */
const WORDS_AT_LEAST = 2;

/** Whether several lines are told off in words. */
export function areToldOff(lines: readonly string[]): boolean {
  return lines.filter((line) => IN_WORDS.test(line)).length >= WORDS_AT_LEAST;
}

/** The lines with a mark for such words. */
export function withToldOffMarked(lines: readonly string[]): readonly string[] {
  return lines.map((line) => line.replace(IN_WORDS, '$1- '));
}
