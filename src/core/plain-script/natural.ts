import { itemAt } from '@/core/units';
import { isOnlyBreath } from './breath-counts';
import { breathsOf, withBreathSpelled } from './breath-lines';
import { reading, type Reading } from './reading';
import { findCounts, secondsFrom } from './counts';
import { withoutFrame } from './frames';
import { headingOf, headOfList, ITEM } from './headings';
import { LABELS, SETTINGS } from './labels';
import { BESIDE_CLASS, FRAGMENT, isQuiet, isStill, isTalk, isTransition, TALK_STARTS } from './line-signs';
import type { Counts, LineKind } from './model';
import { bareName, BEFORE_NAME, isDoubtful } from './names';
import { pauseIn, trailingPause } from './pauses';
import { rowOf, spelledOut } from './rows';
import { severalSteps } from './several';

/** What a line stands in: under which step, whether the next line underlines it, whether all is written in capitals. */
export interface Standing {
  readonly under: LineKind;
  readonly underlined: boolean;
  /** Whether a list or its subheads begin below it. */
  readonly opens: boolean;
  readonly shouted: boolean;
  /** Whether it stands further in than the step above. */
  readonly inset: boolean;
  /** Whether it stands behind a dash, where the step above has a number. */
  readonly otherMark: boolean;
  /** Whether it stands in a list without marks: further in than a line that ends in a colon. */
  readonly listed: boolean;
}

/** The time of day of the class at which a line stands: "12:40 Row" is no length. */
const STAMP = /^\[?\d{1,2}:\d{2}(?::\d{2})?\]?\s+(?=\S)/;
/** From when to when in the class: "2:00-6:00 Loosening", "0–2 min: Welcome". */
const SPAN =
  /^[[(]?(?:(\d{1,2}):(\d{2}) ?(?:[-–—]|to|until) ?(\d{1,2}):(\d{2})|(?:mins? |minutes? )?(\d{1,2}) ?[-–—] ?(\d{1,2})(?: ?(?:mins?|minutes|['′])(?=[\s:])| ?(?=:)))[\])]?\s*[:,.–—-]?\s+(?=\p{L})/iu;
const NAME_AT_MOST = 90;
/** A longer one that a sentence tells of is a silence. */
const LONGEST_PAUSE = 60;
/** A longer line is a paragraph that somebody says; no grammar looks through it. */
const GRAMMAR_UP_TO = 500;
/**
 * How a line of ordinary writing is understood, given what it stands under and whether the next line underlines it.
 * One reading, or an in and an out.
 */
export function readNatural(line: string, standing: Standing): readonly Reading[] {
  // A long line is looked through only where it is long by its blanks alone.
  const written = line.trim();
  const short = written.length > GRAMMAR_UP_TO ? written.replace(/\s+/g, ' ') : written;
  const { text, remarks } = short.length > GRAMMAR_UP_TO ? { text: short, remarks: [] } : rowOf(spelledOut(short));
  const readings = readText(text, line, standing);
  const [first] = readings;
  if (first?.kind !== 'movement') return readings;
  return [...readings, ...remarks.flatMap((remark) => readRemark(remark))];
}

/** What stands beside a movement in its row is its breath, or said. */
function readRemark(remark: string): readonly Reading[] {
  const breaths = breathsOf(withBreathSpelled(remark));
  return breaths.length > 0 ? breaths : [reading('said', remark)];
}

function readText(
  text: string,
  line: string,
  { under, underlined, opens, shouted, inset: further, listed, otherMark }: Standing,
): readonly Reading[] {
  if (text === '' || /^[-=_*~\s]{2,}$/.test(text)) return [reading('nothing', '')];
  if (text.length > GRAMMAR_UP_TO) return [reading('said', text, {}, true)];
  const span = spanOf(text);
  const stamped = span?.behind ?? text.replace(STAMP, '');
  const heading = underlined ? text : headingOf(stamped, shouted);
  if (heading !== null) return [reading('section', heading)];
  const opening = opens ? headOfList(stamped) : null;
  if (opening !== null) return [reading('section', opening, {}, true)];
  const item = ITEM.test(stamped) || (listed && isShortName(stamped));
  const body = stamped.replace(ITEM, '');
  const labelled = labelledAs(body, under);
  if (labelled) return labelled;
  const pause = pauseIn(body);
  if (pause !== null && !(item && /^(?:rest|silence)\b/i.test(body)))
    return [reading('pause', '', { seconds: [pause, pause, pause] })];
  const asked = pauseIn(withoutFrame(body) ?? '');
  if (asked !== null && asked <= LONGEST_PAUSE) return [reading('pause', '', { seconds: [asked, asked, asked] }, true)];
  const { counts, rest } = findCounts(body);
  if (counts.breath && Object.keys(counts).length === 1 && isOnlyBreath(rest)) return [reading('setting', '', counts)];
  const breaths = breathsOf(withBreathSpelled(body));
  if (breaths.length > 0) return breaths;
  if (/^["“][^"”]*["”]?[.!?]?$/.test(body)) return [reading('said', body)];
  if (/^[([][^()[\]]*[)\]][.!]?$/.test(body) && Object.keys(counts).length === 0) return [reading('said', body)];
  const inset = item && under === 'movement' && (otherMark || (further && /^\s{2,}/.test(line)));
  const several = TALK_STARTS.test(body) ? null : severalSteps(body);
  if (several) return several;
  if (under === 'movement' && OTHER_SIDE.test(body)) return [reading('setting', '', { sides: 'one-then-other' })];
  const found = withoutAside(body, item || span !== null, inset ? 'said' : under);
  return span === null ? found : found.map((one) => lastingFor(one, span.seconds));
}

/** "Do the same on the other leg.", "and the other side": the step above, on both. */
const OTHER_SIDE =
  /^(?:and |then |now |so )*(?:(?:we |do |then )*(?:(?:the |exactly the )?same|repeat|again|all of that|that|it) )?(?:again )?(?:on|to|with|for)? ?(?:the )?other (?:side|leg|foot|arm|hand)(?: as well| too| again)?[.!]?$/i;

/** Whether a line could be a name in a list. */
function isShortName(text: string): boolean {
  return text.split(/\s+/).length <= 7 && !/[.!?:”"]$/.test(text) && !TALK_STARTS.test(text);
}

/** How long a line lasts that says from when to when, and what stands behind that; `null` for any other. */
function spanOf(text: string): { readonly seconds: number; readonly behind: string } | null {
  const match = SPAN.exec(text);
  if (!match) return null;
  const [all, ...figures] = match;
  const [fromMinute, fromSecond, toMinute, toSecond, from, to] = figures.map((one) => Number(one ?? 0));
  const start = ((fromMinute ?? 0) + (from ?? 0)) * 60 + (fromSecond ?? 0);
  const seconds = ((toMinute ?? 0) + (to ?? 0)) * 60 + (toSecond ?? 0) - start;
  return seconds > 0 ? { seconds, behind: text.slice(all.length) } : null;
}

/** A movement or a silence without amounts of its own lasts as long as its span; a guess. */
function lastingFor(one: Reading, seconds: number): Reading {
  const timed = one.kind === 'movement' || one.kind === 'silence';
  if (!timed || one.counts.rounds !== undefined || one.counts.seconds !== undefined) return one;
  return { ...one, counts: { ...one.counts, seconds: secondsFrom([seconds, seconds], 1) }, unsure: true };
}

/**
 * A step without what is only added to its name, which is said in it: "Crane, 4 times, low stance", "Rag doll: let the
 * arms wrap around, a minute".
 */
function withoutAside(body: string, item: boolean, under: LineKind): readonly Reading[] {
  const step = stepOrSaid(body.replace(/\s[–—-]\s*$/, ''), item, under);
  if (step.kind !== 'movement') return [step];
  return behindCounts(step, body) ?? behindName(step) ?? [step];
}

/** "Crane, 4 times, low stance": what is told behind the amounts; `null` where nothing is. */
function behindCounts(step: Reading, body: string): readonly Reading[] | null {
  const { aside } = findCounts(body);
  if (!aside) return null;
  const name = bareName(aside.before);
  const added = step.words.includes(bareName(aside.behind));
  if (name === '' || name.split(/\s+/).length > 6 || !(added || step.words.startsWith(name))) return null;
  const remark = added || step.words.length > name.length + 3 ? readRemark(aside.behind) : [];
  return [{ ...step, words: name, unsure: step.unsure || isDoubtful(name) }, ...remark];
}

/** "Birds: arms open like wings", "Knead, both hands": what is told behind the name; `null` where nothing is. */
function behindName(step: Reading): readonly Reading[] | null {
  const [named = '', ...parts] = step.words.split(/, /);
  const { rounds, seconds } = step.counts;
  const amount = rounds ?? seconds;
  if (amount !== undefined && parts.length > 0 && parts.every((one) => OF_BODY.test(one)) && !OF_BODY.test(named))
    return [{ ...step, words: named }, ...readRemark(parts.join(', '))];
  const gloss = GLOSS.exec(step.words);
  if (gloss) return [{ ...step, words: itemAt(gloss, 1) }, ...readRemark(itemAt(gloss, 2))];
  const told = TOLD_BEHIND_NAME.exec(step.words);
  if (!told) return null;
  const [, name, how, short, manner] = told;
  return [{ ...step, words: name ?? short ?? '', unsure: true }, ...readRemark(how ?? manner ?? '')];
}

/** "both hands", "left right left right", "big circles": no name, but how one that stands before it is done. */
const OF_BODY =
  /^(?:(?:both|left|right|one|each|big|small|slow|slowly|large|wide|low|high|soft|easy|gentle|follow[- ]me|arms?|hands?|palms?|knees?|feet|eyes?|elbows?|shoulders?|with|(?<=(?:big|small|slow|wide|large) )circles?|and|the|loose|relaxed|heavy|light|open|closed)(?: |$)){1,5}$/i;

/** "Wind in the Branches (sway)". */
const GLOSS = /^(\p{L}[^()]{2,40}) \((\p{L}[^()\d]{2,60})\)$/u;

/** "Birds: arms open and close like wings": behind the name, at least three words of how. */
const TOLD_BEHIND_NAME =
  /^(\p{Lu}[^:.,!?]{1,40}): (\p{Ll}\S*(?: [^\s:]+){2,})$|^(\p{L}[^\s:.,!?]*(?: [^\s:.,!?–—-]+){0,3}) [-–—] (\p{Ll}.*)$/u;

/** "Repeat eight times.", "Hold for twenty seconds on each leg.": amounts of the step above; "allow 15 minutes" of the class. */
function isOfStepAbove(name: string, under: LineKind): boolean {
  if (name !== '' && !/\p{L}/u.test(name)) return true;
  if (under === 'nothing') return /^(?:allow|takes?|lasts?|it takes|this takes|lasting)\.?$/i.test(name);
  return under === 'movement' && REPEATED.test(name);
}

const REPEATED =
  /^(?:(?:repeat(?:ed)?|perform(?:ed)?|do|done|practi[sc]ed?|continue|carry on|go on|keep going|complete)\b)?(?: ?(?:this|it|that|them|the (?:movement|exercise|whole thing|lot))\b)?,? ?(?:(?:with|on) (?:the|each|every|your) breath|slowly)?\.?$/i;

/** What is no breath, heading or pause: the name of a step with its amounts, or words that are said. */
function stepOrSaid(written: string, item: boolean, under: LineKind): Reading {
  const body = withoutLead(written).replace(/[,;] tempo [\d-]+$/i, '').replace(TEACHERS_PART, '');
  const asked = ASKED_WITHIN.test(body) ? body.replace(/\?$/, '') : body;
  if (asked !== body && toldOrCounted(asked)) return { ...stepOrSaid(asked, item, under), unsure: true };
  const told = toldStep(body);
  const step = told === null ? null : barely(told, item, under, true);
  return step === null || step.kind === 'said' ? barely(body, item, under, false) : { ...step, unsure: true };
}

/** "Sit for two minutes at the end?": a plan in doubt, and nothing that people are asked. */
const ASKED_WITHIN =
  /^(?!(?:is|are|do|does|did|can|could|should|what|how|why|who|where|when|would|shall|may|any|have|has|will|which|whose|and you|ready|ok(?:ay)?)\b)[^?]*\?$/i;

function toldOrCounted(body: string): boolean {
  const { rounds, seconds } = findCounts(body).counts;
  return rounds !== undefined || seconds !== undefined;
}

/** "…, and I count aloud." */
const TEACHERS_PART = /, (?:and|while) I \p{Ll}+(?: \p{L}+){0,4}\.?$/u;

/** The step that a sentence tells of, where it has an amount. */
function toldStep(body: string): string | null {
  const told = withoutFrame(body);
  if (told === null) return null;
  const { rounds, seconds, hold } = findCounts(told).counts;
  return rounds === undefined && seconds === undefined && hold === undefined ? null : told;
}

/** @param told Whether a sentence told of it. */
function barely(body: string, item: boolean, under: LineKind, told: boolean): Reading {
  const { counts: found, rest: left, bare, crowded } = findCounts(body);
  const named = bareName(left);
  const rest = isOfStepAbove(named, under) ? '' : named;
  const counts = heldStill(found);
  const counted =
    counts.rounds !== undefined ||
    counts.seconds !== undefined ||
    counts.ownPace === true ||
    counts.breath !== undefined;
  const words = rest.split(/\s+/).length;
  const talk = isTalk(body.replace(/\([^()]*\)/g, ''), rest.replace(/\([^()]*\)/g, ''));
  const trailing = trailingPause(body);
  if (trailing && !item) return reading('said', trailing.words, trailing.counts);
  if (rest === '' && counts.ownPace) return reading('movement', body, counts, true);
  if (rest === '' && isOfBreaths(body, under)) return reading('movement', sentenceCase(body), counts, true);
  if (rest === '' && (counted || counts.startSide || counts.sides))
    return reading('setting', '', counts, !/^(?:\d|[x×]|both|each|left|right|start|alternat|own|in )/i.test(body));
  if ((under === 'nothing' || under === 'talk') && OF_CLASS.test(rest) && (counts.seconds?.[0] ?? 0) >= CLASS_FROM)
    return reading('setting', '', { seconds: counts.seconds }, true);
  if (counts.startSide && !counted && words <= 3) return reading('setting', '', counts);
  const still =
    (isStill(rest) || (counts.seconds !== undefined && words <= 6 && /\beyes (?:shut|closed)\b/i.test(rest))) &&
    (counts.rounds === undefined || bare);
  const behind = /^\p{L}[^:]{1,19}: (.+)$/u.exec(rest)?.[1] ?? '';
  if (counts.seconds !== undefined && counts.rounds === undefined && !counts.sides && isStill(behind))
    return reading('silence', behind, { seconds: counts.seconds }, true);
  if (
    counts.seconds !== undefined &&
    counts.rounds === undefined &&
    !counts.held &&
    words <= 12 &&
    EYES_CLOSED.test(rest)
  )
    return reading('silence', rest, { seconds: counts.seconds }, true);
  if (still && counts.seconds !== undefined && !counts.held && !talk)
    return reading('silence', rest, { seconds: counts.seconds });
  if (isTransition(rest) && counts.rounds === undefined && (item || words <= 8)) {
    const long = /^sit/i.test(rest) && (counts.seconds?.[0] ?? 0) >= 60;
    if (long) return reading('silence', rest, counts);
    if (item || under !== 'talk' || /^feet|^step|^sit|^stand/i.test(rest)) return reading('transition', rest, counts);
  }
  if (
    counts.seconds !== undefined &&
    counts.rounds === undefined &&
    (isQuiet(rest) || (/^(?:listen|stand|sit|lie|rest)/i.test(rest) && isQuiet(body)))
  )
    return reading('silence', rest, counts, true);
  if (counted && counts.ownPace && counts.rounds === undefined && counts.seconds === undefined && FRAGMENT.test(rest))
    return reading('said', body, {}, true);
  if (counts.seconds !== undefined && DOING.test(body)) return reading('movement', firstDone(rest), counts, true);
  const isNamed = item || (counted && body.length <= NAME_AT_MOST);
  // A short line without a full stop may have been a name.
  const short = !/[.!?…”"]$/.test(body) && (words < 6 || (words < 10 && /^\p{Lu}/u.test(body)));
  const endsCounted = !bare && counts.rounds !== undefined && /\b(?:times|rounds|x ?\d+|\d+ ?x)[.!]?$/i.test(body);
  const toldShortly = endsCounted && words <= 6 && !TALK_STARTS.test(body);
  if (counts.rounds !== undefined && !bare && talk && LIMB_FIRST.test(body))
    return reading('movement', rest.replace(/,.*$/, ''), counts, true);
  if (told && counted && TOLD_OF_NAME.test(rest)) return reading('movement', rest.replace(/, .*$/, ''), counts, true);
  if (told && talk && counted && rest !== '') return reading('movement', firstDone(rest), counts, true);
  if (toldShortly && talk && !item) return reading('movement', rest, counts, true);
  // "Up on your toes and down, twelve times": with an amount set apart it is a step, also where it says "your".
  const explicit = (counts.rounds !== undefined && !bare) || counts.seconds !== undefined;
  if (talk && explicit && AMOUNT_APART.test(body) && !TALK_STARTS.test(body) && !/[?"“]/.test(body))
    return reading('movement', firstDone(rest), counts, true);
  if (talk && !(item && counted && words <= 8)) return reading('said', body, {}, counted || short || hasFigure(body));
  if (/\b(?:don['’]?t|do not)\b/i.test(rest) && counts.rounds === undefined) return reading('said', body, {}, true);
  // What stands further in than a movement is about it.
  if (under === 'said' && !counted) return reading('said', body, {}, true);
  if (!counted && words <= 4 && BESIDE_CLASS.test(rest)) return reading('said', body, {}, true);
  if (!counted && / = /.test(rest)) return reading('said', body, {}, true);
  if (isNamed && counted)
    return reading('movement', rest === '' ? body : unquoted(rest), counts, (bare && !item) || crowded || isDoubtful(rest)); // prettier-ignore
  const prose = /[.!?]$/.test(rest) && words > 8;
  // "Knee: mind the cap!" is called out, not done.
  if (item && !counted && /!$/.test(body)) return reading('said', body, {}, true);
  if (isNamed && !prose) {
    // What stands as a list under a movement that has its counts are remarks on it.
    return reading('movement', rest === '' ? body : rest, counts, isDoubtful(rest) || under === 'movement');
  }
  return reading('said', body, {}, short || prose || hasFigure(body));
}

/** "“Brush the Water” - 5 left, 5 right": a name in quotation marks. */
function unquoted(name: string): string {
  return name.replace(/^["“]([^"“”]+)["”](?:$|(?:[,:]| [–-]) .*$)/, '$1');
}

/** "They expect about half an hour": what is said of the class, not of a step in it; in seconds. */
const OF_CLASS =
  /\b(?:expect|the (?:hall|room|studio|slot)|we have|you have|they have|lasts?|takes|class|session|lesson|altogether|in total)\b/i;
const CLASS_FROM = 480;

/** "Looking over the Wall, never forcing the neck": how it is done stands behind a comma. */
const TOLD_OF_NAME = /, (?:and |but )?(?:\p{Ll}+ing|never|always|with|keep|no|not|very|slow(?:ly)?|and)\b/u;

/** A number that nothing was made of may have been an amount. */
function hasFigure(text: string): boolean {
  return (
    /\d/.test(text) ||
    /\b(?:two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|sixty|twice|thrice|dozen|minutes?|seconds|mins?|secs)\b(?! (?:of|more|people|feet|hands|legs|arms)\b)/iu.test(
      text,
    )
  );
}

const EYES_CLOSED =
  /(?:^|\b(?:sit|stand|lie|lying|sitting|standing|rest|resting|down|quiet|still|listen)\b.*)\b(?:clos(?:e|ing) (?:your |the |their |our )?eyes|eyes (?:closed|shut))\b/i;

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
  return told.replace(/(?:,| then | and (?!\S+[.]?$)|\.).*$/i, '').trim() || text;
}

/** A line without "Last one: " or "then ", where what follows has amounts. */
function withoutLead(written: string): string {
  const body = written.replace(BEFORE_NAME, '');
  if (body === written || TALK_STARTS.test(body)) return written;
  const { counts } = findCounts(body);
  return counts.rounds !== undefined || counts.seconds !== undefined ? body : written;
}

/** "3 deep breaths" is a step of its own; "5 breaths" under a movement says how often. */
function isOfBreaths(body: string, under: LineKind): boolean {
  if (!/\bbreaths?\b/i.test(body)) return false;
  return under !== 'movement' || /\b(?:deep|big|slow|long|easy|quiet|soft|full)\b/i.test(body);
}

function sentenceCase(text: string): string {
  const small = text === text.toUpperCase() ? text.toLowerCase() : text;
  return small.charAt(0).toUpperCase() + small.slice(1);
}

/** Nobody rests so long in a breath: what is held for so many seconds is a posture. */
const POSTURE_FROM = 10;

/** A hold by seconds with no rounds is a still hold, not a rest in each round; a long one also where it is done again. */
function heldStill({ hold, ...counts }: Counts): Counts {
  if (hold === undefined) return counts;
  const { rounds, roundsWithin: _, ...others } = counts;
  const again = rounds !== undefined && hold >= POSTURE_FROM && counts.seconds === undefined ? rounds : 1;
  if (again === 1 && (rounds !== undefined || counts.seconds !== undefined)) return { ...counts, hold };
  // A posture is held on one side and then on the other, never by turns.
  const sides = counts.sides === 'alternating' ? 'one-then-other' : counts.sides;
  const seconds = secondsFrom([hold, hold], again * (sides === 'one-then-other' ? 2 : 1));
  return { ...others, ...(sides ? { sides } : {}), held: true, seconds };
}

/** "Caution: …", "Level 1: …", "Rounds: 5 each way": the label says what the line is. */
function labelledAs(body: string, under: LineKind): readonly Reading[] | null {
  const match = /^([\p{L} -]{2,20}?)(?: (\d))?(?::| -|;)\s+(.+)$/u.exec(body);
  if (!match) return null;
  const label = itemAt(match, 1).toLowerCase().replace('-', '');
  const text = itemAt(match, 3);
  const { counts, rest } = findCounts(text);
  // "Level: beginners. Length: half an hour."
  if (label === 'level' && /\b(?:length|duration|time|target):/i.test(text) && counts.seconds)
    return [reading('setting', '', counts)];
  if (label === 'level') return [reading('level', text)];
  // Below a step it tells of the class so far.
  if (/^t(?:arget|otal)/.test(label) && under !== 'nothing' && under !== 'talk') return null;
  if (SETTINGS.has(label)) return settingOf(label, text, counts);
  if (label === 'breath' || label === 'breathing') {
    if (counts.breath) return null;
    const amount = text.search(/,? ?(?:[x×] ?\d|\d+ ?[x×]|\d+ (?:times|rounds))/);
    const breaths = breathsOf(
      (amount < 0 ? text : text.slice(0, amount)).replace(
        /\b(in|out) (?=(?:on|with|as|at|through|for|over)\b)/gi,
        (_, way: string) => `${/^i/i.test(way) ? 'inhale' : 'exhale'} `,
      ),
    );
    if (counts.rounds !== undefined && breaths.length > 0)
      return [reading('movement', sentenceCase(label), counts), ...breaths];
    return breaths.length > 0 ? breaths : null;
  }
  if (label === 'hold') return [reading('movement', rest === '' ? text : rest, counts)];
  const kind = LABELS.get(label);
  if (kind === undefined || /^(?:in|out|inhale|exhale)$/.test(label)) return null;
  if (kind === 'pause') {
    const seconds = counts.seconds?.[0];
    return seconds === undefined ? null : [reading('pause', '', { seconds: [seconds, seconds, seconds] })];
  }
  if (kind === 'movement' && rest !== '') return withoutAside(text, true, under);
  const named = kind === 'movement' || kind === 'silence' || kind === 'transition';
  return [
    reading(
      kind,
      named && rest !== '' ? rest : named ? label.charAt(0).toUpperCase() + label.slice(1) : text,
      named ? counts : {},
    ),
  ];
}

function settingOf(label: string, text: string, counts: Counts): readonly Reading[] | null {
  if (label === 'for' || label === 'call back') return [reading('setting', text, {}, true)];
  const side = /^(left|right)\b/i.exec(text);
  if (/^sides?$/.test(label) && side)
    return [reading('setting', '', { startSide: /^l/i.test(text) ? 'left' : 'right' })];
  const bare = /^(\d{1,3})(?![\d:.])/.exec(text);
  const rounds = counts.rounds === undefined && counts.seconds === undefined && bare ? { rounds: Number(bare[1]) } : {};
  return [reading('setting', '', { ...counts, ...rounds })];
}
