/* Steps that are told off in words: "first movement: the tide", "second: turning the wheel", "third: …". */

const ORDINAL = '(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|last|final)';
const TOLD_OFF = new RegExp(
  `^(\\s*)(?:and )?(?:the |my )?${ORDINAL}(?: (?:movement|exercise|one|form|move|piece|posture|thing|up))? ?(?::| [–-]) +(?=\\p{L})`,
  'iu',
);
/** One alone may be anything. */
const AT_LEAST = 2;

/** Whether several lines begin so. */
export function areToldOff(lines: readonly string[]): boolean {
  return lines.filter((line) => TOLD_OFF.test(line)).length >= AT_LEAST;
}

/** The lines with a mark for such words. */
export function withOrdinalsMarked(lines: readonly string[]): readonly string[] {
  return lines.map((line) => line.replace(TOLD_OFF, '$1- '));
}
