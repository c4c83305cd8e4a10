import { NUMBER_IN_WORDS } from '../tokens/tokens';

/*
 * That a step is done on the other side or the other way as well, in the words that people have for it behind its amount:
 * "x4, then swap legs", "45 s, then the other side", "4 times R, then the same L", "8, then reverse". It is told again in
 * the words that the counts know. Common practice, no published source.
 */

/** A longer line tells more than a step. */
const TOLD_UP_TO = 160;
const WORTH =
  /\b(?:other|opposite|second|swap|switch|chang|revers|then|now|repeat|same|left|right|[lr](?:\b|[lr])|one (?:after|at))| \/ |\/ ?\d/i;

const LIMB = '(?:sides?|legs?|foot|feet|arms?|hands?)';
const AGAIN =
  '(?:,? (?:(?:and |then )*(?:repeat|do (?:it|the same|that) again|again|go again|the same)|the same|too|also|as well))?';
const OTHER = `(?:on |with |for |to )?(?:the |your )?(?:other|opposite|second) ${LIMB}${AGAIN}`;
/** What stands between the amount and that. */
const APART = '(?:\\s*[,;:(/–—-]\\s*|\\s+|\\.\\s+)';
const AND = '(?:and |then |now |finally )*';
const LED = `${APART}${AND}(?:(?:repeat|the same|same|again|do (?:the same|it again|that again))(?: again| it| this)?,? )?`;
const THEN = `${APART}(?:and )?(?:then|now) ${AND}(?:(?:repeat|the same|same|again)(?: again| it| this)?,? )?`;
const END = '\\)?[.!]?$';

/** "…, then the other leg", "…, swap legs and repeat", "…, then switch". */
const OTHER_SIDE = new RegExp(
  `(?:${LED}(?:${OTHER}|other ${LIMB}(?: the same)?|(?:swap|switch|change|changing)(?: over)? (?:the |your )?${LIMB}${AGAIN})|${THEN}(?:swap|switch|change(?: over)?)${AGAIN})${END}`,
  'iu',
);
/** "… each leg, one after the other": that they take turns is said twice. */
const IN_TURN =
  /(?<=\b(?:each|per|both|either) (?:sides?|legs?|foot|feet|arms?|hands?)),? (?:one after (?:the other|another)|one at a time)\)?[.!]?$/iu;
/** "…, then left", "…, then the same on the left". */
const THEN_NAMED = new RegExp(
  `^(.*?)(?:${THEN}|${APART}${AND}(?:repeat|the same|same)(?: again| it)? )(?:on |to |with )?(?:the |your )?(left|right|l|r)(?: ${LIMB})?${AGAIN}${END}`,
  'iu',
);
/** "…, then reverse", "…, then back the other way", "…, change direction and repeat". */
const OTHER_WAY = new RegExp(
  `(?:${LED}(?:back )?(?:in |to )?(?:the )?(?:other|opposite|reverse) (?:way|direction)(?: (?:round|around|again))?${AGAIN}|${LED}(?:swap|switch|change|changing|reverse) (?:the )?directions?${AGAIN}|${THEN}(?:in )?reverse(?: it| them)?${AGAIN})${END}`,
  'iu',
);
/** "on the right and then on the left", "to the right, then to the left". */
const ON_BOTH =
  /\b(?:on|to|with|for) (?:the |your )?(left|right)(?: (?:side|leg|foot|arm|hand))?,? (and then|and|then|&) (?:on |to |with |for )?(?:the |your )?(left|right)(?: (?:side|leg|foot|arm|hand))?\b/giu;
/** "left leg 4 each way, right leg 4 each way". */
const EACH_NAMED =
  /\b(?:left|right) (leg|side|foot|arm|hand):? ([^,;]{1,16} (?:each|both) (?:ways?|directions?))[,;]? (?:and |then )*(?:left|right) \1:? \2[.!]?$/iu;
/** "left side x4, right side x4". */
const NAMED_SIDE = /\b(left|right) (?:side|leg|foot|arm|hand):? (?=(?:[x×] ?)?\d)/giu;
/** "Gull 30 s / 30 s". */
const TIME_TWICE = /(\d{1,3} ?(?:s|secs?|seconds?|m|mins?|minutes?|["'″′])) ?\/ ?\1[.]?$/iu;
/** "Lantern left – 4, lantern right – 4". */
const NAMED_TWICE =
  /^(\p{L}[\p{L} '’-]{1,40}?) (?:on )?(?:the )?(left|right|[lr])[\s:–-]+((?:[x×] ?)?\d[^,;]{0,14})[,;]? (?:and |then )*\1 (?:on )?(?:the )?(left|right|[lr])[\s:–-]+\3[.!]?$/iu;
const sideOf = (noun: string): string =>
  `(?:first,? )?(?:on |to |with )?(?:the |your )?(left|right|[lr])(?: (?:${noun}))?`;
/** A side right before the amount or behind it, where the other follows by its name. */
const SIDE_BEFORE = new RegExp(`(?:^|[\\s,;:(–-])${sideOf('side')}:? (?=(?:[x×] ?)?\\d|hold )`, 'iu');
const SIDE_BEHIND = new RegExp(
  `(?<=\\d.*|\\b(?:times|rounds|minutes?|seconds|twice|thrice) )[\\s,;:(–-]*(?<!\\p{L})${sideOf('side|leg|foot|arm|hand')}(?=$|[\\s,;:).])`,
  'iu',
);
const STROKE = / \/ ?(?=(?:side|leg|foot|arm|hand)s?\b)/giu;

/** "Six one way and six the other way": each has its own amount. */
const EACH_COUNTED = /\bone (?:way|direction),? (?:and )?(?:then )?[\p{L}\d]+ (?:in )?the other\b/iu;

/** "Stand on the left leg for 20 s and on the right leg for 20 s, repeat": so long on each. */
const EACH_FOR =
  /^(.{3,80}?\b(?:on )?)(?:the |your )?(left|right) (leg|foot|arm|hand|side)(?: for)? ([\p{L}\d]+(?:[- ][\p{L}]+)? ?(?:s|secs?|seconds|m|mins?|minutes?))(?:,| and|,? then|, and then)+(?: on)?(?: the| your)? (?!\2)(?:left|right)(?: \3)?(?: for)? \4(?<again>,? (?:and )?repeat(?: (?:it|that|once))?)?[.!]?$/iu;

function eachFor(text: string): string | null {
  const match = EACH_FOR.exec(text);
  if (!match) return null;
  const [, head = '', , noun = '', time = ''] = match;
  const side = noun === 'side' ? '' : `${/\bon $/i.test(head) ? 'one' : 'the'} ${noun}`;
  const words = side === '' ? head.replace(/ (?:on|to|with) ?$/i, '') : head + side;
  return `${words}, ${time.replace(/^an? /i, '1 ')} each side${match.groups?.again === undefined ? '' : ', twice'}`;
}

/** A text with the other side or way in the words that the counts know; `hasAmount` tells whether a text has an amount. */
export function withSidesTold(text: string, hasAmount: (text: string) => boolean): string {
  if (text.length > TOLD_UP_TO || !WORTH.test(text)) return text;
  const [, twice, first = '', amount = '', second = ''] = NAMED_TWICE.exec(text) ?? [];
  if (twice !== undefined && first.charAt(0).toLowerCase() !== second.charAt(0).toLowerCase())
    return `${twice}, ${amount}, ${/^r/i.test(first) ? 'right then left' : 'left then right'}`;
  const each = eachFor(text);
  if (each !== null) return each;
  const written = inTurns(
    bothNamed(text.replace(TIME_TWICE, '$1 per side').replace(STROKE, '/').replace(IN_TURN, ' in turn')),
    hasAmount,
  );
  const named = THEN_NAMED.exec(written);
  if (named) return withNamed(named[1] ?? '', (named[2] ?? '').toLowerCase(), hasAmount) ?? written;
  const one = oneNamed(written, hasAmount);
  if (one !== null) return one;
  const side = cut(written, OTHER_SIDE, hasAmount);
  if (side !== null) return `${side}, one side, then the other`;
  const way = EACH_COUNTED.test(written) ? null : cut(written, OTHER_WAY, hasAmount);
  return way === null ? written : `${way}, one way, then the other`;
}

const AMOUNT = new RegExp(`\\d|\\b(?:${NUMBER_IN_WORDS}|twice|thrice|half)\\b`, 'i');

function bothNamed(text: string): string {
  if (!/\bleft\b/i.test(text) || !/\bright\b/i.test(text)) return text;
  const amount = text.search(AMOUNT);
  const each = EACH_NAMED.exec(text);
  if (each) return `${text.slice(0, each.index)}${each[2] ?? ''}, each ${each[1] ?? 'side'}`;
  const twice = (text.match(NAMED_SIDE)?.length ?? 0) > 1;
  return text
    .replace(ON_BOTH, (all, first: string, join: string, second: string, at: number) =>
      amount < 0 || at < amount || first.toLowerCase() === second.toLowerCase()
        ? all
        : `${first}${/then/i.test(join) ? ', then ' : '/'}${second}`,
    )
    .replace(NAMED_SIDE, (all, side: string) => (twice ? `${side} ` : all));
}

/** "x6 (right)", "6 times, left arm", "x4 on the right side": one side, where the other is not named. */
const ONE_SIDE = new RegExp(
  `^(.*(?:\\d ?(?:[x×]|s|secs?|seconds|m|mins?|minutes?)?|\\b(?:times|rounds|reps|seconds|minutes?|twice|thrice)))(?:\\s*[,;(–—-]+\\s*|\\s+)(?:(?:just|only) )?(?:on |with |to )?(?:the |your )?(left|right|[lr])(?: (?:side|leg|foot|arm|hand))?${END}`,
  'iu',
);
/** "Heron, right x6", "(right side) x6": in front of the amount and set apart from the name. */
const ONE_BEFORE =
  /^(.*\p{L}.*?)(?:[,;:]| [–—-]) ?(?:(?:just|only) )?(?:on |with )?(?:the )?(left|right|[lr])(?: side| leg| arm)?[,:]? ((?:[x×] ?)?\d[^,;]{0,16})$/iu;

function oneNamed(text: string, hasAmount: (text: string) => boolean): string | null {
  const behind = ONE_SIDE.exec(text);
  const before = behind ? null : ONE_BEFORE.exec(text);
  const [head, side, amount] = behind ? [behind[1], behind[2]] : [before?.[1], before?.[2], before?.[3]];
  if (head === undefined || side === undefined) return null;
  const counted = amount ?? head;
  if (!hasAmount(counted) || OWN_SIDES.test(amount === undefined ? head : `${head} ${amount}`)) return null;
  const named = /^r/i.test(side) ? 'right' : 'left';
  return `${closed(head)}${amount === undefined ? '' : ` ${amount}`}, ${named} side only`;
}

/** "L R L R L", "left, right, left": turn by turn. */
const TURNS = /[([]?\b((?:left|right|[lr])(?:(?:[\s,/–-]+(?:then )?)(?:left|right|[lr])\b){2,11})[)\]]?/iu;
const TURNS_GLUED = /[([]?\b((?:LR){1,6}L|(?:RL){1,6}R|(?:LR){2,6}|(?:RL){2,6})\b[)\]]?/u;
const EACH_TIME =
  /\b(?:changing|swapping|switching|swap|switch|change|alternate|alternating)(?: (?:sides?|legs?|arms?|hands?|feet))? (?:each|every) (?:time|turn|one|rep|round)\b/iu;

/** Turns that are written one after the other, or change each time: so many in all. */
function inTurns(text: string, hasAmount: (text: string) => boolean): string {
  if (EACH_TIME.test(text) && hasAmount(text.replace(EACH_TIME, ''))) return text.replace(EACH_TIME, 'alternating');
  const found = TURNS.exec(text) ?? TURNS_GLUED.exec(text);
  const turns =
    (found?.[1] ?? '').toLowerCase().match(TURNS_GLUED.test(text) ? /[lr]/g : /\b[lr](?:eft|ight)?\b/g) ?? [];
  if (!found || turns.length < 3 || turns.some((one, at) => one[0] === turns[at - 1]?.[0])) return text;
  const rest = text.replace(found[0], '').trim();
  // "L R L R x2" is something else.
  const counted = hasAmount(rest);
  if (counted && !new RegExp(`(?<!\\d)${turns.length}(?!\\d)`).test(rest)) return text;
  const count = counted ? '' : ` ${turns.length} times`;
  return `${rest.replace(/[,;:–-]\s*$/, '')}${count} in all, alternating, starting ${turns[0]?.startsWith('l') ? 'left' : 'right'}`;
}

/** What stands before, where that has an amount and no side or way of its own. */
function cut(text: string, pattern: RegExp, hasAmount: (text: string) => boolean): string | null {
  const at = text.search(pattern);
  const head = at < 0 ? '' : text.slice(0, at);
  return head !== '' && hasAmount(head) && !OWN_SIDES.test(head) ? closed(head) : null;
}

const OWN_SIDES = /\b(?:(?:each|per|both|every|either)(?! (?:way|direction)s?\b)|alternat\p{L}*|left|right|[lr])\b/iu;

/** A bracket that was open before what was cut is closed. */
const closed = (head: string): string => (head.split('(').length > head.split(')').length ? `${head})` : head);

/** "Heron 4 R, then L": the first of them as the side that it starts with. */
function withNamed(head: string, second: string, hasAmount: (text: string) => boolean): string | null {
  if (!hasAmount(head)) return null;
  const its = SIDE_BEFORE.test(head) ? SIDE_BEFORE : SIDE_BEHIND;
  const first = its.exec(head)?.[1]?.toLowerCase()[0];
  if (first === second[0]) return null;
  const before = first === undefined ? head : head.replace(its, its === SIDE_BEFORE ? ' ' : '');
  if (OWN_SIDES.test(before)) return null;
  return `${closed(before)}, ${second.startsWith('l') ? 'right then left' : 'left then right'}`;
}
