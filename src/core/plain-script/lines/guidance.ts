import { LONGEST_PAUSE } from './lasting';
import { findCounts, hasAmount } from '../phrases/counts';
import { ITEM, withoutMark } from '../line-kinds/headings';
import { singleSpaced, unquoted } from '../model/line-words';
import { CALLS_BACK } from '../tokens/first-words';
import { pauseIn, trailingPause } from '../line-kinds/pauses';
import { isCue } from '../line-kinds/name-lines';
import type { StepSettings } from '../model/reading';
import { callBackIn } from '../line-kinds/step-settings';
import { toldAtTime } from '../line-kinds/told-at-times';

/*
 * What a line below a silence says into it: words, one after the other or at their times ("0:30 feel the feet", "(after a
 * minute) …"), words that come again and again ("every 30 s: …"), a pause between them, or how people are called back.
 */

const LONGEST = 500;

/** Words that are said into a silence. */
export interface Told {
  readonly words: string;
  /** Seconds from its start; `null` where there is room. */
  readonly at: number | null;
  /** Seconds until the next are said; `null` where that is not told. */
  readonly pause: number | null;
}

/** What a line tells of the silence above. */
export interface Guided {
  readonly told: readonly Told[];
  /** A pause of its own, in seconds, before what is said next. */
  readonly pause?: number;
  /** Said again and again, so many seconds apart. */
  readonly again?: { readonly words: string; readonly everySeconds: number };
  readonly sets?: Pick<StepSettings, 'callBackSeconds' | 'callBackWords'>;
  readonly unsure: boolean;
}

/** Where a line stands below a silence. */
export interface BelowSilence {
  /** The seconds that the silence lasts. */
  readonly lasting: number;
  /** Whether it stands further in than the line of the silence. */
  readonly inset: boolean;
  /** Whether the silence is that of a part, in which nothing stands yet. */
  readonly ofPart: boolean;
  /** Whether it stands behind the mark that the silence has, and so in one list with it. */
  readonly listed: boolean;
}

const LABEL =
  /^(?:(?:and )?then|next|later|after that|afterwards|guide|guidance|guided(?: words)?|during(?: it| this)?|meanwhile|while it lasts|words|text|script|voice|cues?|say|tell them|teacher|lines?|prompts?|invite|whisper|speak|said|spoken|softly|quietly)(?: \([^()]{1,20}\))?: ?/i;
const EVERY = '(?:every|each) (.{2,18}?)';
const AGAIN = [
  new RegExp(`^(?:(?:say|remind(?: them)?|repeat|again|reassure)[,:]? )?${EVERY}(?: or so)?(?::|,| [–—-]| (?=say |remind |whisper |["“]))(?: ?(?:say|remind them|repeat|whisper):?)? ?(["“\\p{L}].{2,})$`, 'iu'), // prettier-ignore
  new RegExp(`^["“](.{3,}?)["”],? ${EVERY}(?: or so)?[.]?$`, 'iu'),
] as const;
/** "every 30 s one of:" over what is said. */
const ONE_OF = /^(?:every|each) .{2,18}? (?:one of(?: (?:these|them))?|say|a line|one line):?$/i;
/** Between words that are told with room between them. */
const APART = /\s*(?:\.{3,}|…)\s*(?=\S)|\s+\/{1,2}\s+|(?<=["”])[,;.]?\s+(?:(?:and |then )*)(?=["“])/u;
/** "No talking for the first 3 min": nothing is said so long. */
const UNSAID =
  /^(?:no (?:talk(?:ing)?|words?|cues?|guidance|voice)|(?:say|says|saying) nothing|nothing (?:is )?said|(?:in |stay |be |all |complete )*(?:silent|silence|quiet))[:,]? (?:for |in |during )?(?:the )?first (.{2,18}?)[.!]?$/i;
const ONLY_MARKS = /^[\s.…/|*_–—-]+$/u;
const SENTENCE = /[.!?…]["”]?$/u;

/** What a line tells of the silence above; `null` where it tells of something else. */
export function guidanceIn(line: string, { lasting, inset, listed, ofPart }: BelowSilence): Guided | null {
  if (line.length > LONGEST || line.trim() === '') return null;
  const item = ITEM.test(line);
  const body = singleSpaced(withoutMark(line).trim());
  // Beside other steps of a list it is one of them; below a silence without a mark, its list is what is said.
  if (!inset && (!item || listed || !(isCue(body) || SENTENCE.test(body)))) return null;
  if (ONLY_MARKS.test(body)) return inset ? { told: [], unsure: false } : null;
  const pause = pauseIn(body);
  // "Rest - 3 min" over "Silence 2 min", which is a step of it.
  if (pause !== null && ofPart && pause >= LONGEST_PAUSE) return null;
  if (pause !== null) return inset ? { told: [], pause, unsure: false } : null;
  const sets = callBackIn(body);
  if (sets) return { told: [], sets, unsure: false };
  const unsaid = UNSAID.exec(body)?.[1];
  const [quiet = 0] = unsaid === undefined ? [] : (findCounts(lastsOnce(unsaid)).counts.seconds ?? []);
  if (quiet > 0 && quiet < lasting) return { told: [], pause: quiet, unsure: false };
  const text = body.replace(LABEL, '');
  if (text === '' || ONE_OF.test(text)) return { told: [], unsure: text !== '' };
  const labelled = text !== body;
  const again = againIn(text);
  if (again) return { told: [], again, unsure: false };
  if (/^\p{L}[\p{L} /]{1,18}:(?: |$)/u.test(text)) return null;
  const timed = toldAtTime(text, lasting);
  const words = pauseLast(timed?.words ?? text);
  // What has an amount of its own is done, and not said.
  if (!/\p{L}{2}/u.test(words.words) || hasAmount(findCounts(words.words).counts)) return null;
  if (CALLS_BACK.test(words.words)) return { told: [], sets: { callBackWords: unquoted(words.words) }, unsure: false };
  const parts = words.words.split(APART);
  const told = parts.map((part, index) => ({
    words: unquoted(part),
    at: index === 0 ? (timed?.at ?? null) : null,
    pause: index === parts.length - 1 ? words.pause : null,
  }));
  const plain = labelled || SENTENCE.test(text) || isCue(text) || /^["“]/.test(text);
  return { told, unsure: timed?.unsure ?? !plain };
}

/** "every 30 s: nothing to do", "“nothing to do” every minute". */
function againIn(text: string): Guided['again'] | null {
  for (const [index, form] of AGAIN.entries()) {
    const match = form.exec(text);
    if (!match) continue;
    const [every = '', words = ''] = index === 0 ? [match[1], match[2]] : [match[2], match[1]];
    const { counts, rest } = findCounts(lastsOnce(every));
    const seconds = counts.seconds?.[0];
    if (seconds !== undefined && rest === '') return { words: unquoted(words), everySeconds: seconds };
  }
  return null;
}

/** "minute", "half minute", "20 s" as a length that is read: "for a minute". */
function lastsOnce(every: string): string {
  if (/^\d/.test(every)) return every;
  return `for ${/^an? /.test(every) ? '' : /^half /.test(every) ? 'half a ' : 'a '}${every.replace(/^half (?:an? )?/, '')}`;
}

/** "Feel the feet. (20 s)": words, and the seconds until the next. */
function pauseLast(text: string): { readonly words: string; readonly pause: number | null } {
  const trailing = trailingPause(text);
  return trailing
    ? { words: trailing.words, pause: trailing.counts.seconds?.[0] ?? null }
    : { words: text, pause: null };
}

/** What a line tells of a silence, worded otherwise. */
export function guidedAs({ told, again, sets, ...others }: Guided, as: (words: string) => string): Guided {
  const callBackWords = sets?.callBackWords;
  return {
    ...others,
    told: told.map((one) => ({ ...one, words: as(one.words) })),
    ...(again ? { again: { ...again, words: as(again.words) } } : {}),
    ...(sets ? { sets: callBackWords === undefined ? sets : { ...sets, callBackWords: as(callBackWords) } } : {}),
  };
}
