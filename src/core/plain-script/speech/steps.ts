import { findCounts } from '../phrases/counts';
import { withoutFrame } from '../phrases/frames';
import { asSentence, capitalised } from '../model/line-words';
import type { Counts } from '../model/model';
import { isMovedIn, isNamedThing, isPlacing, isStillClause, goesOn, nameOfClause } from './names';
import { NUMBER, type SpokenAmount } from './amounts';
import { BRACKETED } from './lines';

/* What a step is called that nothing names, in a class that is spoken word for word. */

/** "Keep swinging for two minutes.": of what is told before. */
const KEEPS = /\b(?:keep|carry on|continue|go on) \p{L}+ing\b/iu;
/** What is counted by its name: "Ten circles". */
const COUNTED =
  /\b(circle|turn|swing|bounce|stamp|pull|push|lift|roll|wave|kick|step|tap|squat|nod|bow|twist)(?:e?s)\b/i;

/** "Eight rounds, and change which arm is on top.": of what is told before it. */
const AMOUNT_FIRST = new RegExp(
  `^(?:and |so |now |then )*(?:${NUMBER}) (?:times|rounds|repetitions|of (?:these|those|them|that))[,;] `,
  'iu',
);

/** "The last thing is standing quietly for two minutes." */
const NEXT_THING = /^(?:(?:and|so|now|ok|okay)[,]? )*(?:the|our) (?:last|next|final) (?:thing|one|part|exercise) is\b/i;
const SILENTLY = /\b(?:silen(?:ce|t)|quiet(?:ly)?|stillness|stand still)\b/i;
/** "Two more like that.": one was done as it was told. */
const MORE_AT_MOST = 6;

export const isNextThing = (text: string): boolean => NEXT_THING.test(text);
/** "Stand in silence for one minute." */
export const isSilent = (text: string): boolean => SILENTLY.test(text) && isStillClause(text);

/** How often it is done, with the one that showed it: "Two more like that." */
export function withOneDone(counts: Counts, text: string): Counts {
  const { rounds = 0 } = counts;
  return /\b(?:more|another)\b/i.test(text) && rounds > 0 && rounds <= MORE_AT_MOST
    ? { ...counts, rounds: rounds + 1 }
    : counts;
}

export const amountFirst = (text: string): boolean => AMOUNT_FIRST.test(text);
export const keepsOn = (text: string): boolean => KEEPS.test(text);
export const countedIn = (text: string): string | undefined => COUNTED.exec(text)?.[1];

/** "One more time! Another forty seconds.": the movement above; `null` for anything else. */
export function againOf({ more, pure }: SpokenAmount, pending: readonly string[], above: string | null): string | null {
  const only = pending.every((one) => nameOfClause(one) === null || /\b(?:again|more)\b/i.test(one));
  return more && pure && only ? above : null;
}

/** Of some sentences the one that tells what is done, or of which is `counted`; `null` where none does. */
export function bestOf(sentences: readonly string[], counted?: string): string | null {
  const named = sentences.filter((one) => nameOfClause(one) !== null && !BRACKETED.test(one));
  const placed = named.filter((one) => !isPlacing(one));
  const moved = [...placed.filter((one) => !isStillClause(one)), ...placed.filter((one) => isStillClause(one))];
  const told = counted === undefined ? undefined : moved.find((one) => new RegExp(`\\b${counted}`, 'i').test(one));
  return told ?? named.find(isNamedThing) ?? moved.find(goesOn) ?? moved[0] ?? named.at(-1) ?? null;
}

/** Whether nobody moves in what an amount is told of. */
export function rests({ counts, pure }: SpokenAmount, text: string, clause: string | null): boolean {
  const quiet = /\bno talking\b|\bwithout (?:words|talking)\b/i.test(text) && isStillClause(text);
  if (counts.seconds === undefined || counts.rounds !== undefined || (counts.ownPace && !quiet)) return false;
  if (
    LEFT.test(text) ||
    (clause !== null && isStillClause(nameOfClause(clause) ?? clause) && !(clause === text && isMovedIn(text)))
  )
    return true;
  return isStillClause(text) && !(pure && clause !== null && isMovedIn(clause));
}

/** "I'm going to leave you with that for five minutes, and then the recording will end." */
const LEFT = /\bleave you (?:with|to|in|for|here)\b/i;
/** "Again, eight times, and this time softly." */
const AGAIN = /^(?:and |now )*(?:again|once more|one more time)\b/i;
/** "Now with the arms." */
const WITH = /^(?:and |now |then |again )*(with (?:the|your|both|your eyes) [^.!?,]{3,24})[.!]?$/i;

/**
 * What a movement is called, from the sentence that tells it.
 * @param above The movement before it, of which it may be another form.
 */
export function stepNamed(
  amount: SpokenAmount,
  text: string,
  clause: string | null,
  above: string | null,
): string | null {
  const way = clause === null || above === null ? undefined : WITH.exec(clause)?.[1];
  const own =
    way !== undefined ? `${above ?? ''}, ${way.toLowerCase()}` : clause === null ? null : nameOfClause(clause);
  if (above !== null && AGAIN.test(clause ?? '')) return above;
  const still =
    own === null ||
    isStillClause(own) ||
    (isPlacing(own) && !/\b(?:left|right)\b/i.test(own)) ||
    /\bbreaths\b/i.test(own);
  if (amount.breaths && (still || /\b(?:take|have) .*breaths/i.test(text))) return breathing(text);
  const { of, counts } = amount;
  const thing = of !== null && (own === null || of.includes(' ') || counts.seconds !== undefined) ? of : own;
  return thing === null ? null : capitalised(thing);
}

/** "Let's take three breaths together." */
const TAKEN = /^(?:(?:and|so|now|then),? )*let['’]?s (?:just )?(?:take|have) (.{5,40}breaths.{0,20}?)[.!]$/i;

function breathing(text: string): string {
  const own = TAKEN.exec(text)?.[1];
  return own === undefined ? 'Breathing' : capitalised(own);
}

const SILENT = /^(?:(?:I|we)['’]ll |let us |let['’]s )?(?:be )?(?:silence|quiet|silent|stillness|still|)$/i;
const STAYS =
  /^(?:(?:we|I|you)(?:['’]ll| will)? )?(?:just )?(?:stay|rest|remain|be here)$|^(?:let['’]s |we(?:['’]ll)? )?(?:take|have)(?: here)?$/i;
/** "Place both hands on the belly, and stand quietly": what is done first, and what is still. */
const FIRST = /^(.{8,}?), (?:and|then|and then) (.{5,})$/i;

export interface Still {
  readonly words: string;
  /** What is told before it, with `pending`. */
  readonly told: string;
  readonly unsure: boolean;
}

/** "Nothing to do for one minute." */
const NOTHING = /^(?:there(?:['’]s| is) )?nothing(?: to)?$/i;

/** "Okay let's finish with one minute of quiet breathing." */
const LED_TO_STILL =
  /^(?:(?:okay|ok|right|good|nice|lovely|great)[,]? )*(?:(?:and|so|now|okay|ok|right|good|nice|lovely|great)[,]? )*(?:let['’]?s|we(?:['’]ll)?) (?:just )?(?:finish|end|close|start|begin) (?:with|by) /i;

/** What a silence is called, and what is said as it begins. */
export function stillOf(text: string, pure: boolean, clause: string | null, pending: readonly string[]): Still {
  const led = text.replace(LED_TO_STILL, '');
  const own = findCounts((withoutFrame(led) ?? led).replace(/[.!?…]+$/, ''))
    .rest.replace(/^for the next,? /i, '')
    .replace(/,? (?:and|so|while|because) (?:you|we|I|they|it|that|there|see|let)\b.*$/i, '')
    .replace(
      /^(?:and |then |now |just |of |a |more |full |good |okay |ok |nice |let['’]s (?=(?:rest|sit|stand|lie|close|feel) ))+|(?: now)?[\s,;:–-]*$/gi,
      '',
    );
  const silent = SILENT.test(own) || LEFT.test(text) || own.length < 4;
  const [, first = '', last = ''] = pure ? [] : (FIRST.exec(own) ?? []);
  const split = last !== '' && isStillClause(last);
  const before = split ? [...pending, asSentence(capitalised(first))] : pending;
  const name = silent ? (pure ? silenceBy(text, clause) : 'Silence') : split ? (SILENT.test(last) ? 'Silence' : last) : NOTHING.test(own) ? 'Nothing to do' : nameOfStill(own, pending); // prettier-ignore
  const opening = before.join(' ');
  const closed = /eyes/i.test(opening) && /clos|shut/i.test(opening) && !/eyes/i.test(name) && !/\bif you\b/i.test(opening); // prettier-ignore
  return { words: closed ? `${name}, eyes closed` : name, told: isSame(opening, name) ? '' : opening, unsure: !silent };
}

function silenceBy(text: string, clause: string | null): string {
  return clause === null || /silen|quiet|still/i.test(text) ? 'Silence' : (nameOfClause(clause) ?? 'Silence');
}

/** "We'll stay for two minutes.", behind "Stand still now.". */
function nameOfStill(own: string, pending: readonly string[]): string {
  const above = STAYS.test(own) ? pending.find((one) => isStillClause(one) && nameOfClause(one) !== null) : undefined;
  if (above !== undefined) return nameOfClause(above) ?? own;
  return (/^(?:we|I|you)\b/i.test(own) ? nameOfClause(own) : null) ?? own;
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L} ]/gu, '')
    .trim();

/** Whether words say nothing but a name. */
function isSame(words: string, name: string): boolean {
  return plain(words) === plain(name) || plain(findCounts(words.replace(/[.!?…]+$/, '')).rest) === plain(name);
}
