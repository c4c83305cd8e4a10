import { itemAt } from '@/core/units';
import { isOnlyBreath } from './breath-counts';
import { breathsOf, withBreathSpelled } from './breath-lines';
import { reading, type Reading } from './reading';
import { findCounts, secondsFrom } from './counts';
import { firstWord } from './first-words';
import { headingOf, headOfList, ITEM } from './headings';
import { LABELS, SETTINGS } from './labels';
import type { Counts, LineKind } from './model';
import { bareName, BEFORE_NAME, isDoubtful } from './names';
import { rowOf, spelledOut } from './rows';
import { severalSteps } from './several';
import { wordAmong } from './tokens';

/** What a line stands in: under which step, whether the next line underlines it, whether all is written in capitals. */
export interface Standing {
  readonly under: LineKind;
  readonly underlined: boolean;
  /** Whether a list or its subheads begin below it. */
  readonly opens: boolean;
  readonly shouted: boolean;
  /** Whether it stands further in than the step above. */
  readonly inset: boolean;
  /** Whether it stands in a list without marks: further in than a line that ends in a colon. */
  readonly listed: boolean;
}

/** The time of day of the class at which a line stands: "12:40 Row" is no length. */
const STAMP = /^\[?\d{1,2}:\d{2}(?::\d{2})?\]?\s+(?=\S)/;
/** From when to when in the class: "2:00-6:00 Loosening", "0–2 min: Welcome". */
const SPAN =
  /^[[(]?(?:(\d{1,2}):(\d{2}) ?(?:[-–—]|to|until) ?(\d{1,2}):(\d{2})|(?:mins? |minutes? )?(\d{1,2}) ?[-–—] ?(\d{1,2})(?: ?(?:mins?|minutes|['′])(?=[\s:])| ?(?=:)))[\])]?\s*[:,.–—-]?\s+(?=\p{L})/iu;
const NAME_AT_MOST = 90;
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
  { under, underlined, opens, shouted, inset: further, listed }: Standing,
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
  const labelled = labelledAs(body);
  if (labelled) return labelled;
  const pause = pauseIn(body);
  if (pause !== null && !(item && /^(?:rest|silence)\b/i.test(body)))
    return [reading('pause', '', { seconds: [pause, pause, pause] })];
  const { counts, rest } = findCounts(body);
  if (counts.breath && Object.keys(counts).length === 1 && isOnlyBreath(rest)) return [reading('setting', '', counts)];
  const breaths = breathsOf(withBreathSpelled(body));
  if (breaths.length > 0) return breaths;
  if (/^["“][^"”]*["”]?[.!?]?$/.test(body)) return [reading('said', body)];
  if (/^[([][^()[\]]*[)\]][.!]?$/.test(body) && Object.keys(counts).length === 0) return [reading('said', body)];
  const inset = item && under === 'movement' && further && /^\s{2,}/.test(line);
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

/** A step without what is only added behind its amounts, which is said in it: "Crane, 4 times, low stance". */
function withoutAside(body: string, item: boolean, under: LineKind): readonly Reading[] {
  const step = stepOrSaid(body, item, under);
  const { aside } = findCounts(body);
  if (step.kind !== 'movement' || !aside) return [step];
  const name = bareName(aside.before);
  const added = step.words.endsWith(bareName(aside.behind));
  if (!added || name.split(/\s+/).length > 5) return [step];
  return [{ ...step, words: name, unsure: isDoubtful(name) }, ...readRemark(aside.behind)];
}

/** What is no breath, heading or pause: the name of a step with its amounts, or words that are said. */
function stepOrSaid(written: string, item: boolean, under: LineKind): Reading {
  const body = withoutLead(written).replace(/[,;] tempo [\d-]+$/i, '');
  const { counts: found, rest: left, bare, crowded } = findCounts(body);
  const rest = bareName(left);
  const counts = heldStill(found);
  const counted =
    counts.rounds !== undefined ||
    counts.seconds !== undefined ||
    counts.ownPace === true ||
    counts.breath !== undefined;
  const words = rest.split(/\s+/).length;
  const talk = isTalk(body, rest);
  const trailing = trailingPause(body);
  if (trailing && !item) return reading('said', trailing.words, trailing.counts);
  if (rest === '' && counts.ownPace) return reading('movement', body, counts, true);
  if (rest === '' && isOfBreaths(body, under)) return reading('movement', sentenceCase(body), counts, true);
  if (rest === '' && (counted || counts.startSide || counts.sides))
    return reading('setting', '', counts, !/^(?:\d|[x×]|both|each|left|right|start|alternat|own|in )/i.test(body));
  if (counts.startSide && !counted && words <= 3) return reading('setting', '', counts);
  const still =
    (isStill(rest) || (counts.seconds !== undefined && words <= 6 && /\beyes (?:shut|closed)\b/i.test(rest))) &&
    counts.rounds === undefined;
  if (still && counts.seconds !== undefined && !talk) return reading('silence', rest, counts);
  if (isTransition(rest) && counts.rounds === undefined && (item || words <= 8)) {
    const long = /^sit/i.test(rest) && (counts.seconds?.[0] ?? 0) >= 60;
    if (long) return reading('silence', rest, counts);
    if (item || under !== 'talk' || /^feet|^step|^sit|^stand/i.test(rest)) return reading('transition', rest, counts);
  }
  if (counts.seconds !== undefined && counts.rounds === undefined && isQuiet(rest))
    return reading('silence', rest, counts, true);
  if (counted && counts.ownPace && counts.rounds === undefined && counts.seconds === undefined && FRAGMENT.test(rest))
    return reading('said', body, {}, true);
  if (counts.seconds !== undefined && DOING.test(body)) return reading('movement', firstDone(rest), counts, true);
  const named = item || (counted && body.length <= NAME_AT_MOST);
  // A short line without a full stop may have been a name.
  const short = !/[.!?…”"]$/.test(body) && (words < 6 || (words < 9 && /^\p{Lu}/u.test(body)));
  const endsCounted = !bare && counts.rounds !== undefined && /\b(?:times|rounds|x ?\d+|\d+ ?x)[.!]?$/i.test(body);
  const toldShortly = endsCounted && words <= 6 && !TALK_STARTS.test(body);
  if (toldShortly && talk && !item) return reading('movement', rest, counts, true);
  if (talk && !(item && counted && words <= 8)) return reading('said', body, {}, counted || short || hasFigure(body));
  // What stands further in than a movement is about it.
  if (under === 'said' && !counted) return reading('said', body, {}, true);
  if (!counted && words <= 4 && BESIDE_CLASS.test(rest)) return reading('said', body, {}, true);
  if (!counted && / = /.test(rest)) return reading('said', body, {}, true);
  if (named && counted)
    return reading('movement', rest === '' ? body : rest, counts, (bare && !item) || crowded || isDoubtful(rest));
  const prose = /[.!?]$/.test(rest) && words > 8;
  if (named && !prose) {
    // What stands as a list under a movement that has its counts are remarks on it.
    return reading('movement', rest === '' ? body : rest, counts, isDoubtful(rest) || under === 'movement');
  }
  return reading('said', body, {}, short || prose || hasFigure(body));
}

/** A number that nothing was made of may have been an amount. */
function hasFigure(text: string): boolean {
  return (
    /\d/.test(text) || /\b(?:two|three|four|five|six|seven|eight|nine|ten|twelve) (?!of\b|more\b)\p{L}/iu.test(text)
  );
}

/** What a body is told to do, at the start of a sentence: with a time it is a step, also where it says "your". */
const DOING =
  /^(?:now |then |and |gently |slowly |softly |(?:have|get|let|ask|tell) (?:them|everyone|everybody|people) (?:to |all )?(?=.* for ))*(?:rub|shake|tap|swing|circle|roll|lift|press|turn|stretch|bounce|sway|pat|brush|massage|stroke|wash|squeeze|walk|draw|push|pull|sweep|float|raise|twist|rock|stamp|drum)\b(?=.*\b(?:your|the|you|everything|out)\b)/i;

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

/** A hold by seconds with no rounds is a still hold, not a rest in each round. */
function heldStill({ hold, ...counts }: Counts): Counts {
  if (hold === undefined) return counts;
  if (counts.rounds !== undefined || counts.seconds !== undefined) return { ...counts, hold };
  // A posture is held on one side and then on the other, never by turns.
  const sides = counts.sides === 'alternating' ? 'one-then-other' : counts.sides;
  const seconds = secondsFrom([hold, hold], sides === 'one-then-other' ? 2 : 1);
  return { ...counts, ...(sides ? { sides } : {}), held: true, seconds };
}

/** "Caution: …", "Level 1: …", "Rounds: 5 each way": the label says what the line is. */
function labelledAs(body: string): readonly Reading[] | null {
  const match = /^([\p{L} -]{2,20}?)(?: (\d))?(?::| -|;)\s+(.+)$/u.exec(body);
  if (!match) return null;
  const label = itemAt(match, 1).toLowerCase().replace('-', '');
  const text = itemAt(match, 3);
  if (label === 'level') return [reading('level', text)];
  const { counts, rest } = findCounts(text);
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

const PAUSE_WORDS = ['pause', 'silence', 'wait', 'rest', 'breather', 'break', 'gap'] as const;

/** "(pause 20 s)", "pause, half a minute", "a long pause (25 secs)", "10 s of nothing", "(20 s)"; in seconds. */
function pauseIn(text: string): number | null {
  if (
    text.length > 70 ||
    !/^\(|\b(?:pa|pu|silen|wait|rest|break|breather|gap|nothing|them|of quiet|of still)/i.test(text)
  )
    return null;
  const figure = /^\(?pause:? (\d{1,3})\)?$/i.exec(text);
  if (figure) return Number(figure[1]) <= 300 ? Number(figure[1]) : null;
  const bare = text
    .replace(/^\(|\)\.?$/g, '')
    .replace(/^between [^:]{2,30}: /i, '')
    .replace(/^.{2,40}?(?: and|,)(?: then)? (?=(?:wait|pause)\b)/i, '');
  const { counts, rest } = findCounts(bare.replace(/\bfor half a minute\b/i, 'half a minute'));
  const [asked] = counts.seconds ?? [];
  if (asked === undefined || asked > 300 || counts.rounds !== undefined || counts.ownPace) return null;
  if (rest === '' && /^\(.*\)\.?$/.test(text)) return asked;
  const words = rest.toLowerCase().replace(/[^\p{L} ]/gu, '').split(/\s+/).filter((one) => !SMALL.has(one)); // prettier-ignore
  const [word = '', ...others] = words;
  if (wordAmong(word, PAUSE_WORDS) !== null && /^(?:$|after|before|between)/.test(others[0] ?? '')) return asked;
  if (words.length === 1 && /^of (?:quiet|stillness|silence)$/i.test(rest) && asked <= 30) return asked;
  return words.length === 0 && /\b(?:nothing|them)\b/i.test(rest) ? asked : null;
}

const SMALL: ReadonlySet<string> = new Set(['a', 'an', 'the', 'of', 'for', 'long', 'little', 'short', 'give', 'them', 'leave', 'here', 'nothing', 'then', 'take', 'have', 'now', 'and', 'comes', '']); // prettier-ignore

/** "Hands down (pause 5s)", "thank you (10 s)": said, with a pause behind it. */
function trailingPause(body: string): { readonly words: string; readonly counts: Counts } | null {
  const match = /^(.+\p{L}[.!?,]?) \(([^()]{2,20})\)\.?$/u.exec(body);
  if (!match) return null;
  const pause = pauseIn(`(${itemAt(match, 2)})`);
  const said = itemAt(match, 1);
  const { counts } = findCounts(said);
  const spoken =
    /^(?:thank|hands|good|now|and|let|come|notice)\b/i.test(said) ||
    /[.!?]$/.test(said) ||
    /pause/i.test(itemAt(match, 2));
  return pause === null || !spoken || counts.rounds !== undefined
    ? null
    : { words: said, counts: { seconds: [pause, pause, pause] } };
}

function isStill(text: string): boolean {
  if (/\b(?:do(?:ing)? nothing|nothing at all|nothing to do)\b/iu.test(text)) return true;
  return (
    /^(?:(?:now|then|let us|we|just|quietly) )*(?:stand(?:ing)?(?: (?:still|quietly|and do nothing|here))?|stillness|still(?=$)|silence|quiet|be still|rest|sit(?:ting)? (?:or standing|still|quiet(?:ly)?|qtly|for|in silence)|lie(?: down)?|eyes closed|close your eyes)(?:$|[ ,.;])/i.test(
      text,
    ) && !/^stand(?:ing)? (?:on one|like|post|up)\b/i.test(text)
  );
}

/** What is written down for the day and is no part of the class. */
const BESIDE_CLASS =
  /\b(?:tea|coffee|cake|biscuits?|chat|natter|payments?|register|feedback|raffle|photos?|notices?|money|keys?)\b/i;

/** Stillness said otherwise than by standing or sitting at the start: "palms on the eyes and be silent". */
function isQuiet(text: string): boolean {
  const silent =
    /\b(?:in silence|silent(?:ly)?|say(?:ing)? nothing|nothing said|no talking|be still|keep still|nothing else|just (?:sit|stand|breathe|be)(?:ting|ing)?)\b/i;
  const placed =
    /\b(?:st(?:and|ood)(?:ing)?|sit(?:ting)?|lie|lying|rest(?:ing)?|eyes|palms|hands on|belly|listen|be)\b/i;
  return silent.test(text) && placed.test(text);
}

/** What is left of a line about another: "no talking in that". */
const FRAGMENT = /^(?:in|on|at|for|here|there|with|during|please|this|that|it)\b/i;

const FEET = ['apart', 'together', 'wide', 'wider', 'in', 'again', 'hip'] as const;

function isTransition(text: string): boolean {
  const first = wordAmong(firstWord(text), ['step', 'bring', 'place', 'change', 'turn', 'shift', 'move', 'switch']);
  if (first !== null && /\b(?:feet|foot|legs?|stance|sides?|chair)\b|^step (?:in|back)\b/i.test(text)) return true;
  return (
    /^(?:let us |now |then |we )*(?:bring|step) (?:the |your )?feet\b/i.test(text) ||
    (/^stand(?:ing)? up (?:behind|beside|from|in front|next|and face)\b/i.test(text) &&
      text.split(/\s+/).length <= 6) ||
    (/^feet \p{L}/iu.test(text) && wordAmong(firstWord(text.slice(5)), FEET) !== null) ||
    /^(?:sit up|come (?:to|up to|back to) (?:sit|stand)(?:ing)?|lie down)\b/i.test(text) ||
    /^sit(?:ting)?(?:[,.]| \(|$)/i.test(
      text.replace(/^(sit(?:ting)?) (\p{L}+)/iu, (all, sit: string, next: string) =>
        wordAmong(next.toLowerCase(), ['down']) ? sit : all,
      ),
    )
  );
}

const TALK_STARTS =
  /^(?:i|i'll|i’ll|i'd|if|you|your|they|it|this|that|there|thank|thanks|good|hello|hi|helo|bye|welcome|say|tell|warn|give|call|keep|don't|don’t|dont|do not|somebody|see you|nb|let the|listen|last|between|must|should|need to|make sure|remember|remind|ask|check|lock up|hand out|collect|set up|tidy|money|notices|bring (?:the |your |a |some |spare |extra )*(?:chairs?|mats?|water|bell|speaker|music|keys?)|turn (?:on|off)|put on|come back|and now|never|not|leave out|mind)\b/i;

/** Whether a line speaks to people, or of them, rather than names what is done. */
function isTalk(body: string, rest: string): boolean {
  if (TALK_STARTS.test(body) && !/^let us\b/i.test(body)) return true;
  return /[?]$/.test(body) || /\b(?:you|your|(?<!\b(?:on|of|with|over) )them|somebody|people)\b/i.test(rest);
}
