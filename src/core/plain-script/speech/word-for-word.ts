import { itemAt } from '@/core/units';
import { SENTENCE_END } from '../lines/amounts-spoken';
import { captionsOf, withStopsSpoken } from '../layout/dictated';
import { asSentencesHeard } from '../layout/heard';
import { findCounts, hasAmount } from '../phrases/counts';
import { isItem } from '../line-kinds/headings';
import { wordCount } from '../model/line-words';
import { MAY_COUNT } from '../line-kinds/name-lines';

/*
 * Whether a script is written as it is spoken, word for word: most of its lines are whole sentences that speak to those who
 * take part. A line in it is said, unless it plainly names, counts or rests.
 */

/** A time before what is spoken then, or by itself above it. */
const STAMP = /^\s*\[?\(?\d{1,2}:\d{2}(?::\d{2})?\)?\]?(?:[\s:–—-]+|$)/;
/** Speaks to whoever takes part. */
const TO_THEM =
  /\b(?:you|your|yourself|let['’]?s|let us|let (?:the|it|everything|go))\b|^(?:(?:and|now|then|so|next|please|slowly|gently|just|ok|okay|good)[,:]? )*(?:stand|sit|lie|breathe|raise|lift|lower|bring|turn|step|shift|bend|soften|relax|feel|notice|place|rest|keep|take|open|close|roll|reach|hold|stay|find|put|shake|circle|inhale|exhale|come|press|draw|rub|tap|sink|push|pull|sway|swing|imagine|make|look|listen|bounce)\b/i;
/** Tells of them to somebody else, or of what a teacher does: a plan, a letter, and nothing that is spoken. */
const OF_THEM = /\b(?:they (?:do|know|like|love|stay|go|all|have|need|just)|(?:tell|show|ask|get|watch|remind|talk) them|everybody|everyone|people|the group|students|I (?:talk|call|walk|go round|do|start|show|explain|teach|usually))\b/i; // prettier-ignore
/** Amounts as notes have them. */
const NOTED = /\d ?[x×](?!\w)|(?<!\w)[x×] ?\d|\d ?(?:['′″"”]|mins?\b|secs?\b|[ms]\b)|[–—→]\s*\d|\/|^\s*[-*•]/;
const SENTENCE_WORDS = 4;
export const LINES_AT_LEAST = 6;
const SHARE = {
  spoken: 0.55,
  noted: 0.2,
  toThem: 0.2,
  ofThem: 0.25,
  counted: 0.5,
  /** Of what a machine heard: nobody speaks a list. */
  countedHeard: 0.6,
  plain: 0.05,
  several: 0.25,
} as const;
const ALONE = { toThem: 0.4, counted: 0.35 } as const;
const LINE_AT_MOST = 2_500;

const BRACKETS = /[([][^()[\]]{1,40}[)\]]/g;
/** "[8 reps, alternating]", and nothing else. */
const DIRECTION = /^\s*[([][^()[\]]*[)\]][.]?\s*$/;
/** A name by itself, that may stand above what is said. */
const isHead = (line: string): boolean =>
  /\p{L}{2}/u.test(line) &&
  wordCount(line.trim()) <= 6 &&
  line.length <= 60 &&
  !/[.!?…,;]$|\d ?[x×]|[x×] ?\d|\d ?(?:min|sec|m\b|s\b)/iu.test(line.trim());

const LABELLED = /^\s*\p{L}[\p{L} ]{2,20}: /u;

/** What a line speaks, without the time it begins at. */
export const withoutStamp = (line: string): string => line.trim().replace(STAMP, '');

/** Whether a line is sentences that are spoken, by itself. */
export function isSpokenLine(line: string): boolean {
  const spoken = withoutStamp(line).replace(BRACKETS, ' ').trim();
  return wordCount(spoken) >= SENTENCE_WORDS && /[.!?…]["”')\]]*$/.test(spoken) && !isItem(line);
}

/** The lines of a script that is spoken word for word, as sentences; `null` for any other script. */
export function spokenLines(written: readonly string[], heard = false): readonly string[] | null {
  const lines = written.map((line) => line.replace(/<(\/?[\p{L}\d :.]{1,40})>/gu, '[$1]'));
  return isWordForWord(lines, heard) ? lines : null;
}

/** The lines with their stops, where a machine heard them from somebody who speaks a class; else `null`. */
export function linesHeard(written: readonly string[]): readonly string[] | null {
  const stamps = written.map((line) => STAMP.exec(line)?.[0] ?? '');
  const stamped = stamps.filter((stamp) => stamp !== '').length;
  if (stamped < STAMPED_SHARE * written.filter((line) => line.trim() !== '').length || stamped < LINES_AT_LEAST)
    return linesHeardAt(written);
  const heard = linesHeardAt(written.map((line, at) => line.slice(itemAt(stamps, at).length)));
  return heard && heard.map((line, at) => itemAt(stamps, at) + line);
}

/** Of the lines that are written so many have a time. */
const STAMPED_SHARE = 0.4;

function linesHeardAt(written: readonly string[]): readonly string[] | null {
  const captions = captionsOf(written);
  if (captions) return captions;
  const told = [asSentencesHeard(written), withStopsSpoken(written)];
  return told.find((lines) => lines !== written && spokenLines(lines, true) !== null) ?? null;
}

/** Whether most lines of a script are spoken; `heard` where a machine wrote them, which never writes a list. */
function isWordForWord(lines: readonly string[], heard: boolean): boolean {
  const written = lines.filter((line) => /\p{L}{2}/u.test(line) && !DIRECTION.test(line) && !isHead(line));
  if (lines.filter(isHead).length > written.length) return false;
  if ((written.length < LINES_AT_LEAST && !heard) || written.some((line) => line.length > 4 * LINE_AT_MOST))
    return false;
  const spoken = written.filter((line) => line.length <= LINE_AT_MOST && isSpokenLine(line));
  const noted = written.filter((line) =>
    NOTED.test(withoutStamp(line).slice(0, LINE_AT_MOST).replace(BRACKETS, ' ')),
  ).length;
  if (spoken.length < SHARE.spoken * written.length || noted > SHARE.noted * written.length) return false;
  if (written.some((line) => OF_LETTER.test(line)) || plainSteps(lines) > Math.max(1, SHARE.plain * written.length))
    return false;
  const sentences = spoken.flatMap((line) => withoutStamp(line).replace(BRACKETS, ' ').split(SENTENCE_END));
  const share = (is: (sentence: string) => boolean): number => sentences.filter(is).length / sentences.length;
  const told = written.length < LINES_AT_LEAST ? sentences : spoken;
  const ofThem = told.filter((line) => OF_THEM.test(line)).length / told.length;
  if (ofThem > SHARE.ofThem || share((one) => TO_THEM.test(one)) < SHARE.toThem) return false;
  const counted = share((one) => MAY_COUNT.test(one) && hasAmount(findCounts(one).counts));
  // Where each sentence has a line of its own it may as well be a list of what is done.
  const several = spoken.filter((line) => SENTENCE_END.test(line.replace(BRACKETS, ' ').trim())).length / spoken.length;
  const alone = share((one) => TO_THEM.test(one)) >= ALONE.toThem && counted <= ALONE.counted;
  if (written.length < LINES_AT_LEAST)
    return isInOneLine(
      sentences,
      counted,
      share((one) => TO_THEM.test(one)),
    );
  if (heard) return counted <= SHARE.countedHeard;
  return counted <= SHARE.counted && (several >= SHARE.several || alone);
}

/** Whether the sentences of one long line speak to those who take part, and are no plan. */
function isInOneLine(sentences: readonly string[], counted: number, toThem: number): boolean {
  return sentences.length >= IN_ONE_LINE.sentences && toThem >= IN_ONE_LINE.toThem && counted <= IN_ONE_LINE.counted;
}
const IN_ONE_LINE = { sentences: 10, toThem: 0.35, counted: 0.45 } as const;

/** "Subject: Tuesday", "Hello Signe,". */
const OF_LETTER = /^\s*(?:subject|re|from|to): |^\s*(?:dear|hi|hello|hey) [^.!?]{2,30},\s*$/i;

/** How many lines below the first are a step with its amount, and no sentence: "Silence 30 s". */
function plainSteps(lines: readonly string[]): number {
  const [, ...others] = lines.filter((line) => /\p{L}{2}/u.test(line));
  const plain = others.filter((line) => !/[.!?…:]["”')\]]*$/.test(line.replace(BRACKETS, ' ').trim()) && !DIRECTION.test(line) && !LABELLED.test(line)); // prettier-ignore
  return plain.filter((line) => MAY_COUNT.test(line) && hasAmount(findCounts(withoutStamp(line)).counts)).length;
}
