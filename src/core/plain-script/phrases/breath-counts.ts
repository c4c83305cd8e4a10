import { breathAsked, clamped, LIMITS, type MovementStep, type PlanPace } from '@/core/plan';
import { itemAt } from '@/core/units';
import { NUMBER_WORDS } from '../tokens/tokens';

/*
 * How long a breath is as people write it: "in 4, out 6", "4 in / 6 out", "inhale for four, exhale for six", "breath 4/6".
 */

/** Seconds in, seconds out. */
export type BreathCounts = readonly [inhale: number, exhale: number];
/** Seconds that it rests full, seconds empty; 0 where it does not. */
export type BreathRests = readonly [full: number, empty: number];

const SMALL_NUMBERS = 'two|three|four|five|six|seven|eight|nine|ten|eleven|twelve';
const N = `(\\d{1,2}(?:\\.\\d)?|${SMALL_NUMBERS})`;
const UNIT = '(?: ?(?:counts?|beats?|secs?|seconds?|s)\\b\\.?)?';
const JOINED = '(?: ?[,;/+&–-])?(?: (?:and|then))?(?: breathe?)? ?';
const BEFORE = '(?:[,;–-] )?\\(?(?:\\b(?:breath(?:e|ing|s)?|breath pattern|pattern|pace):? )?';
/** Not "out 8 times". */
const AFTER = '(?:\\)|(?! ?(?:\\)|\\d|times|rounds|reps|x\\b|×|breaths|min|e/|each|\\.\\d)))';

const BY_NOSE = '(?: (?:through|by|via) (?:the |your )?(?:nose|mouth))?';

const FORMS: readonly RegExp[] = [
  new RegExp(
    `${BEFORE}\\b(?:in|inhale|inhaling)${BY_NOSE}(?: for| to| =|:)? ?${N}${UNIT}(?:\\.{2,}|…)?${JOINED}(?:out|exhale|exhaling)${BY_NOSE}(?: for| to| =|:)? ?${N}(?![\\d:])${UNIT}${AFTER}`,
    'i',
  ),
  new RegExp(`${BEFORE}\\b${N}${UNIT} in${JOINED}${N}${UNIT} out\\b${AFTER}`, 'i'),
  new RegExp(
    `(?:[,;–-] )?\\(?\\b(?:breath|breathing|breathe|breath pattern|pattern):? ${N} ?[/:-] ?${N}(?![\\d:/])${AFTER}`,
    'i',
  ),
];
/** "4 sec down, 4 sec up": up is the way in. Common practice, no published source. */
const UP_DOWN =
  /(?:[,;:–-] ?)?\(?(\d{1,2}) ?(?:s|secs?|seconds?|counts?)\b\.?(?: going)? (up|down)(?: ?[,;/+&–-])?(?: and| then)? ?(\d{1,2}) ?(?:s|secs?|seconds?|counts?)\b\.?(?: going)? (up|down)\b\)?/i;

function withoutUpAndDown(text: string): BreathFound | null {
  const [all = '', first, way = '', second, other = ''] = UP_DOWN.exec(text) ?? [];
  if (all === '' || way.toLowerCase() === other.toLowerCase()) return null;
  const seconds = [Number(first), Number(second)] as const;
  const breath = /up/i.test(way) ? seconds : ([seconds[1], seconds[0]] as const);
  const whole = breath[0] + breath[1];
  const left = text.replace(all, ' ').replace(/ +/g, ' ').trim();
  // Without a count of rounds it is a time: "Shoulders, 10 s up, 10 s down".
  if (!/[x×] ?\d|\d ?(?:[x×]|times|rounds|reps)/i.test(left) && !/\d ?[x×]$/i.test(left)) return null;
  return Math.min(...breath) < 1 || whole < BREATH.min || whole > BREATH.max ? null : { breath, text: left };
}

/** A breath is no shorter and no longer than this, in seconds; longer "counts" count something else. */
const BREATH = { min: 3, max: 30 };

/** "In 4, hold 4, out 6, hold 2"; "4-7-8 breath", "box breathing 4-4-4-4": in, full, out, empty. */
const HELD = `(?:hold|pause|rest|wait|keep)(?: it)?(?: for| to| =|:)? ?${N}${UNIT}`;
const RESTED: readonly RegExp[] = [
  new RegExp(
    `${BEFORE}\\b(?:in|inhale|breathe in)(?: for| to| =|:)? ?${N}${UNIT}${JOINED}${HELD}${JOINED}(?:out|exhale)(?: for| to| =|:)? ?${N}${UNIT}(?:${JOINED}${HELD})?${AFTER}`,
    'i',
  ),
  /(?<=\bbreath(?:e|ing|s)?\b)[:,]? \(?(\d{1,2})[-/:–](\d{1,2})[-/:–](\d{1,2})(?:[-/:–](\d{1,2}))?\)?(?![\d:/-])/i,
  /\b(\d{1,2})[-/:–](\d{1,2})[-/:–](\d{1,2})(?:[-/:–](\d{1,2}))?(?= breath(?:e|ing|s)?\b)/i,
];

/** What a line says of one breath, and the line without it. */
interface BreathFound {
  readonly breath: BreathCounts | null;
  readonly rests?: BreathRests;
  readonly text: string;
}

function withoutRests(text: string): BreathFound | null {
  for (const form of RESTED) {
    const match = form.exec(text);
    if (!match) continue;
    const [inhale = 0, full = 0, exhale = 0, empty = 0] = match.slice(1).map((one: string | undefined) => valueOf(one ?? '0')); // prettier-ignore
    const whole = inhale + exhale;
    if (inhale < 1 || exhale < 1 || whole < BREATH.min || whole > BREATH.max || Math.max(full, empty) > REST_AT_MOST)
      continue;
    const rest = `${text.slice(0, match.index)} ${text.slice(match.index + match[0].length)}`;
    return { breath: [inhale, exhale], rests: [full, empty], text: rest.trim() };
  }
  return null;
}

/** What rests a breath, and where it is full or empty, as people write them. */
export const RESTS_BREATH = '(?:hold|pause|rest|wait|stay|suspend)';
const RESTS_IN_LINE =
  '(?:hold(?:ing)?|paus(?:e|ing)|rest(?:ing)?|wait(?:ing)?|stay(?:ing)?|suspend|stop(?:ping)?|linger(?:ing)?)';
export const AT_FULL =
  '(?:at|on) (?:the )?(?:top|full(?:ness)?)|(?:after|at the end of|behind) (?:the |each |every )?(?:in-?breath|inhale|inhalation|breathing in)|full|when full|on the inhale';
export const AT_EMPTY =
  '(?:at|on) (?:the )?(?:bottom|empty)|(?:after|at the end of|behind) (?:the |each |every )?(?:out-?breath|exhale|exhalation|breathing out)|empty|when empty|on the exhale';
export const REST_SECONDS = '(\\d{1,2}(?:\\.\\d)?|two|three|four|five|six) ?(?:s|secs?|seconds?|counts?|beats?)\\b';
/** A longer one in a line with a name is a posture. */
const IN_LINE_AT_MOST = 10;
const AT_BOTH = 'at (?:the )?(?:top and (?:at )?(?:the )?bottom|bottom and (?:at )?(?:the )?top|both ends|each end)';
/** Where a movement has come to: its breath is full or not, and it rests between the two ways. */
const AT_END =
  '(?:at|in) (?:the |each |every )?(?:end|final|last|open|far|stretched|extended|twisted|turned|lifted)(?: (?:position|posture|pose|point|place))?|in (?:the |each |every )?(?:twist|stretch|turn|bow|end|position|posture|pose)|at (?:the |its )?(?:far end|furthest point|highest point|peak)';
const WHERE = `(?:(${AT_BOTH})|(${AT_FULL}|(?:${AT_END})(?! of))|(${AT_EMPTY}))(?: of (?:the |each |every )?(?:breath|movement|round|rep|one))?(?![\\p{L}\\d])\\)?`;
const LEADS_REST =
  '(?:\\s*[,;:(]\\s*|\\s+[–—+&-]\\s*|\\s+)(?:(?:with|and|then|plus|adding|add) )*(?:an? )?(?:short |brief |small |little |quiet )?';
const RESTED_BEHIND = [
  new RegExp(`${LEADS_REST}${RESTS_IN_LINE}(?: of| for|:)? ${REST_SECONDS}(?: each| long)? ${WHERE}`, 'iu'),
  new RegExp(`${LEADS_REST}${REST_SECONDS} ${RESTS_IN_LINE} ${WHERE}`, 'iu'),
] as const;
const RESTED_AT = new RegExp(`${LEADS_REST}${RESTS_IN_LINE} ${WHERE},? ?\\(?(?:for )?${REST_SECONDS}\\)?`, 'iu');

/** "…, hold for one breath": about so many seconds a breath; common practice, no published source. */
const HELD_BREATH = /[,;]? ?\(?(?:and |then )*(?:hold|stay|pause|rest)(?: it| there| here)? (?:for )?(one|an?|two|1|2)(?: (?:full|slow|whole|easy))? breaths?\)?(?=[.,;)]|$)/iu; // prettier-ignore
const BREATH_SECONDS = 5;

/** "Bow x5, pause 2 s at the bottom": the rests of its breath, and the line without them; `null` where it has none. */
export function withoutRestBehind(text: string): (BreathFound & { readonly rests: BreathRests }) | null {
  if (!MAY_REST.test(text)) return null;
  const breaths = HELD_BREATH.exec(text);
  if (breaths) {
    const seconds = BREATH_SECONDS * (/^(?:two|2)$/i.test(breaths[1] ?? '') ? 2 : 1);
    const left = text.slice(0, breaths.index) + text.slice(breaths.index + breaths[0].length);
    return { breath: null, rests: [seconds, 0], text: left.trim() };
  }
  const behind = RESTED_BEHIND.map((form) => form.exec(text)).find((match) => match !== null);
  const match = behind ?? RESTED_AT.exec(text);
  if (!match) return null;
  const [both, full, empty] = behind ? match.slice(2) : match.slice(1);
  const seconds = valueOf((behind ? match[1] : match[4]) ?? '');
  if (seconds < 1 || seconds > IN_LINE_AT_MOST) return null;
  const rests = [(both ?? full) ? seconds : 0, (both ?? empty) ? seconds : 0] as const;
  const rest = text.slice(0, match.index) + text.slice(match.index + match[0].length);
  return { breath: null, rests, text: rest.trim() };
}

const MAY_REST = new RegExp(`\\b${RESTS_IN_LINE}\\b`, 'i');

/** Nobody writes a longer rest in a breath, in seconds. */
const REST_AT_MOST = 20;

/** The breath that a line gives in counts, and the line without it; a count is taken for a second. */
export function withoutBreath(written: string): BreathFound {
  const behind = withoutRestBehind(written);
  if (!behind) return withoutLedBreath(written);
  const led = withoutLedBreath(behind.text);
  return { rests: behind.rests, ...led };
}

function withoutLedBreath(text: string): BreathFound {
  const upAndDown = /\bup\b/i.test(text) ? withoutUpAndDown(text) : null;
  if (upAndDown) return upAndDown;
  if (!/\b(?:in|inhal|breath|pattern)/i.test(text)) return { breath: null, text };
  const rested = withoutRests(text);
  if (rested) return rested;
  for (const form of FORMS) {
    const match = form.exec(text);
    if (!match) continue;
    const breath = [valueOf(itemAt(match, 1)), valueOf(itemAt(match, 2))] as const;
    const whole = breath[0] + breath[1];
    // "Wrist rolls (10 in, 10 out)": which way, and how often.
    if (breath[0] === breath[1] && breath[0] >= 5 && /roll|circl|rotat/i.test(text))
      return { breath: null, text: text.replace(/(?<=\d ?)(in|out)\b/gi, '$1wards') };
    if (breath.some((part) => part < 1) || whole < BREATH.min || whole > BREATH.max) continue;
    const rest = `${text.slice(0, match.index)} ${text.slice(match.index + match[0].length)}`;
    return { breath, text: rest.trim() };
  }
  return { breath: null, text };
}

function valueOf(written: string): number {
  return NUMBER_WORDS.get(written.toLowerCase()) ?? Number(written);
}

/** Whether what is left beside a breath only says how long it lasts: "for the whole class". */
export function isOnlyBreath(rest: string): boolean {
  return /^[\s,.;:]*(?:(?:for|all|the|whole|class|through|throughout|always|here|breath|breathing|breathe|of|this|one|each|time|slow|easy|gentle|counts?)[\s,.;:]*){0,6}$/i.test(
    rest,
  );
}

/** Whether what is left beside a breath only tells how it goes: "very slowly", "gently", "softer now". */
export function isManner(rest: string): boolean {
  return MANNER.test(rest);
}

const MANNER =
  /^\(?(?:(?:very|really|nice(?:ly)?|quite|a bit|a little|much|still|now|then|here|and|but|with|this one|this time|keep|go|do|it|all|even|more|less|slow(?:ly|er)?|gent(?:le|ly|ler)|eas(?:y|ily|ier)|soft(?:ly|er)?|calm(?:ly|er)?|smooth(?:ly|er)?|quiet(?:ly|er)?|deep(?:ly|er)?|long(?:er)?|relaxed|light(?:ly|er)?|steady|steadily|full|unhurried|no hurry|no rush|take (?:your|our) time|breath(?:e|ing)?|breaths)(?:[\s,.;:–-]+|$))+$/i;

/** The class's breath as it is written above its first step. */
export function breathOfClass(breath: BreathCounts, pace: PlanPace): PlanPace {
  const share = shareOf(breath);
  return { ...breathAsked(pace, breath[0] + breath[1]), inhaleShare: share, closingInhaleShare: share };
}

/** A movement's own breath is a multiple of the class's. */
export function breathOfStep(
  breath: BreathCounts,
  pace: PlanPace,
): Pick<MovementStep, 'paceMultiplier' | 'inhaleShare'> {
  const times = (breath[0] + breath[1]) / pace.breathSeconds;
  return {
    paceMultiplier: clamped(Math.round(times * 100) / 100, LIMITS.paceMultiplier),
    inhaleShare: shareOf(breath),
  };
}

/** The share of a breath that goes in. */
function shareOf([inhale, exhale]: BreathCounts): number {
  return clamped(Math.round((inhale / (inhale + exhale)) * 100) / 100, LIMITS.inhaleShare);
}
