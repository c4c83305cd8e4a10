/*
 * That a step is done on the other side or the other way as well, in the words that people have for it behind its amount:
 * "x4, then swap legs", "45 s, then the other side", "4 times R, then the same L", "8, then reverse". It is told again in
 * the words that the counts know. Common practice, no published source.
 */

/** A longer line tells more than a step. */
const TOLD_UP_TO = 160;
const WORTH = /\b(?:other|opposite|second|swap|switch|chang|revers|then|now|repeat|same|left|one (?:after|at))| \/ /i;

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

/** "…, then the other leg", "…, swap legs and repeat", "…, both legs", "… one after the other". */
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
/** "left side x4, right side x4". */
const NAMED_SIDE = /\b(left|right) (?:side|leg|foot|arm|hand):? (?=(?:[x×] ?)?\d)/giu;
const SIDE = '(?:first,? )?(?:on |to |with )?(?:the |your )?(left|right|[lr])(?: (?:side|leg|foot|arm|hand))?';
/** A side right before the amount or behind it, where the other follows by its name. */
const SIDE_BEFORE = new RegExp(
  `(?:^|[\\s,;:(–-])${SIDE.replace('(?:side|leg|foot|arm|hand)', 'side')}:? (?=(?:[x×] ?)?\\d|hold )`,
  'iu',
);
const SIDE_BEHIND = new RegExp(
  `(?<=\\d.*|\\b(?:times|rounds|minutes?|seconds|twice|thrice) )[\\s,;:(–-]*(?<!\\p{L})${SIDE}(?=$|[\\s,;:).])`,
  'iu',
);
const STROKE = / \/ ?(?=(?:side|leg|foot|arm|hand)s?\b)/giu;

/** A text with the other side or way in the words that the counts know; `hasAmount` tells whether a text has an amount. */
export function withSidesTold(text: string, hasAmount: (text: string) => boolean): string {
  if (text.length > TOLD_UP_TO || !WORTH.test(text)) return text;
  const written = bothNamed(text.replace(STROKE, '/').replace(IN_TURN, ' in turn'));
  const named = THEN_NAMED.exec(written);
  if (named) return withNamed(named[1] ?? '', (named[2] ?? '').toLowerCase(), hasAmount) ?? written;
  const side = cut(written, OTHER_SIDE, hasAmount);
  if (side !== null) return `${side}, one side, then the other`;
  const way = cut(written, OTHER_WAY, hasAmount);
  return way === null ? written : `${way}, one way, then the other`;
}

function bothNamed(text: string): string {
  if (!/\bleft\b/i.test(text) || !/\bright\b/i.test(text)) return text;
  const amount = text.search(/\d|\b(?:twice|thrice|two|three|four|five|six|seven|eight|nine|ten|twelve|half)\b/i);
  const twice = (text.match(NAMED_SIDE)?.length ?? 0) > 1;
  return text
    .replace(ON_BOTH, (all, first: string, join: string, second: string, at: number) =>
      amount < 0 || at < amount || first.toLowerCase() === second.toLowerCase()
        ? all
        : `${first}${/then/i.test(join) ? ', then ' : '/'}${second}`,
    )
    .replace(NAMED_SIDE, (all, side: string) => (twice ? `${side} ` : all));
}

/** What stands before, where that has an amount and no side or way of its own. */
function cut(text: string, pattern: RegExp, hasAmount: (text: string) => boolean): string | null {
  const at = text.search(pattern);
  const head = at < 0 ? '' : text.slice(0, at);
  return head !== '' && hasAmount(head) && !OWN_SIDES.test(head) ? closed(head) : null;
}

const OWN_SIDES = /\b(?:each|per|both|every|either|alternat\p{L}*|left|right|[lr])\b/iu;

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
