import { breathsOf } from './breath-lines';
import { findCounts, hasAmount, secondsFrom } from './counts';
import { withoutFrame } from './frames';
import { isStill } from './line-signs';
import type { Counts } from './model';
import { MAY_COUNT } from './name-lines';
import { wordCount } from './line-words';
import { reading, type Reading } from './reading';
import { readRemark, readStep } from './step-lines';
import type { Standing } from './standing';

/*
 * A class as it is spoken, sentence by sentence, with its movements named above: "Lift up, back and down. Let's do
 * eight.", "and now forward, eight more.", "Movement one is called Lifting the Lantern.", "Let everything settle. Stand in
 * silence for one minute."
 */

const LINE = { min: 12, max: 400 } as const;
const BETWEEN = /(?<=[.!?…])\s+(?=["“(]?\p{Lu}|\d)/u;

/** What a spoken line tells of the step above, or which it names; `null` for any other line. */
export function spokenIn(body: string, standing: Standing): readonly Reading[] | null {
  if (body.length < LINE.min || body.length > LINE.max) return null;
  const named = namedIn(body) ?? namedFirst(body);
  if (named) return named;
  if (standing.under === 'movement' && (standing.spoken || LED_ON.test(body)) && CHANGE.test(body))
    return onOtherSide();
  const phases = standing.under === 'movement' && standing.spoken ? breathsWithin(body) : null;
  if (phases) return phases;
  if (!MAY_COUNT.test(body)) return null;
  const breaths = standing.uncounted ? null : breathsTaken(body);
  if (breaths) return breaths;
  const stillness = standing.inset ? null : stillIn(body);
  if (stillness) return stillness;
  if (standing.partName !== null) {
    const told = amountWithin(body);
    return told && [{ ...reading('movement', standing.partName, {}, true), heads: true }, ...told];
  }
  if (standing.under !== 'movement') return null;
  return (ON_THIS_SIDE.test(body) ? onOtherSide() : null) ?? otherWay(body) ?? (standing.uncounted ? amountWithin(body) : null) ?? (standing.spoken ? amountSpoken(body, standing.uncounted) : null); // prettier-ignore
}

const LED_ON = /^(?:and|now|then|so) .*[.!]$/i;
/** "Next one is Hugging the Barrel. Arms round. We're staying for 45 seconds.": the name first, then what is told. */
function namedFirst(body: string): readonly Reading[] | null {
  const [first = '', ...others] = body.split(BETWEEN);
  const named = others.length === 0 ? null : namedIn(first);
  const told = others.join(' ');
  return named && [...named, ...(amountWithin(told) ?? amountSpoken(told, true) ?? readRemark(told))];
}

const CHANGE =
  /^(?:and |now |then |so |slowly )*(?:change|swap|switch)(?: over)? (?:the |your )?(?:legs|sides|feet|arms|hands)(?: over| now)?[.!]?$/i;
const ON_THIS_SIDE =
  /^(?:and |now |then )*(?:for )?(?:another )?[\p{L}\d-]{1,12} (?:s|secs?|seconds?|minutes?|mins?|times|rounds) (?:on|for|to) (?:this|that|the other|the second) (?:side|leg|foot|arm|hand)(?: too| as well)?[.!]?$/iu;

/** "And change legs.", "Twenty seconds on this side.": the other side of the step above. */
function onOtherSide(): readonly Reading[] {
  return [reading('setting', '', { sides: 'one-then-other' }, true)];
}

const SIDE_OR_WAY =
  /\b(?:other|opposite|second) (side|leg|foot|arm|hand|way|direction)\b|\b(?:change|swap|switch)(?: the| over)? (sides?|legs?|feet|arms?|hands?|direction|ways?)\b|\bnow (?:to |on )?(?:the )?(left|right)\b/i;
const ROUNDS = { min: 2, max: 36 } as const;
const SECONDS_FROM = 10;

/** Whether a line is a whole sentence, and no note: no label, no “x8”, no strokes. */
export function isSpokenSentence(body: string): boolean {
  if (!/[.!?…]["”)]?$/.test(body) || wordCount(body) < WORDS_OF_A_SENTENCE) return false;
  return !/^[\p{L} -]{2,24}:\s|\d ?[x×]|[x×] ?\d| [–—-] |\//iu.test(body.replace(/(?<=direction|way|side):/i, ''));
}

const WORDS_OF_A_SENTENCE = 5;

/** "Circle to the left, slowly, five times.": said, and how often; later the other way or side of it. */
function amountSpoken(body: string, uncounted: boolean): readonly Reading[] | null {
  if (!isSpokenSentence(body) || breathsOf(body).length > 0 || amountOf(body) !== null) return null;
  const { rounds = 0, seconds, hold, sides, startSide, held } = findCounts(body).counts;
  const [time = 0] = seconds ?? [];
  const often = rounds >= ROUNDS.min && rounds <= ROUNDS.max;
  if (hold !== undefined || (!often && time < SECONDS_FROM)) return null;
  const told = reading('said', body);
  const amount = often ? { rounds } : { seconds, ...(held ? { held } : {}) };
  if (uncounted) return [told, reading('setting', '', { ...amount, ...(sides ? { sides, ...(startSide ? { startSide } : {}) } : {}) }, true)]; // prettier-ignore
  const turned = SIDE_OR_WAY.exec(body)
    ?.slice(1)
    .find((one) => one !== undefined);
  if (turned === undefined) return null;
  const both = /way|direction/i.test(turned) ? 'both-directions' : 'one-then-other';
  return [reading('setting', '', { ...amount, sides: both }, true), { ...reading('setting', body), sets: { changeWords: body } }]; // prettier-ignore
}

const NUMBER = '(?:one|two|three|four|five|six|seven|eight|nine|ten|\\d{1,2})';
const ORDINAL = '(?:first|second|third|fourth|fifth|sixth|seventh|eighth|next|last|final|new)';
const THING = '(?:movement|exercise|form|posture|piece|one|move|practice)';
/** "Movement one is called Lifting the Lantern.", "Our next movement is Turning the Wheel." */
const IS_CALLED = new RegExp(
  `^(?:(?:(?:and|now|so|ok|okay|right),? )*(?:the |our |your )?${ORDINAL} ${THING}(?: today| for today)?|${THING} (?:number )?${NUMBER}|this (?:next )?${THING}|this)(?: is|['’]s)(?: called| named| known as|:)? (?:the )?["“]?(\\p{Lu}[\\p{L}'’]*(?: [\\p{L}'’-]+){1,6})["”]?[.!]?$`,
  'iu',
);
/** "Now we come to Sinking the Anchor." */
const COMES_TO =
  /^(?:(?:and|so|then|now|next|ok|okay),? )*(?:(?:we|I)(?:['’]ll| will)? (?:come|move|go|turn|move on|go on) (?:on |in)?to|(?:next|now)? ?(?:comes|is|up is)|here (?:comes|is)|let['’]?s (?:do|try|move (?:on )?(?:in)?to|begin with|start with))(?: the movement| the exercise)?,? (?:the )?["“]?(\p{Lu}[\p{L}'’]*(?: [\p{L}'’-]+){1,6})["”]?[.!]?$/iu;
/** "Heron on the Rail, first the left leg." */
const NAME_AND_SIDE =
  /^(\p{Lu}[\p{L}'’]*(?: [\p{L}'’-]+){1,6}), (?:we )?(?:first|start(?:ing)?|begin(?:ning)?)(?: with| on| to)?(?: the)? (left|right)(?: (?:side|leg|arm|foot|hand))?(?: first)?[.!]?$/iu;
const TITLE_CASE = /^\p{Lu}\S*(?: (?:\p{Lu}\S*|the|of|a|an|in|on|to|and|with|like|its|his|her|your))*$/u;

function namedIn(body: string): readonly Reading[] | null {
  const called = CALLED.exec(body)?.[1];
  if (called !== undefined) return [{ ...reading('movement', called, {}, true), heads: true }, { ...reading('said', body), sets: { before: body } }]; // prettier-ignore
  const [, led, side] = NAME_AND_SIDE.exec(body) ?? [];
  if (led !== undefined && side !== undefined && TITLE_CASE.test(led))
    return [{ ...reading('movement', led, { startSide: /^r/i.test(side) ? 'right' : 'left' }), heads: true }, { ...reading('said', body), sets: { before: body } }]; // prettier-ignore
  const name = (IS_CALLED.exec(body) ?? COMES_TO.exec(body))?.[1] ?? '';
  if (name === '' || !TITLE_CASE.test(name) || !/ \p{Lu}/u.test(name)) return null;
  return [
    { ...reading('movement', name), heads: true },
    { ...reading('said', body), sets: { before: body } },
  ];
}

/** "now the first exercise is called scooping the tide", in small letters. */
const CALLED =
  /^(?:(?:so|and|now|ok|okay|then|next) )*(?:the |our |your )?(?:(?:first|second|third|fourth|fifth|next|last|final|new) )?(?:movement|exercise|form|posture|one|move)(?: today)? (?:is|was) (?:called|named) (?:the )?(\p{L}[\p{L}'’-]*(?: [\p{L}'’-]+){0,5})[.]?$/iu;

const BREATHS =
  /^(?:and |now |then )*(?:(?:let['’]?s|let us|we(?:['’]ll)?|you(?:['’]ll)?) )?(?:just )?(?:take|have) (\S+) (?:(?:slow|deep|full|long|easy|quiet|natural|big|gentle),? (?:and )?)*breaths(?: (?:here|together|like this|with me|in (?:your|our) own time))*[.!]?$/i;

/** "Bring the palms together. As you inhale, draw apart. As you exhale, close.": what is told, then its breath. */
function breathsWithin(body: string): readonly Reading[] | null {
  const sentences = body.split(BETWEEN);
  if (sentences.length < 3) return null;
  const read = sentences.map((one) => readRemark(one));
  const way = (kind: string): readonly Reading[] =>
    read.flatMap((one) => (one.length === 1 && one[0]?.kind === kind ? one : []));
  const [inhales, exhales] = [way('inhale'), way('exhale')];
  if (inhales.length !== 1 || exhales.length !== 1) return null;
  const others = sentences.filter((_, at) => read[at]?.[0]?.kind === 'said');
  if (others.some((one) => hasAmount(findCounts(one).counts))) return null;
  return [...(others.length > 0 ? [reading('said', others.join(' '))] : []), ...inhales, ...exhales];
}

/** "Let your shoulders soften. We'll take three slow breaths here." */
function breathsTaken(body: string): readonly Reading[] | null {
  const sentences = body.split(BETWEEN);
  const written = BREATHS.exec(sentences.at(-1) ?? '')?.[1];
  const others = sentences.slice(0, -1);
  if (written === undefined || others.length === 0 || others.some((one) => MAY_COUNT.test(one))) return null;
  const { rounds } = findCounts(`x, ${written} times`).counts;
  return rounds === undefined ? null : [reading('movement', 'Breathing', { rounds }, true), reading('said', others.join(' '))]; // prettier-ignore
}

/** "Now let everything settle. Stand in silence for one minute." */
function stillIn(body: string): readonly Reading[] | null {
  const [first = '', second = '', ...more] = body.split(BETWEEN);
  if (second === '' || more.length > 0 || !/\p{Ll}{2}[.!]$/u.test(first) || MAY_COUNT.test(first)) return null;
  const { counts, rest } = findCounts((withoutFrame(second) ?? second).replace(/[.!]$/, ''));
  if (counts.seconds === undefined || counts.rounds !== undefined) return null;
  const still = (words: string, unsure = false): readonly Reading[] => [{ ...reading('silence', words, { seconds: counts.seconds }, unsure), said: first }]; // prettier-ignore
  if (STAYS.test(rest)) return still(rest, true);
  if (/^of (?:silence|quiet|stillness)$/i.test(rest)) return still('Silence');
  if (!isStill(rest)) return null;
  const [step] = readStep(second.replace(/[.!]$/, ''), true, 'nothing');
  return step?.kind === 'silence' ? [{ ...step, said: first }] : null;
}

const STAYS =
  /^(?:and |then |now |just )*(?:stay|rest|wait|remain|stand|sit|lie|pause)(?: (?:here|there|like this|like that|with that|for a while|quietly|still))*$/i;
const AGAIN = '(?:and |now |then |so )*';
/** "and now forward, eight more.", "The other way, six times." */
const OTHER_WAY = new RegExp(
  `^${AGAIN}(?:(?:go |turn |roll |circle )?(?:(?:in )?(?:the )?(?:other|opposite) (?:way|direction)|for?wards?|back(?:wards?)?|in reverse|reverse(?: it)?)|((?:on |with |to )?(?:the |your )?(?:other|left|right|second)(?: (?:side|leg|arm|hand|foot))?))[,:]? (?:for )?(.{1,24})$`,
  'iu',
);

function otherWay(body: string): readonly Reading[] | null {
  const [, side, amount = ''] = OTHER_WAY.exec(body) ?? [];
  if (amount === '') return null;
  const { counts, rest } = findCounts(
    `x, ${amount.replace(/[.!]$/, '').replace(/ (?:more|again|as well)(?= |$)/gi, ' times')}`,
  );
  if (counts.rounds === undefined || counts.sides !== undefined || !/^x?,?$/.test(rest)) return null;
  const sides = side === undefined ? 'both-directions' : 'one-then-other';
  return [reading('setting', '', { rounds: counts.rounds, sides }, true)];
}

/** What is left of a sentence that only says how often or how long. */
const ONLY_AMOUNT =
  /^(?:(?:let['’]?s|let us|we(?:['’]ll)?|you|I|do|make|take|repeat|this|that|it|now|and|then|slow(?:ly)?|ones?|of|them|these|those|with me|together|all|gently|easily|please|for|a|few|good|big|in|on|each|both|again|more|here|total|altogether|steps|circles|waves|swings|rounds|breaths|bows|continue|keep going|carry on|go on|another|x)[\s,.;:–-]*)*$/i;
const SWAP_AND_MORE =
  /[,;.]? (?:and |then )*(?:change|swap|switch)(?: over)?(?: (?:feet|sides|legs|arms|hands|foot|side|leg))?,? (?:and |then )*(?:do )?(?:the same|another (?:\S+)|(?:\S+) more|(?:\S+) (?:times )?again)(?= |[.!]|$)/i;

/** "Reach and pull. 8 times, then change feet and do 8 more.", "Lift the hands. Repeat 6 times.": told, and how often. */
function amountWithin(body: string): readonly Reading[] | null {
  const sentences = body.split(BETWEEN);
  if (sentences.length < 2) return null;
  const amounts = sentences.map(amountOf);
  const counted = amounts.filter((one) => one !== null);
  const [counts] = counted;
  const others = sentences.filter((_, at) => amounts[at] === null);
  const sides = counts === undefined || counted.length === 1 ? null : bothIn(counted, others);
  if (sides) return [...readRemark(others.filter((one) => !THEN_CHANGE.test(one)).join(' ')), reading('setting', '', sides, true)]; // prettier-ignore
  if (counts === undefined || counted.length > 1 || others.some((one) => hasAmount(findCounts(one).counts)))
    return null;
  const told = others.join(' ');
  return [...(breathsWithin(told) ?? readRemark(told)), reading('setting', '', counts)];
}

const THEN_CHANGE =
  /^(?:and |now |then )*(?:change|swap|switch)(?: over)?(?: (?:the |your )?(?:legs|sides|feet|arms|hands))?(?: now)?[.!]?$/i;

/** "Twenty seconds. Then change. Another twenty seconds.": of both sides; `null` for anything else. */
function bothIn(counted: readonly Counts[], others: readonly string[]): Counts | null {
  const [first, second, ...more] = counted;
  if (!first || !second || more.length > 0 || !others.some((one) => THEN_CHANGE.test(one))) return null;
  const [time = 0] = first.seconds ?? [];
  if (first.rounds !== second.rounds || time !== (second.seconds?.[0] ?? 0)) return null;
  if (first.rounds !== undefined) return { rounds: first.rounds, sides: 'one-then-other' };
  return { seconds: secondsFrom([time, time], 2), sides: 'one-then-other' };
}

function amountOf(sentence: string): Counts | null {
  if (!MAY_COUNT.test(sentence)) return null;
  const swapped = SWAP_AND_MORE.test(sentence);
  const text = sentence.replace(SWAP_AND_MORE, '').replace(/[.!]$/, '');
  const { counts, rest } = findCounts(text);
  const bare = /^(?:let['’]?s|let us|we(?:['’]ll)?) (?:do|make|take) (\S+)$/i.exec(text)?.[1];
  const found = bare === undefined ? counts : findCounts(`x, ${bare} times`).counts;
  if (!hasAmount(found) || (bare === undefined && !ONLY_AMOUNT.test(rest))) return null;
  return swapped ? { ...found, sides: 'one-then-other' } : found;
}
