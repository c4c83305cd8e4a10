import { rememberedLately } from '@/core/units';
import { findCounts } from '../phrases/counts';
import { POSTURE_FROM, secondsFrom, type Counts } from '../model/model';
import { NUMBER_IN_WORDS, NUMBER_WORDS } from '../tokens/tokens';
import { MAY_COUNT } from '../line-kinds/name-lines';

/* How often or how long, in one sentence of a class that is spoken word for word. */

/** What a sentence tells of an amount. */
export interface SpokenAmount {
  readonly counts: Counts;
  /** Whether it says nothing else. */
  readonly pure: boolean;
  /** "Six more.", "Another twenty seconds.": behind an amount that was said. */
  readonly more: boolean;
  /** What is counted, where it is told: "five big waves". */
  readonly of: string | null;
  readonly breaths: boolean;
}

/** A number as it is said. */
export const NUMBER = `(?:\\d{1,2}|${NUMBER_IN_WORDS}|a dozen|twice|three times)`;
const LEAD = '(?:(?:and|so|now|then|ok|okay|again|just|let|let['+"'’"+']?s|let us|we|we['+"'’"+']ll|you|you['+"'’"+']ll|I want|I['+"'’"+']d like|give me|do|make|take|have|about|maybe|another|only|all)[,:]? )*'; // prettier-ignore
const ADJECTIVE = '(?:slow|deep|full|long|easy|quiet|natural|big|small|gentle|more|good|soft|tiny|little|smooth|lovely|whole|calm|large)'; // prettier-ignore
/** "Nine breaths like this", "Sixteen turns altogether", "Twelve pulls", "We do five big waves". */
const NUMBER_OF = new RegExp(`^${LEAD}(${NUMBER})((?:,? ${ADJECTIVE})*)(?: (\\p{L}{3,}(?<!ing)))?(?:,? (?:of (?:these|those|them|that|this|it)|like (?:this|that)|altogether|in all|in total|together|with me|here|slowly|each (?:side|way)|(?:on|to|for) (?:each|this|that|the (?:left|right)) (?:side|leg|way)|in (?:your|our) own (?:time|pace)|please|go|here|there|too|as well))*[.!?…]*$`, 'iu'); // prettier-ignore
const UNIT = /^(?:s|secs?|seconds?|m|mins?|minutes?|hours?|rounds?|times|more|of|to)$/i;
/** "Keep going until ten." */
const UNTIL = new RegExp(`\\b(?:until|up to|till|all the way to|to a count of) (?:we (?:get|reach) (?:to )?|you (?:get|reach) (?:to )?)?(${NUMBER})[.!]*$`, 'iu'); // prettier-ignore
/** "Eight times, and then eight times with the left foot forward." */
const BOTH_SIDES = new RegExp(`\\b(${NUMBER})(?: times)?,? (?:and )?then (?:\\1|another \\1)(?: times| more)? (?:with|on|to|for) .*\\b(?:left|right|other)\\b`, 'iu'); // prettier-ignore
/** Words beside an amount that tell nothing else. */
const BESIDE =
  /^(?:(?:let['’]?s|let us|we|we['’]ll|you|I|I want|I['’]d like|do|make|take|have|repeat|repeating|this|that|it|them|these|those|now|and|then|so|slow(?:ly)?|ones?|of|with me|me|together|all|gently|easily|please|for|a|the|few|good|big|in|on|each|both|again|more|here|there|total|altogether|steps|circles|waves|swings|rounds|breaths|bows|turns|times|continue|continuing|keep|keep going|going|carry on|go on|go|another|one|full|whole|about|around|hold|holding|stay|staying|remain|is|like this|like|like that|at your own pace|own|pace|your|will|just|only|side|sides|way|leg|left|right|time|until|to|repetitions|just|practi[sc]e|at|going to|gonna|want|x|even|do|back|backwards?|forwards?|one direction|direction|clockwise|very)[\s,.;:!–-]*)*$/i;
const MORE = /\b(?:more|another|again)\b/i;
/** Said of some rounds, of those who want, or of what is no amount of the movement. */
const NO_AMOUNT =
  /^(?:(?:and|but|so|now|then) )*(?:if|don['’]t|do not|make sure|remember|imagine|notice|some of|maybe|perhaps|you (?:may|might|can)|it['’]?s? |that(?:['’]s| is| was| makes) |there(?:['’]s| is| are)? (?!nothing)|today|tonight|this (?:is|practice|class)|welcome|hello|hi|hey|good (?:morning|evening|afternoon)|today I|I['’]ve|I(?:['’]ll| will) (?:show|do|demonstrate)|watch|my|in case|for (?:the )?(?:last|first)|on (?:the|your)|(?:at|after|in) (?:about |around )?(?:the |a )|(?:this is )?(?:the )?(?:last|final)\b(?! of all|,| (?:thing|part) is\b)|(?:the )?(?:first|second|third) of|(?:the )?(?:first|next) (?:one|two|three|four)(?! (?:is|will be|comes)\b)|halfway|every|only)\b/i;
/** "Ten more times." */
const MORE_TIMES = new RegExp(`\\b(${NUMBER}) more (times|rounds|breaths|circles)\\b`, 'giu');
/** "Out... two, three, four." */
const COUNTING = /\b(?:two|2),? (?:three|3)\b/i;
const ROUNDS_AT_MOST = 60;
/** Less is how long a breath takes. */
const SECONDS_FROM = 8;
/** "Six of these, swapping which arm is on top." */
const OF_THESE = new RegExp(`^${LEAD}(${NUMBER})(?: more)? of (?:these|those|them|this|that)[, ]`, 'iu');
const LONGEST = 240;

/** The amount that a sentence tells; `null` where it tells none. */
export const amountInSpeech = rememberedLately(lookForAmount);

function lookForAmount(sentence: string): SpokenAmount | null {
  const counted = secondsCounted(sentence);
  if (counted !== null) return amountOf({ seconds: secondsFrom([counted, counted], 1), held: true });
  if (sentence.length > LONGEST || !MAY_COUNT.test(sentence) || NO_AMOUNT.test(sentence) || COUNTING.test(sentence)) return null; // prettier-ignore
  const more = MORE.test(sentence);
  const said = sentence
    .replace(MORE_TIMES, '$1 $2')
    .replace(/[.!?…]+["”)]?$/, '')
    .replace(/[,–—-] ?(?:go|please|now)$/i, '');
  const both = BOTH_SIDES.exec(said);
  if (both) {
    const { rounds } = findCounts(`x, ${both[1] ?? ''} times`).counts;
    if (rounds !== undefined && rounds > 1) return { counts: { rounds, sides: 'one-then-other' }, pure: false, more: false, of: null, breaths: false }; // prettier-ignore
  }
  const [, number, how = '', thing = ''] = NUMBER_OF.exec(said) ?? [];
  const until = UNTIL.exec(said)?.[1];
  const often = until ?? (number !== undefined && !UNIT.test(thing) ? number : undefined);
  if (often !== undefined) {
    const { rounds } = findCounts(`x, ${/times|twice/i.test(often) ? often : `${often} times`}`).counts;
    if (rounds === undefined || rounds < 2 || rounds > ROUNDS_AT_MOST) return null;
    if (rounds < 4 && /^\p{L}+$/u.test(said) && !/s$/.test(said) && until === undefined) return null;
    const { sides, startSide } = findCounts(said).counts;
    const adjectives = how.replace(/\b(?:more|slow|good|whole)\b|,/gi, '').trim();
    const of = thing === '' || (BESIDE.test(thing) && adjectives === '') ? null : `${adjectives} ${thing}`.trim();
    const sided = sides === undefined || sides === 'one-side' ? {} : { sides, ...(startSide ? { startSide } : {}) };
    return { counts: { rounds, ...sided }, pure: true, more, of, breaths: /^breaths?$/i.test(thing) };
  }
  const behind = NUMBER_BEHIND.exec(said)?.[1];
  const these = OF_THESE.exec(said)?.[1];
  if (these !== undefined) {
    const { rounds } = findCounts(`x, ${these} times`).counts;
    return rounds === undefined ? null : { ...amountOf({ rounds }), pure: false, more };
  }
  const { counts, rest } = findCounts(behind === undefined ? withHalf(said) : `${said} times`);
  const { rounds, sides, startSide, ownPace, hold = 0 } = counts;
  const seconds = counts.seconds ?? (hold >= POSTURE_FROM && rounds === undefined ? secondsFrom([hold, hold], 1) : undefined); // prettier-ignore
  if (rounds === undefined && seconds === undefined) return null;
  if ((rounds ?? 2) < 2 || (rounds ?? 2) > ROUNDS_AT_MOST || (seconds !== undefined && seconds[0] < SECONDS_FROM))
    return null;
  const held =
    seconds !== undefined && /\b(?:hold(?:ing)?|stay(?:ing)? (?:here|there|like|in it|down|up)|remain)\b/i.test(said);
  const told: Counts = {
    ...(rounds === undefined ? { ...(seconds ? { seconds } : {}), ...(held ? { held: true } : {}) } : { rounds }),
    ...(sides === undefined || sides === 'one-side' ? {} : { sides, ...(startSide ? { startSide } : {}) }),
    ...(ownPace ? { ownPace, ...(seconds ? { seconds } : {}) } : {}),
  };
  const breaths = /\bbreaths\b/i.test(said);
  const of = /\b(?:minutes?|seconds) of (?:the |our )?(\p{L}[\p{L}' -]{2,30})$/iu.exec(said)?.[1] ?? null;
  const named =
    of === null || /silen|quiet|still|rest|breath|^(?:that|this|it|these|those|them)$/i.test(of) ? null : of;
  return {
    counts: told,
    pure: named !== null || (BESIDE.test(rest.replace(/[.!?…]+$/, '')) && !/\b(?:left|right)\b/i.test(said)),
    more,
    of: named,
    breaths,
  };
}

/** "One, two, three, four, five, six, seven, eight.": seconds that are counted while something is held; else `null`. */
function secondsCounted(sentence: string): number | null {
  const words = sentence.toLowerCase().replace(/[.!…]+$/, '').split(/(?:,|…|\.{2,})? (?:and )?/); // prettier-ignore
  const up = words.at(-1) === 'one' ? words.toReversed() : words;
  return up.length >= SECONDS_FROM && up.every((one, at) => NUMBER_WORDS.get(one) === at + 1) ? up.length : null;
}

/** "Then both together, six." */
const NUMBER_BEHIND = new RegExp(`, (${NUMBER})$`, 'iu');
const HALF = /\b(an?|one|two|three|four) minutes? and a half\b/i;
const MINUTES: ReadonlyMap<string, string> = new Map([['a', '1:30'], ['an', '1:30'], ['one', '1:30'], ['two', '2:30'], ['three', '3:30'], ['four', '4:30']]); // prettier-ignore

/** "One minute and a half" in figures. */
function withHalf(text: string): string {
  return text.replace(HALF, (all, number: string) => MINUTES.get(number.toLowerCase()) ?? all);
}

/** An amount by itself. */
export function amountOf(counts: Counts, breaths = false): SpokenAmount {
  return { counts, pure: true, more: false, of: null, breaths };
}

/** Whether two amounts are the same. */
export function isAsMuch(one: Counts, other: Counts): boolean {
  return one.rounds === other.rounds && one.seconds?.[0] === other.seconds?.[0];
}

/** "Another thirty.", behind thirty seconds: seconds again. */
export function inSameUnit(amount: SpokenAmount, { seconds }: Counts): SpokenAmount {
  const { counts, more, pure, of } = amount;
  const same = more && pure && of === null && seconds !== undefined && counts.rounds === seconds[0];
  return same ? { ...amount, counts: { seconds } } : amount;
}

/** So many are left, of no fewer than these. */
const LEFT = 2;
const LEFT_OF = 4;

/** "Two more.", while a movement is done: no second go of it, but how many are left. */
export function isLeft({ counts, more, pure }: SpokenAmount, of: Counts | null): boolean {
  return more && pure && counts.rounds === LEFT && (of?.rounds ?? 0) >= LEFT_OF;
}
