import { findCounts, hasAmount } from './counts';
import { isStill } from './line-signs';
import type { Counts } from './model';
import { MAY_COUNT } from './name-lines';
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
  const named = namedIn(body);
  if (named) return named;
  if (!MAY_COUNT.test(body)) return null;
  const stillness = standing.inset ? null : stillIn(body);
  if (stillness) return stillness;
  if (standing.under !== 'movement') return null;
  return otherWay(body) ?? (standing.uncounted ? amountWithin(body) : null);
}

const NUMBER = '(?:one|two|three|four|five|six|seven|eight|nine|ten|\\d{1,2})';
const ORDINAL = '(?:first|second|third|fourth|fifth|sixth|seventh|eighth|next|last|final|new)';
const THING = '(?:movement|exercise|form|posture|piece|one|move|practice)';
/** "Movement one is called Lifting the Lantern.", "Our next movement is Turning the Wheel." */
const IS_CALLED = new RegExp(
  `^(?:(?:and |now )*(?:the |our |your )?${ORDINAL} ${THING}(?: today| for today)?|${THING} (?:number )?${NUMBER}|this (?:next )?${THING}|this)(?: is|['’]s)(?: called| named| known as|:)? (?:the )?["“]?(\\p{Lu}[\\p{L}'’]*(?: [\\p{L}'’-]+){1,6})["”]?[.!]?$`,
  'iu',
);
const TITLE_CASE = /^\p{Lu}\S*(?: (?:\p{Lu}\S*|the|of|a|an|in|on|to|and|with|like|its|his|her|your))*$/u;

function namedIn(body: string): readonly Reading[] | null {
  const name = IS_CALLED.exec(body)?.[1] ?? '';
  if (name === '' || !TITLE_CASE.test(name) || !/ \p{Lu}/u.test(name)) return null;
  return [reading('movement', name), { ...reading('said', body), sets: { before: body } }];
}

/** "Now let everything settle. Stand in silence for one minute." */
function stillIn(body: string): readonly Reading[] | null {
  const [first = '', second = '', ...more] = body.split(BETWEEN);
  if (second === '' || more.length > 0 || !/\p{Ll}{2}[.!]$/u.test(first) || MAY_COUNT.test(first)) return null;
  const { counts, rest } = findCounts(second.replace(/[.!]$/, ''));
  if (counts.seconds === undefined || counts.rounds !== undefined || !isStill(rest)) return null;
  const [step] = readStep(second.replace(/[.!]$/, ''), true, 'nothing');
  return step?.kind === 'silence' ? [step, reading('said', first)] : null;
}

const AGAIN = '(?:and |now |then |so )*';
/** "and now forward, eight more.", "The other way, six times." */
const OTHER_WAY = new RegExp(
  `^${AGAIN}(?:(?:go |turn |roll |circle )?(?:(?:in )?(?:the )?(?:other|opposite) (?:way|direction)|for?wards?|back(?:wards?)?|in reverse|reverse(?: it)?)|((?:on |with |to )?(?:the |your )?(?:other|left|right|second) (?:side|leg|arm|hand|foot)))[,:]? (?:for )?(.{1,24})$`,
  'iu',
);

function otherWay(body: string): readonly Reading[] | null {
  const [, side, amount = ''] = OTHER_WAY.exec(body) ?? [];
  if (amount === '') return null;
  const { counts, rest } = findCounts(`x, ${amount.replace(/[.!]$/, '').replace(/ (?:more|again|as well)(?= |$)/gi, ' times')}`);
  if (counts.rounds === undefined || counts.sides !== undefined || !/^x?,?$/.test(rest)) return null;
  const sides = side === undefined ? 'both-directions' : 'one-then-other';
  return [reading('setting', '', { rounds: counts.rounds, sides }, true)];
}

/** What is left of a sentence that only says how often or how long. */
const ONLY_AMOUNT =
  /^(?:(?:let['’]?s|let us|we(?:['’]ll)?|you|I|do|make|take|repeat|this|that|it|now|and|then|slow(?:ly)?|ones?|of|them|these|those|with me|together|all|gently|easily|please|for|a|few|good|big|in|on|each|both|again|more|here|x)[\s,.;:–-]*)*$/i;
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
  if (counts === undefined || counted.length > 1 || others.some((one) => hasAmount(findCounts(one).counts))) return null;
  return [...readRemark(others.join(' ')), reading('setting', '', counts)];
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
