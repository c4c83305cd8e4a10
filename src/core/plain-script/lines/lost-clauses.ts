import { findCounts } from '../phrases/counts';
import { ITEM } from '../line-kinds/headings';
import type { LineKind } from '../model/model';
import { sentencesOf } from '../layout/paragraphs';
import type { Reading } from '../model/reading';

/*
 * What a reading of a step has no place for: a whole sentence, or what stands apart in one, of whose words none is kept.
 */

const STEPS: ReadonlySet<LineKind> = new Set(['movement', 'silence', 'pause', 'transition', 'talk']);
/** So many words of its own make something that is told. */
const WORDS_FROM = 2;
const LINE_AT_MOST = 500;

/** Words of amounts, sides and ways, of how a plan tells of its steps, and small ones. */
const OF_AMOUNTS = new Set(
  'about above after again all allow along alternate alternately alternating always amount another anticlockwise around back backward backwards before begin beginning begins both breath breaths brief briefly called clockwise close come comes commencing complete continue count counts couple directions direction done dozen double downward each either else ending ends enough every everybody everyone exactly exercise few find finish first follow following follows foot form forward forwards four five six seven eight nine eleven twelve fifteen sixteen eighteen twenty thirty forty fifty sixty ninety hundred from front full goes going half hand hands have having hold holds hour hours instead inward inwards just last lasts leading least left legs less like likes little long longer main many maximum maybe means minimum minute minutes more most movement much name named natural next number often once only opposite other others outward outwards over own pace paces pairs part parts pause people perform performed perhaps piece place please posture quiet rear repeat repeated repeating repeats repetition repetitions reps rest reverse right roughly round rounds same second seconds secs series session sets should side sides silence silent simply slow slowly some speed start started starting starts step steps stretch strokes such swap swapping switch take takes than that their them then there they thing things this three through time times timing tiny together total toward towards turn turns twice until upward usual very want wants ways well what when where which while will with without would years your gently gentle easy approx'.split(
    ' ',
  ),
);

/** Clauses of a line that are in none of its readings, as they stand there. */
export function lostClauses(line: string, readings: readonly Reading[]): readonly string[] {
  if (line.length > LINE_AT_MOST || !readings.some(({ kind }) => STEPS.has(kind))) return [];
  const shown = JSON.stringify(readings).toLowerCase();
  const isLost = (clause: string): boolean => {
    const own = (clause.toLowerCase().match(/\p{L}{4,}/gu) ?? []).filter((word) => !OF_AMOUNTS.has(word));
    if (own.length < WORDS_FROM || own.some((word) => shown.includes(stemOf(word)))) return false;
    return !MEASURED.test(clause) && Object.keys(findCounts(clause).counts).length === 0;
  };
  const [first = line, ...sentences] = sentencesOf(line);
  const lost = sentences.filter(isLost);
  const apart = first.replace(ITEM, '').split(/[,;] | [–—-] |[()]/).slice(1).filter(isLost); // prettier-ignore
  return [...apart, ...lost].map((clause) => clause.trim());
}

/** By a number, or by what else goes on meanwhile: "as long as the gong sounds". */
const MEASURED = /\d|^\s*(?:for )?as (?:long|many|much|often)\b/i;

/** Without an ending that a reading may have changed. */
function stemOf(word: string): string {
  return word.replace(/(?:ing|ed|es|s)$/, '').slice(0, 6);
}
