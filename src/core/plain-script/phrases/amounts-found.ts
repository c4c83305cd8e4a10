import { itemAt, rememberedLately } from '@/core/units';
import { word, type Range } from './amounts';
import type { Found, Taken, Way } from './found';
import { singleSpaced } from '../model/line-words';
import { secondsFrom, type Counts } from '../model/model';
import { phraseAt } from './phrases';
import { OPPOSITE } from './sides';
import { tokensOf, type Token } from '../tokens/tokens';

/*
 * A small grammar over tokens: a phrase is looked for from each token on, once; what is found is taken out of the line, and
 * what is left is its name.
 */

/** What may stand before an amount and belongs to it. */
const LEADING: ReadonlySet<string> = new Set([
  'for', 'about', 'around', 'circa', 'ca', 'roughly', 'approximately', 'approx', 'maybe', 'say', 'good', 'at', 'least', 'most',
  'up', 'to', 'no', 'let’s', "let's", 'lets', 'more', 'less', 'than', 'between', 'a', 'only', 'just', 'each', 'some', 'another', 'do', 'we', 'which', 'nearly', 'like', 'first', 'perhaps', 'also', 'during', 'with', '~',
]); // prettier-ignore
/** What may stand before a way that an amount is for: "and then 3 to the right". */
const BEFORE_WAYS: ReadonlySet<string> = new Set(['on', 'in', 'to', 'the', 'and', 'then', ',']);

/** Amounts as they are found in a line. */
export interface FoundCounts {
  readonly counts: Counts;
  readonly rest: string;
  /** Whether its rounds are a bare number: "Cloud hands 10". */
  readonly bare: boolean;
  /** Whether more was counted or timed than a step has room for: "8 times, then 4 times slowly". */
  readonly crowded: boolean;
  /** How long it is held, at least and at most. */
  readonly holds: Range | null;
  /** What stands behind all amounts, set apart from what stands before them: "Crane, 4 times, low stance". */
  readonly aside: { readonly before: string; readonly behind: string } | null;
}

/** The amounts of a line by themselves, and what is left of it. */
export const findAmounts = rememberedLately(lookForAmounts);

function lookForAmounts(text: string): FoundCounts {
  const tokens = tokensOf(text);
  const taken: Taken[] = [];
  for (let at = 0; at < tokens.length;) {
    const found = phraseAt(tokens, at, taken);
    if (found) taken.push(found);
    at = found ? found.to : at + 1;
  }
  if (taken.length === 0)
    return { counts: {}, rest: tidied(text), bare: false, crowded: false, holds: null, aside: null };
  const { said: told, removed: found } = withoutLoneWays(clockwiseAndBack(taken), /\bthen\b/i.test(text));
  const said = withoutWhole(told);
  // A bare number beside a count that is written out counts nothing; it stays where it is.
  const rounds = said.filter((one) => one.what === 'rounds');
  const counted = rounds.filter((one) => !one.bare);
  const bare = rounds.length > 0 && counted.length === 0;
  const isBeside = (one: Taken): boolean => one.what === 'rounds' && one.bare && said.includes(one);
  const removed = counted.length > 0 ? found.filter((one) => !isBeside(one)) : found;
  const differ = (those: readonly { readonly range: Range }[]): boolean =>
    new Set(those.map(({ range }) => range.join())).size > 1;
  const crowded = differ(counted) || differ(said.filter((one) => one.what === 'seconds'));
  const rest = without(text, tokens, removed);
  return {
    counts: countsOf(said),
    rest,
    bare,
    crowded: crowded || removed.some((one) => leavesGap(tokens, one)),
    holds: said.find((one) => one.what === 'hold')?.range ?? null,
    aside: asideOf(text, tokens, removed),
  };
}

/** "they like starting with a few minutes of just standing": what is left without the amount is no name. */
function leavesGap(tokens: readonly Token[], { what, from, to }: Taken): boolean {
  if (what !== 'rounds' && what !== 'seconds') return false;
  return GAP_BEFORE.test(word(tokens, from - 1)) && /^\p{L}{2}/u.test(word(tokens, to));
}

const GAP_BEFORE = /^(?:w|with|of|n|and|to|into|the|by)$/;

/** "Bow 10 (5 each)", "eight in all, four a side": the whole is said beside what each side has of it. */
function withoutWhole(said: readonly Taken[]): readonly Taken[] {
  const [whole, part] = said.filter((one) => one.what === 'rounds');
  const sided = said.some(
    (one) => one.what === 'each' || one.what === 'each-side' || (one.what === 'rounds' && one.eachSide),
  );
  if (!sided || !whole || !part || whole.range[0] !== 2 * part.range[0]) return said;
  // "4+4, then 2+2 slower" is no whole with its part.
  if (part.eachSide && whole.bare) return said;
  return said.filter((one) => one !== whole);
}

/** What stands behind a mark, a bracket, an arrow or "NB". */
const SET_APART =
  /^\)?[.!]?\s*(?:[,;:–—-]\s|\(|[-=]>|→|\/\/|#(?=\p{L})|n\.?b\.?:? |\*|(?=["“]))\s*(["“]?\p{L}[^()]*?)[)\s.]*$/iu;

/** "toe stands x8 hold wall": a cue, without a mark before it. */
const CUE_BEHIND =
  /^\s+((?:hold(?!ing)|keep(?:ing)?|use|using|touch(?:ing)?|lean(?:ing)?|watch(?:ing)?|feel(?:ing)?|soft|look(?:ing)?|eyes|knees|elbows|mind|no|not|without)\s+\p{L}[^()\d]*)$/iu;

function asideOf(
  text: string,
  tokens: readonly Token[],
  removed: readonly Taken[],
): { readonly before: string; readonly behind: string } | null {
  const amounts = removed.filter((one) => one.to > one.from);
  const last = amounts.reduce((end, one) => Math.max(end, one.to), 0);
  const behind = text.slice(tokens[last - 1]?.to ?? text.length);
  const set = SET_APART.exec(behind) ?? CUE_BEHIND.exec(behind);
  if (!set) return apart(text, tokens, amounts);
  const before = without(text.slice(0, tokens[last - 1]?.to ?? 0), tokens.slice(0, last), amounts);
  return before === '' ? null : { before, behind: itemAt(set, 1) };
}

/** "Crane (4 times) low, 2 more if they like": the name stands before a mark and the first amount; the rest is told. */
function apart(
  text: string,
  tokens: readonly Token[],
  amounts: readonly Taken[],
): { readonly before: string; readonly behind: string } | null {
  const [first] = amounts;
  if (!first) return null;
  let at = first.from;
  while (at > 0 && LEADING.has(word(tokens, at - 1))) at--;
  const mark = tokens[at - 1];
  if (mark?.kind !== 'mark' || !/[,;:–—(-]/.test(mark.text)) return null;
  const before = tidied(text.slice(0, mark.from));
  const behind = without(text.slice(mark.to), tokens.slice(at).map((one) => ({ ...one, from: one.from - mark.to, to: one.to - mark.to })), amounts.map((one) => ({ ...one, from: one.from - at, to: one.to - at }))); // prettier-ignore
  return before === '' || !/\p{L}{2}/u.test(behind) ? null : { before, behind };
}

/** "Five times clockwise and then five times back": one way and the other. */
function clockwiseAndBack(taken: readonly Taken[]): readonly Taken[] {
  const turn = taken.flatMap((one) => (one.what === 'way' && /clockwise$/.test(one.way) ? [one.way] : []))[0];
  if (turn === undefined) return taken;
  return taken.map((one) => (one.what === 'way' && one.way === 'back' ? { ...one, way: OPPOSITE[turn] } : one));
}

/**
 * Two amounts alike with two opposite ways are one amount for each: "5 forward, 5 back", "30 s L, 30 s R". Ways with
 * fewer amounts belong to the name: "Look left, look right, four times".
 */
function withoutLoneWays(
  taken: readonly Taken[],
  then: boolean,
): {
  readonly said: readonly Taken[];
  readonly removed: readonly Taken[];
} {
  const ways = taken.flatMap((one) => (one.what === 'way' ? [one.way] : []));
  const pair = ways.some((way, at) => ways.indexOf(OPPOSITE[way]) > at);
  const counted = taken.filter((one) => one.what === 'rounds');
  // "6 fwd 6 back - 2 min": beside two counts a time is that of both.
  const amounts = counted.length > 1 ? counted : taken.filter((one) => one.what === 'rounds' || one.what === 'seconds');
  const ranges = amounts.map((one) => one.range.join());
  const each = pair && ranges.length > 1 && new Set(ranges).size === 1;
  // "8 reps (4 R / 4 L)": the whole is said first, then what of it is for each.
  const [whole, ...parts] = amounts;
  const halved =
    pair && whole !== undefined && parts.length === 2 && parts.every((one) => one.range[0] * 2 === whole.range[0]);
  // A way without its opposite is of the name: "Holding Back the Tide, 5 left, 5 right".
  const paired = taken.filter((one) => one.what !== 'way' || ways.includes(OPPOSITE[one.way]));
  if (halved) return { said: paired.filter((one) => one !== whole), removed: paired };
  if (each) return { said: paired, removed: paired };
  const otherSide = taken.some((one) => one.what === 'way' && one.sided);
  if (ways.length === 1 && ways[0] === 'other' && ranges.length === 2 && new Set(ranges).size === 1)
    return { said: [...taken, { what: otherSide ? 'in-turn' : 'each-way', from: 0, to: 0 }], removed: taken };
  const others = taken.filter(({ what }) => what !== 'way');
  // "L, R, forward, back": where a list of ways goes, and no pair that is done in turn.
  if (!pair || amounts.length !== 1 || new Set(ways).size > 3) return { said: others, removed: others };
  const side = ways.every((way) => way === 'left' || way === 'right');
  const legs = taken.some((one) => one.what === 'way' && one.sided);
  // A time on one side and then on the other is that of each.
  const inTurn = side ? then && amounts[0]?.what === 'seconds' : legs;
  const turned: Found = inTurn
    ? { what: 'in-turn' }
    : side
      ? { what: 'alternating' }
      : { what: 'each-way', inTurn: then };
  return { said: [...others, { ...turned, from: 0, to: 0 }], removed: others };
}

function countsOf(taken: readonly Taken[]): Counts {
  const all = <What extends Found['what']>(what: What) =>
    taken.filter((one): one is Taken & Extract<Found, { what: What }> => one.what === what);
  const has = (what: Found['what']): boolean => taken.some((one) => one.what === what);
  const counted = all('rounds');
  const [rounds] = counted.some(({ bare }) => !bare) ? counted.filter(({ bare }) => !bare) : counted;
  const times = all('seconds');
  const [hold] = all('hold');
  const rightFirst = all('in-turn').some(({ startsRight }) => startsRight === true);
  const start = all('one-side')[0] ?? all('start')[0] ?? (rightFirst ? RIGHT : startOf(all('way')));
  const sides = sidesOf(taken, has);
  const [time, part] = times;
  // "1 min (30 s each)".
  const isWhole = time !== undefined && part !== undefined && time.range[0] === 2 * part.range[0];
  const perSide =
    time &&
    rounds === undefined &&
    (has('each-side') ||
      has('each') ||
      has('in-turn') ||
      sides === 'one-then-other' ||
      all('each-way').some(({ inTurn }) => inTurn));
  return {
    ...(rounds ? roundsFrom(rounds.range) : {}),
    ...(rounds?.eachSide && sides === undefined ? { sides: 'alternating' as const } : {}),
    ...(sides ? { sides: perSide && sides === 'alternating' ? 'one-then-other' : sides } : {}),
    ...(start ? { startSide: start.side } : {}),
    ...(time ? { seconds: secondsFrom(time.range, perSide && !time.whole && !isWhole ? 2 : 1) } : {}),
    ...(has('own-pace') ? { ownPace: true } : {}),
    ...(hold ? { hold: hold.range[0] } : {}),
  };
}

/** Of two sides the first is begun with: "R then L", "4 right, 4 left". */
function startOf([first, second]: readonly { readonly way: Way }[]): { readonly side: 'right' } | undefined {
  return first?.way === 'right' && second?.way === 'left' ? RIGHT : undefined;
}

const RIGHT = { side: 'right' } as const;

function sidesOf(taken: readonly Taken[], has: (what: Found['what']) => boolean): Counts['sides'] {
  if (has('one-side')) return 'one-side';
  const opposite = taken.flatMap((one) => (one.what === 'way' ? [one.way] : []));
  const paired = opposite.find((way, at) => opposite.indexOf(OPPOSITE[way]) > at);
  const turned = has('each-way') || (paired !== undefined && paired !== 'left' && paired !== 'right');
  if (turned && (has('each-side') || has('in-turn'))) return 'both-directions-each-side';
  if (has('each-way')) return 'both-directions';
  if (has('in-turn')) return 'one-then-other';
  if (has('each-side') || has('alternating') || has('each')) return 'alternating';
  if (paired === undefined) return undefined;
  return paired === 'left' || paired === 'right' ? 'one-then-other' : 'both-directions';
}

function roundsFrom([min, max]: Range): Counts {
  return min === max ? { rounds: min } : { rounds: Math.floor((min + max) / 2), roundsWithin: [min, max] };
}

/** "Heels up 20": not "up to 20". */
function isAlone(tokens: readonly Token[], at: number): boolean {
  return word(tokens, at) === 'up' && word(tokens, at + 1) !== 'to';
}

/** The text without what was taken, and without the brackets, dashes, commas and small words that stood around it. */
function without(text: string, tokens: readonly Token[], taken: readonly Taken[]): string {
  let rest = '';
  let from = 0;
  for (const one of taken) {
    let first = one.from;
    const leading = one.what === 'way' ? BEFORE_WAYS : LEADING;
    while (
      first > 0 &&
      leading.has(word(tokens, first - 1)) &&
      itemAt(tokens, first - 1).from >= from &&
      !isAlone(tokens, first - 1) &&
      // "Q&A 2 min": no article.
      !(word(tokens, first - 1) === 'a' && word(tokens, first - 2) === '&')
    )
      first--;
    // "For the last 3 minutes".
    if (one.what === 'seconds' && /^(?:last|final)$/.test(word(tokens, first - 1)) && word(tokens, first - 2) === 'the')
      first -= /^(?:for|in|during)$/.test(word(tokens, first - 3)) ? 3 : 2;
    rest += `${text.slice(from, itemAt(tokens, first).from)} `;
    from = itemAt(tokens, one.to - 1).to;
  }
  return tidied(rest + text.slice(from));
}

/** Words with one blank between them. */
const WORDS_ALONE = /^[\p{L}\d'’]+(?: [\p{L}\d'’]+)*$/u;

/** What is left of a line without the marks and small words that stood around what was taken. */
export function tidied(text: string): string {
  if (WORDS_ALONE.test(text) && !/then$/i.test(text)) return text;
  const single = singleSpaced(text.includes('(') ? text.replace(NOTHING_IN_BRACKETS, ' ') : text);
  const listed = single.includes(',') ? single.replace(/,\s+and\s*(?=,|$)/g, ',') : single;
  const dashed = /[–—-] [–—-]/.test(listed) ? listed.replace(/(?: [–—-])+(?= [–—-] )/g, '') : listed;
  const stopped = / [,.;:]/.test(dashed) ? dashed.replace(/\s+([,.;:])/g, '$1') : dashed;
  const joined = /[!+&]/.test(stopped) ? stopped.replace(/\s+!+$/, '').replace(/[\s,]+[+&][\s,]*$/, '') : stopped;
  return joined
    .replace(/^[\s,;:–—-]+/, '')
    .replace(/(?:[\s,;:(/=@|→–—-]|->|\.{2,}(?!\.)|…)+$/, '')
    .replace(/(?:[,;:] ?)+(?=[,;:.)])/g, '')
    .replace(/(?:[,;]| and) ?then$/i, '')
    .trim();
}

const NOTHING_IN_BRACKETS = /\([\s,;/&+]*(?:(?:in )?total|in all|altogether|long|max(?:imum)?)?[\s,;/&+.]*\)/gi;
