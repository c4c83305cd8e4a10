import type { Range } from '../phrases/amounts';
import { isCue } from '../line-kinds/name-lines';
import { findCounts, hasAmount } from '../phrases/counts';
import {
  BESIDE_CLASS,
  FRAGMENT,
  isOnlyFelt,
  isQuiet,
  isStill,
  isTalk,
  isPlainTransition,
  isTransition,
  TALK_STARTS,
} from '../line-kinds/line-signs';
import { asSentence, sentenceCase, wordCount } from '../model/line-words';
import { CLASS_FROM, POSTURE_FROM, secondsFrom, type Counts, type LineKind } from '../model/model';
import { bareName, isDoubtful } from '../phrases/names';
import { trailingPause } from '../line-kinds/pauses';
import { reading, type Reading } from '../model/reading';
import { isTold, talkOf } from '../line-kinds/talks';
import { isOfAll, OF_CLASS, OF_STEP_TOO } from './of-class';
import { isMinuteOfQuiet, isSilentAlone, silentName } from './quiet-times';

/*
 * What kind of step a line names, or whether it is said. Each reader looks for one kind and leaves the rest to the
 * next; the last takes what is left.
 */

/** What is done without a word about what, as a name. */
const OWN_PACE = 'Own pace';
/** What is left of "Take four quiet breaths together". */
const ONLY_MANNER = /^(?:let['’]?s |let us |we(?:['’]ll)? )?(?:take )?(?:all )?together$/i;
/** "Everybody by themselves, 2 minutes". */
const EVERYBODY = /^(?:everyone|everybody|all|each|people|the class|they)$/i;
/** A longer line names nothing. */
const NAME_AT_MOST = 90;

/** A line as the readers look at it. */
interface Look {
  readonly body: string;
  /** Without its amounts and what stands around a name. */
  readonly rest: string;
  readonly words: number;
  readonly counts: Counts;
  /** Whether it has an amount. */
  readonly counted: boolean;
  readonly bare: boolean;
  readonly crowded: boolean;
  /** Whether it speaks to people. */
  readonly talk: boolean;
  /** Whether it is one of a list. */
  readonly item: boolean;
  readonly under: LineKind;
  /** Whether a sentence told of it. */
  readonly told: boolean;
}

export function lookAt(body: string, item: boolean, under: LineKind, told: boolean): Look {
  const { counts: found, rest: left, bare, crowded, holds } = findCounts(body);
  const named = bareName(left);
  const rest = isOfStepAbove(named, under) || ONLY_MANNER.test(named) || (found.ownPace && EVERYBODY.test(named)) ? '' : named; // prettier-ignore
  const counts = heldStill(found, holds);
  const counted =
    counts.rounds !== undefined ||
    counts.seconds !== undefined ||
    counts.ownPace === true ||
    counts.breath !== undefined;
  const talk = isTalk(withoutBrackets(body), withoutBrackets(rest));
  return { body, rest, words: wordCount(rest), counts, counted, bare, crowded, talk, item, under, told };
}

const withoutBrackets = (text: string): string => text.replace(/\([^()]*\)/g, '');

type Reader = (look: Look) => Reading | null;

/** What a line is, whatever it may be. */
export function readLook(look: Look): Reading {
  for (const read of READERS) {
    const found = read(look);
    if (found) return found;
  }
  return namedOrSaid(look);
}

/** Amounts without a name: of the step above, or of the class. */
const ofStepOrClass: Reader = ({ body, rest, words, counts, counted, item, under }) => {
  if (isMinuteOfQuiet(body) || (counts.seconds && isSilentAlone(body))) return null;
  const trailing = trailingPause(body);
  if (trailing && !item) return reading('said', trailing.words, trailing.counts);
  if (rest === '' && counts.ownPace && under === 'movement' && IN_BRACKETS.test(body))
    return reading('setting', '', counts);
  if (
    rest === '' &&
    counts.ownPace &&
    under === 'movement' &&
    counts.rounds !== undefined &&
    counts.seconds === undefined
  )
    return reading('setting', '', counts, true);
  if (rest === '' && counts.ownPace) return reading('movement', counted ? OWN_PACE : body, counts, true);
  if (rest === '' && isOfBreaths(body, under))
    return reading('movement', sentenceCase(body.replace(ASKS, '').replace(/\.$/, '')), counts, true);
  // "Inhale 4, hold 4, exhale 4, 5 rounds".
  if (rest === '' && counts.breath && counts.rounds !== undefined && (item || under !== 'movement'))
    return reading('movement', 'Breathing', counts, true);
  // "Both sides" where nothing has sides.
  const told = under === 'talk' || under === 'silence' || under === 'transition';
  if (rest === '' && !counted && told && !item && (counts.startSide ?? counts.sides)) return reading('said', body, {}, true); // prettier-ignore
  if (rest === '' && (counted || counts.startSide || counts.sides))
    return reading('setting', '', counts, !/^(?:\d|[x×]|both|each|left|right|start|alternat|own|in )/i.test(body));
  const opening = under === 'nothing' || under === 'talk';
  if (isOfAll(body)) {
    const length = reading('setting', '', { seconds: counts.seconds }, true);
    if (opening) return length;
    return OF_STEP_TOO.test(body) ? reading('said', body, {}, true) : { ...length, about: 'length' };
  }
  if (opening && OF_CLASS.test(rest) && (counts.seconds?.[0] ?? 0) >= CLASS_FROM)
    return reading('setting', '', { seconds: counts.seconds }, true);
  // "15 min, all seated" above the first step.
  if (
    under === 'nothing' &&
    words <= 7 &&
    (counts.seconds?.[0] ?? 0) >= CLASS_FROM &&
    /^(?:about |approx\.? |~ ?)?\d{1,3} ?min\w*(?:,| ?[/|·]| [–-] )/i.test(body)
  )
    return reading('setting', '', { seconds: counts.seconds }, true);
  if (!opening && /^total\b/i.test(body) && counts.seconds) return reading('said', body, {}, true);
  return counts.startSide && !counted && words <= 3 ? reading('setting', '', counts) : null;
};

/** "Let's take three breaths together.": the breaths alone name it. */
const ASKS = /^(?:and |now |then )*(?:let['’]?s|let us|we(?:['’]ll)?) (?:all )?(?:just )?(?:take|have|do) /i;
/** "lying down, 5 min of silence". */
const OF_SILENCE = /(?<=\p{L}),? of (?:silence|quiet|stillness|(?:quiet |silent |natural |easy |calm )?breathing)$/iu;
/** "Finish sitting down, hands on the belly". */
const SITS =
  /^(?:(?:finish|end|close)(?:ing)? )?(?:sit|sitting|lie|lying)(?: down)?,? (?:with (?:the |your |their )?)?(?:hands|palms) on\b/i;
const TIME_APART = /, \d{1,2} ?min\w*[.!]?$/i;
/** So many minutes, at most, are written as a number alone. */
const STILL_MINUTES = 15;
const MINUTES_ALONE = /^\D+ \d{1,2}$/;
const IN_BRACKETS = /^\([^()]*\)[.!]?$/;

/** Nobody moves, or the eyes are closed, for some time. */
const stillness: Reader = ({ body, rest, words, counts, bare, talk }) => {
  const { seconds, rounds } = counts;
  if (isMinuteOfQuiet(body))
    return reading('silence', sentenceCase(body.replace(/[.!]$/, '')), { seconds: secondsFrom([60, 60], 1) }, true);
  // "stand 1": where nobody moves, a number alone is minutes.
  if (
    seconds === undefined &&
    rounds !== undefined &&
    bare &&
    rounds <= STILL_MINUTES &&
    MINUTES_ALONE.test(body.replace(/ ?\([^()\d]*\)$/, '')) &&
    isStill(rest) &&
    !talk
  )
    return reading('silence', rest, { seconds: secondsFrom([60 * rounds, 60 * rounds], 1) }, true);
  if (seconds === undefined) return null;
  if (rounds === undefined && isSilentAlone(body))
    return reading('silence', rest === '' ? silentName(body) : rest, { seconds }, true);
  const timedOnly = counts.rounds === undefined;
  const still = isStill(rest) || (words <= 6 && /\beyes (?:shut|closed)\b/i.test(rest));
  const silent = still && (timedOnly || bare) && !counts.held && (!talk || /^listens?\b/i.test(rest));
  if (silent) return reading('silence', rest.replace(OF_SILENCE, ''), { seconds });
  const behind = /^\p{L}[^:]{1,19}: (.+)$/u.exec(rest)?.[1] ?? '';
  if (timedOnly && !counts.sides && isStill(behind)) return reading('silence', behind, { seconds }, true);
  // "Sit on your towel, 4 min": told to people, with its time apart.
  if (timedOnly && !counts.held && words <= 6 && /^(?:sit|lie)\b/i.test(rest) && TIME_APART.test(body))
    return reading('silence', rest, { seconds }, true);
  if (timedOnly && !counts.held && words <= 12 && (EYES_CLOSED.test(rest) || SITS.test(rest)))
    return reading('silence', rest.replace(OF_SILENCE, ''), { seconds }, true);
  return null;
};

/** Seconds; a change of place takes less. */
const STAYS_FROM = 60;

/** From standing to sitting, feet together. */
const changeOfPlace: Reader = ({ body, rest, words, counts, item, under }) => {
  if (
    !(isTransition(rest) || (!hasAmount(counts) && isTransition(body))) ||
    counts.rounds !== undefined ||
    (!item && words > 8)
  )
    return null;
  const stays = (counts.seconds?.[0] ?? 0) >= STAYS_FROM;
  if (stays && /^sit/i.test(rest)) return reading('silence', rest, counts);
  // "then other foot in front, 90 secs" is what is done there.
  if (stays && !isPlainTransition(rest)) return null;
  const told = item || under !== 'talk' || /^feet|^step|^sit|^stand/i.test(rest);
  if (!told) return null;
  const found = reading('transition', rest, counts, !isPlainTransition(rest));
  // What else it tells is said as well.
  return hasAmount(counts) || wordCount(body) <= words ? found : { ...found, said: asSentence(body) };
};

/** Seconds; what is felt for a shorter time is said, with a pause behind it. */
const FELT_FROM = 40;

const quietOrDone: Reader = ({ body, rest, counts, counted }) => {
  const timedOnly = counts.seconds !== undefined && counts.rounds === undefined;
  const felt = (counts.seconds?.[0] ?? 0) >= FELT_FROM && isOnlyFelt(rest);
  const quiet = felt || isQuiet(rest) || (/^(?:listen|stand|sit|lie|rest)/i.test(rest) && isQuiet(body));
  if (timedOnly && quiet) return reading('silence', rest, counts, true);
  const unled = counted && counts.ownPace && counts.rounds === undefined && counts.seconds === undefined;
  if (unled && FRAGMENT.test(rest)) return reading('said', body, {}, true);
  if (counts.seconds !== undefined && DOING.test(body)) return reading('movement', firstDone(rest), counts, true);
  return null;
};

/** Steps that a sentence tells of, or that are told to people. */
const toldToPeople: Reader = ({ body, rest, words, counts, counted, bare, talk, item, told }) => {
  const rounds = counts.rounds !== undefined && !bare;
  if (rounds && talk && LIMB_FIRST.test(body)) return reading('movement', rest.replace(/,.*$/, ''), counts, true);
  if (told && counted && TOLD_OF_NAME.test(rest)) return reading('movement', rest.replace(/, .*$/, ''), counts, true);
  if (!talk) return null;
  if (told && counted && rest !== '') return reading('movement', firstDone(rest), counts, true);
  const endsCounted = rounds && /\b(?:times|rounds|x ?\d+|\d+ ?x)[.!]?$/i.test(body);
  if (endsCounted && words <= 6 && !TALK_STARTS.test(body) && !item) return reading('movement', rest, counts, true);
  // "Up on your toes and down, twelve times": with an amount set apart it is a step, also where it says "your".
  const apart = (rounds || counts.seconds !== undefined) && AMOUNT_APART.test(body);
  const asked = TALK_STARTS.test(body) || /[?"“]/.test(body);
  return apart && !asked ? reading('movement', firstDone(rest), counts, true) : null;
};

/** What is spoken, or a note to oneself. */
const spoken: Reader = (look) => {
  if (ENDS_AT.test(look.body)) return reading('said', look.body);
  const { body, rest, words, counts, counted, talk, item, under } = look;
  if (talk && !(item && counted && words <= 8))
    return reading('said', body, {}, counted || isShort(look) || hasFigure(body));
  if (/\b(?:don['’]?t|do not)\b/i.test(rest) && counts.rounds === undefined) return reading('said', body, {}, true);
  if (counted) return null;
  if (NOT_NOW.test(body)) return reading('said', body, {}, true);
  // What stands further in than a movement is about it; "Knee: mind the cap!" is called out, not done.
  const note = under === 'said' || (words <= 4 && BESIDE_CLASS.test(rest)) || / = /.test(rest);
  return note || (item && /!$/.test(body)) ? reading('said', body, {}, true) : null;
};

/** "Floor: none this week": what is left out. */
const NOT_NOW =
  /\b(?:none|nothing|not|no \p{L}+|skip(?:ped|ping)?|left out|leave out) (?:this (?:week|time)|today|tonight|for now|yet)\b/iu;

/** "end 12:20", "Finish by 8.30": when the class is over. */
const ENDS_AT =
  /^(?:end|ends|finish|finished|close|stop|done|out|over)(?: (?:at|by|before))? (?:[01]?\d|2[0-3])[:.][0-5]\d(?: ?[ap]\.?m\.?| h| o['’]clock)?[.!]?$/i;

/** What is told for some time, also where a sentence tells of it. */
const toldForATime: Reader = ({ body }) => talkOf(body);

const READERS: readonly Reader[] = [
  toldForATime,
  ofStepOrClass,
  stillness,
  changeOfPlace,
  quietOrDone,
  toldToPeople,
  spoken,
];

/** A name with its amounts, or in a list; else it is said. */
function namedOrSaid(look: Look): Reading {
  const { body, rest, words, counts, counted, bare, crowded, item, under } = look;
  const isNamed = item || (counted && body.length <= NAME_AT_MOST);
  const name = rest === '' ? body : rest;
  // "every 30 s: nothing to do" names nothing.
  if (counted && /^(?:every|each)$/i.test(rest)) return reading('said', body, {}, true);
  if (isNamed && counted) {
    const guessed =
      (bare && !item && !isUsualCount(look)) ||
      crowded ||
      (isDoubtful(unquoted(rest)) && !isPlainWord(look)) ||
      /\p{L}(?:\.{3}|…)|^\(.*\)$/u.test(body) ||
      TWO_NAMES.test(body) ||
      isOnlyOwnPace(counts);
    return reading('movement', rest === '' ? body : rest.replace(/^["“]([^"“”]+)["”]$/, '$1'), counts, guessed);
  }
  if (item && (isTold(name) || (under === 'movement' && isCue(name)))) return reading('said', body, {}, true);
  const prose = /[.!?]$/.test(rest) && words > 8;
  // What stands as a list under a movement that has its counts are remarks on it.
  if (isNamed && !prose) return reading('movement', name, counts, isDoubtful(rest) || under === 'movement');
  return reading('said', body, {}, isShort(look) || prose || hasFigure(body));
}

/** "Cloud hands 10": a bare number as movements have it, behind a name of more than a word. */
function isUsualCount({ body, words, counts: { rounds = 0, seconds } }: Look): boolean {
  return (
    /\d/.test(body) && words > 1 && seconds === undefined && rounds >= USUAL_COUNT.min && rounds <= USUAL_COUNT.max
  );
}

/** "waist x12", "shake 1 min": one word with its amount behind it, of which nothing else is left. */
function isPlainWord({ body, rest, bare, counts: { held, hold } }: Look): boolean {
  if (bare || held || hold !== undefined || /[.!?]\s/.test(body)) return false;
  return /^\p{Ll}{3,}$/u.test(rest) && body.toLowerCase().startsWith(rest) && !NO_NAME.test(rest);
}

const NO_NAME =
  /^(?:repeat|again|same|then|them|time|leave|rest|about|max|min|only|until|allow|another|change|swap|continue|both|and|for|bells?|gong|chime)$/;

/** "Step out. Hold the tree. Three minutes.": either may be what is done so long. */
const TWO_NAMES = /^\p{Lu}[^.!?\d]{4,40}\. \p{Lu}\p{L}+ [^.!?\d]{3,40}\. \S/u;

/** "both together, no words": neither how often nor how long, so perhaps no step. */
function isOnlyOwnPace({ rounds, seconds, breath }: Counts): boolean {
  return rounds === undefined && seconds === undefined && breath === undefined;
}

const USUAL_COUNT = { min: 3, max: 36 } as const;

/** A short line without a full stop may have been a name. */
function isShort({ body, words }: Look): boolean {
  return !/[.!?…”"]$/.test(body) && (words < 6 || (words < 10 && /^\p{Lu}/u.test(body)));
}

/** "Repeat eight times.", "Hold for twenty seconds on each leg.": amounts of the step above; "allow 15 minutes" of the class. */
function isOfStepAbove(name: string, under: LineKind): boolean {
  if (name !== '' && !/\p{L}/u.test(name)) return true;
  if (under === 'nothing') return /^(?:allow|takes?|lasts?|it takes|this takes|lasting)\.?$/i.test(name);
  return (under === 'movement' || under === 'said') && REPEATED.test(name);
}

const REPEATED =
  /^(?:(?:repeat(?:ed)?|perform(?:ed)?|do|done|practi[sc]ed?|continue|carry on|go on|keep going|complete|go round|round|run through)\b)?(?: ?(?:this|it|that|them|the (?:movement|exercise|whole thing|lot))\b)?,? ?(?:(?:with|on) (?:the|each|every|your) breath|(?:very |nice and )?(?:slow(?:ly)?|soft(?:ly)?|gentl[ey]|eas(?:y|ily)|smooth(?:ly)?)|in all|in total|altogether)?\.?$/i;

/** "“Brush the Water” - 5 left, 5 right": a name in quotation marks. */
function unquoted(name: string): string {
  return name.replace(/^["“]([^"“”]+)["”](?:$|(?:[,:]| [–-]) .*$)/, '$1');
}

/** "Looking over the Wall, never forcing the neck": how it is done stands behind a comma. */
const TOLD_OF_NAME = /, (?:and |but )?(?:\p{Ll}+ing|never|always|with|keep|no|not|very|slow(?:ly)?|and)\b/u;

/** A number that nothing was made of may have been an amount. */
function hasFigure(text: string): boolean {
  return (
    /\d/.test(text) ||
    /\b(?:two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|sixty|twice|thrice|dozen|minutes?|seconds|mins?|secs)\b(?! more\W*$)(?! (?:of|people|feet|hands|legs|arms)\b)/iu.test(
      text,
    )
  );
}

const EYES_CLOSED =
  /(?:^|\b(?:sit|stand|lie|lying|sitting|standing|rest|resting|down|quiet|still|listens?)\b.*)\b(?:(?:clos(?:e|ing)|shut(?:ting)?) (?:your |the |their |our )?eyes|eyes (?:closed|shut))\b/i;

/** An amount behind a comma, or at the end of an order. */
const AMOUNT_APART =
  /[,;:–—-] (?:\S+ ){0,2}\S+ (?:times|rounds|breaths|reps|minutes?|mins?|seconds?|secs?)\b|^\p{Lu}[^,]* (?:for|about) \S+ \S+[.!]?$|\btimes[.!]?$/u;

/** "Hands float down in front of you, three times": what a part of the body does, so often, is a step. */
const LIMB_FIRST =
  /^(?:both |the )?(?:hands|arms|palms|heels|knees|elbows|shoulders|wrists|fists|fingers) (?!are|stay|rest|may|can|on\b|in\b)\p{Ll}+ [^.!?]*$/u;

/** What a body is told to do, at the start of a sentence: with a time it is a step, also where it says "your". */
const DOING =
  /^(?:now |then |and |gently |slowly |softly |(?:have|get|let|ask|tell) (?:them|everyone|everybody|people) (?:to |all )?(?=.* for ))*(?:rub|shake|tap|swing|circle|roll|lift|press|turn|stretch|bounce|sway|pat|brush|massage|stroke|wash|squeeze|walk|draw|push|pull|sweep|float|raise|twist|rock|stamp|drum|(?:stand|balance|stay)(?= on (?:one|your|the|each|either) (?:\w+ )?(?:leg|foot)))\b(?=.*\b(?:your|the|you|everything|out)\b)/i;

/** The name of what is told to be done: up to what comes after it. */
function firstDone(text: string): string {
  const told = text.replace(/^(?:have|get|let|ask|tell) (?:them|everyone|everybody|people) (?:to |all )?/i, '');
  return (
    told
      .replace(
        /(?:,| then | and (?!\S+[.]?$|(?:arms?|legs?|hands?|feet|shoulders|knees|hips|elbows|wrists|ankles|fingers|toes|head|neck|back|belly|chest)\b)|\.).*$/i,
        '',
      )
      .trim() || text
  );
}

/** "3 deep breaths" is a step of its own; "5 breaths" under a movement says how often. */
function isOfBreaths(body: string, under: LineKind): boolean {
  if (!/\bbreaths?\b/i.test(body)) return false;
  return under !== 'movement' || /\b(?:deep|big|slow|long|easy|quiet|soft|full|together)\b/i.test(body);
}

/** A hold by seconds with no rounds is a still hold, not a rest in each round; a long one also where it is done again. */
function heldStill({ hold, ...counts }: Counts, holds: Range | null): Counts {
  if (hold === undefined) return counts;
  const { rounds, roundsWithin: _, ...others } = counts;
  const again = rounds !== undefined && hold >= POSTURE_FROM && counts.seconds === undefined ? rounds : 1;
  if (again === 1 && (rounds !== undefined || counts.seconds !== undefined)) return { ...counts, hold };
  // A posture is held on one side and then on the other, never by turns.
  const sides = counts.sides === 'alternating' ? 'one-then-other' : counts.sides;
  const seconds = secondsFrom(holds ?? [hold, hold], again * (sides === 'one-then-other' ? 2 : 1));
  return { ...others, ...(sides ? { sides } : {}), held: true, seconds };
}
