import type { Layer } from '@/core/movement';
import { breathsOf } from './breath-lines';
import {
  AT_EMPTY,
  AT_FULL,
  isOnlyBreath,
  REST_SECONDS,
  RESTS_BREATH,
  withoutBreath,
  type BreathCounts,
} from '../phrases/breath-counts';
import { findCounts, hasAmount } from '../phrases/counts';
import { withoutMark } from '../line-kinds/headings';
import { singleSpaced, unquoted } from '../model/line-words';
import { worded, type Reading } from '../model/reading';
import { spanAtStart, type Span } from '../phrases/spans';
import { NUMBER_WORDS } from '../tokens/tokens';

/*
 * What changes in a movement on a round: another breath ("from round 5: in 4, out 6"), a hold that joins ("hold 2 s at the
 * top from round 5"), other actions, or what is said there, part by part: "rounds 1-4 arms only, rounds 5-8 add the feet".
 */

const LONGEST = 300;

/** What one stretch of rounds is, or has said on its first. */
export interface RoundChange {
  readonly span: Span;
  readonly what:
    | { readonly kind: 'breath'; readonly breath: BreathCounts }
    | { readonly kind: 'hold'; readonly seconds: number; readonly where: 'full' | 'empty' | 'here' }
    | { readonly kind: 'phases'; readonly phases: readonly Reading[] }
    | { readonly kind: 'said'; readonly words: string; readonly layer: Layer | null };
}

/** All that a line changes, and whether that is a guess. */
export interface ByRounds {
  readonly changes: readonly RoundChange[];
  readonly unsure: boolean;
}

interface Piece {
  readonly span: Span;
  readonly text: string;
  /** Whether nothing but a blank stands between both. */
  readonly bare: boolean;
}

const BETWEEN = /^\s*(?::|,|;| ?[–—-](?= )| ?=|→|[-=]>|\))?\s*/u;
const ALL: Span = { from: 1, to: null, how: 'from' };

/** Where a line stands below a movement. */
export interface BelowMovement {
  readonly rounds: number;
  /** Whether it stands further in than the line of the movement. */
  readonly inset: boolean;
  /** Whether the breath of the movement is written above it. */
  readonly breathes: boolean;
}

/** What a line below a movement of so many rounds changes by its rounds; `null` where it tells of none. */
export function changesByRound(line: string, { rounds, inset, breathes }: BelowMovement): ByRounds | null {
  if (line.length > LONGEST) return null;
  const body = singleSpaced(withoutMark(line).trim())
    .replace(/^[([]([^()[\]]+)[)\]][.]?$/, '$1')
    .replace(/^(?:layers|layering|build(?: up)?|progression): /i, '');
  const always = holdIn(body) ?? (breathes ? heldHere(body) : null);
  if (always) return { changes: [{ span: ALL, what: always }], unsure: false };
  const last = lastHeld(body, rounds);
  if (last) return last;
  if (!MAY_SPAN.test(body)) return null;
  const bare = inset || /^\d{1,2} ?[-–] ?\d{1,2}: /.test(body);
  const pieces = piecesFirst(body, rounds, bare) ?? piecesLast(body, rounds, bare);
  if (!pieces) return null;
  const changes = pieces.map(({ span, text }) => ({ span, what: changeIn(text, span) }));
  if (changes.some(({ what }) => what === null)) return null;
  const found = changes.flatMap(({ span, what }) => (what ? [{ span, what }] : []));
  const [only] = found;
  if (found.length === 1 && only?.what.kind === 'said' && !isToldApart(only.span, only.what)) return null;
  const led = found.some(({ span, what }) => what.kind !== 'said' && span.how === 'round');
  return { changes: found, unsure: led || bare !== inset || pieces.some((one) => one.bare) };
}

/** "last one hold 3", "hold the last one for five seconds", "last one held 10 s". */
const LAST_HELD = [
  /^(?:and )?(?:the )?(?:last|final) (?:one|round|rep|time)[:,]?(?: is| we| –| -)? (?:hold|held|stay|pause)(?: it)?(?: for)? (\d{1,2}|\p{L}{3,5})( ?(?:s|secs?|seconds?|counts?))?(?: (?:at|in) the (?:top|end))?[.!]?$/iu,
  /^(?:and )?(?:hold|pause|stay in) (?:the )?(?:last|final) (?:one|round|rep|time)(?: for)? (\d{1,2}|\p{L}{3,5})( ?(?:s|secs?|seconds?|counts?))?(?: (?:at|in) the (?:top|end))?[.!]?$/iu,
] as const;

function lastHeld(body: string, rounds: number): ByRounds | null {
  const [, written = '', unit] = LAST_HELD.map((form) => form.exec(body)).find((match) => match !== null) ?? [];
  const seconds = secondsOf(written);
  if (written === '' || !(seconds >= 1 && seconds <= LONGEST_HOLD)) return null;
  const span: Span = { from: rounds, to: null, how: 'from' };
  return { changes: [{ span, what: { kind: 'hold', seconds, where: 'full' } }], unsure: unit === undefined };
}

/** What is said on a round, on the first or the last, is read with all other lines over the rounds, but for a part that joins. */
function isToldApart({ how }: Span, { words, layer }: Extract<RoundChange['what'], { kind: 'said' }>): boolean {
  if (SPOKEN_OF.test(words)) return false;
  return how === 'range' || how === 'from' || (how === 'round' && layer !== null);
}

const SPOKEN_OF = /^(?:I|we|you|they|is|are|was|were|has|have|should|must|can|will|goes?|same)\b/i;
const MAY_SPAN =
  /\b(?:round|rep|rnd|rd|r ?\d|breath|time|from|first|last|final|second|half|on the|arms|feet|\d{1,2} ?[-–])/i;

/** "rounds 1-4: arms only, rounds 5-8: add the feet": the rounds stand before what they have. */
function piecesFirst(body: string, rounds: number, inset: boolean): readonly Piece[] | null {
  const small = body.toLowerCase();
  if (small.length !== body.length) return null;
  const first = spanAt(small, 0, rounds, inset);
  if (!first) return null;
  const starts = [first];
  for (const mark of small.matchAll(/(?:[,;.]|\s\/)\s*(?:and |then )*(?=\S)|\s(?:and|then) (?=\S)/g)) {
    const at = mark.index + mark[0].length;
    const previous = starts.at(-1);
    if (!previous || at <= previous.at + previous.length + 3) continue;
    const next = spanAt(small, at, rounds, inset);
    // "…, then add the feet" goes on where the stretch before it ends.
    const then = !next && previous.span.to !== null && /\bthen $/.test(small.slice(mark.index, at));
    if (next) starts.push({ ...next, marked: mark.index });
    else if (then) starts.push({ span: { from: previous.span.to + 1, to: null, how: 'from' }, at, length: 0, marked: mark.index }); // prettier-ignore
  }
  return starts.map(({ span, at, length }, index) => {
    const rest = body.slice(at + length, starts[index + 1]?.marked ?? body.length);
    const text = rest.replace(BETWEEN, '').replace(/[\s,;./]+$/, '');
    return { span, text, bare: /^ \S/.test(rest) && !/^ [–—-]/.test(rest) };
  });
}

interface Start {
  readonly span: Span;
  readonly at: number;
  readonly length: number;
  /** Where the mark before it begins. */
  readonly marked: number;
}

function spanAt(small: string, at: number, rounds: number, inset: boolean): Start | null {
  const text = small.slice(at);
  const open = /^[([]/.test(text) ? 1 : 0;
  const found = spanAtStart(text.slice(open), rounds, inset);
  return found && { span: found.span, at, length: found.length + open, marked: at };
}

/** "arms (round 1), feet (round 3)", "in 4, out 6 from round 5": the rounds stand behind. */
function piecesLast(body: string, rounds: number, inset: boolean): readonly Piece[] | null {
  const whole = spanBehind(body, rounds, inset);
  const parts = body.split(/[,;/]\s*(?:and |then )*/);
  const pieces: (Piece | null)[] = parts.map((part, index) => {
    const found = spanBehind(part, rounds, inset);
    if (found || index > 0) return found;
    const led = /^(?:start with |begin with |first |only )?(?:the )?(\p{L}[^,;]{1,40}?)(?: first| only| alone)?$/iu.exec(part.trim()); // prettier-ignore
    return led && /\b(?:first|only|alone)\b/i.test(part) ? { span: ALL, text: part.trim(), bare: false } : null;
  });
  const then = pieces[0]?.span.to;
  const filled = pieces.map((piece, index) =>
    piece ?? (index === 1 && typeof then === 'number' && /, ?then /i.test(body) ? { span: { from: then + 1, to: null, how: 'from' as const }, text: itemOf(parts, index), bare: false } : null)); // prettier-ignore
  const all = filled.flatMap((piece) => piece ?? []);
  if (all.length > 1 && all.length === parts.length) return all;
  return whole && [whole];
}

const itemOf = (parts: readonly string[], index: number): string => (parts[index] ?? '').trim();

/** A text with the rounds behind it, in brackets or without. */
function spanBehind(text: string, rounds: number, inset: boolean): Piece | null {
  const written = text.trim().replace(/[.!]$/, '');
  const boxed = /^(.{2,}?),? [([]([^()[\]]{1,30})[)\]]$/.exec(written);
  const inBox = boxed && spanOf(boxed[2] ?? '', rounds, inset);
  if (boxed && inBox) return { span: inBox, text: boxed[1] ?? '', bare: false };
  for (const mark of written.matchAll(
    / (?=(?:from|on|in|for|at|rounds?|reps?|r ?\d|after|during|starting|beginning) ?)/gi,
  )) {
    const span = spanOf(written.slice(mark.index + 1), rounds, false);
    if (span) return { span, text: written.slice(0, mark.index).replace(/[,;:–—-]\s*$/, ''), bare: true };
  }
  return null;
}

function spanOf(text: string, rounds: number, bare: boolean): Span | null {
  const found = spanAtStart(text.toLowerCase(), rounds, bare);
  return found?.length === text.length ? found.span : null;
}

const CHANGES_TO =
  /^(?:(?:we |you |then |now )*(?:change|switch|go|slow(?: down)?|move|lengthen|shorten)(?: over)?(?: the breath(?:ing)?)? to|(?:the )?breath(?:ing)? (?:is|goes|becomes|changes to)|breathe|breathing)(?::| ) ?/i;

/** What a stretch of rounds is; `null` where that is an amount of something else. */
function changeIn(text: string, { how }: Span): RoundChange['what'] | null {
  const joins = how === 'from' || how === 'range';
  const hold = holdIn(text.replace(/^(?:add )?(?:an? )?/i, '')) ?? (joins ? holdNamed(text) : null);
  if (hold) return hold;
  const { breath, text: left } = withoutBreath(text.replace(CHANGES_TO, ''));
  if (breath && isOnlyBreath(left)) return { kind: 'breath', breath };
  const phases = breathsOf(text);
  if (phases.length > 1) return { kind: 'phases', phases };
  if (!/\p{L}{2}/u.test(text) || hasAmount(findCounts(text).counts)) return null;
  return { kind: 'said', words: unquoted(text), layer: layerOf(text) };
}

const HOLDS = [
  new RegExp(`^${RESTS_BREATH}(?: the breath| it)?(?: for)? ${REST_SECONDS} (?:(${AT_FULL})|(${AT_EMPTY}))[.]?$`, 'i'),
  new RegExp(`^${RESTS_BREATH}(?: the breath)? (?:(${AT_FULL})|(${AT_EMPTY}))(?: for)?,? ${REST_SECONDS}[.]?$`, 'i'),
  new RegExp(`^${REST_SECONDS} ${RESTS_BREATH} (?:(${AT_FULL})|(${AT_EMPTY}))[.]?$`, 'i'),
  new RegExp(`^${RESTS_BREATH} the breath(?: for)? ${REST_SECONDS}()()[.]?$`, 'i'),
] as const;
const LONGEST_HOLD = 15;

/** "hold 2 s at the top", "2 s pause after the exhale": a rest in each round, where the breath is full or empty. */
function holdIn(text: string): Extract<RoundChange['what'], { kind: 'hold' }> | null {
  for (const [index, one] of HOLDS.entries()) {
    const match = one.exec(text);
    if (!match) continue;
    const [, a = '', b, c] = match;
    const [written, empty] = index === 1 ? [c ?? '', b] : [a, c];
    const seconds = secondsOf(written);
    if (seconds >= 1 && seconds <= LONGEST_HOLD) return { kind: 'hold', seconds, where: empty ? 'empty' : 'full' };
  }
  return null;
}

const HERE = new RegExp(`^hold(?:: ?| [–—-] | )${REST_SECONDS}[.]?$`, 'i');
/** What is held longer is a posture. */
const IN_BREATH = 6;

/** "hold: 2 s" between the way in and the way out. */
function heldHere(text: string): RoundChange['what'] | null {
  const written = HERE.exec(text)?.[1] ?? '';
  const seconds = secondsOf(written);
  return seconds >= 1 && seconds <= IN_BREATH ? { kind: 'hold', seconds, where: 'here' } : null;
}

/** "add a hold of 2 seconds", "a 2 s hold": where rounds are told, the place may be missing. */
function holdNamed(text: string): Extract<RoundChange['what'], { kind: 'hold' }> | null {
  const match =
    new RegExp(`^(?:add )?(?:a |the )?${RESTS_BREATH} (?:of |for )?${REST_SECONDS}[.]?$`, 'i').exec(text) ??
    new RegExp(`^(?:add )?(?:a |the )?${REST_SECONDS} ${RESTS_BREATH}[.]?$`, 'i').exec(text);
  const seconds = match ? secondsOf(match[1] ?? '') : 0;
  return seconds >= 1 && seconds <= LONGEST_HOLD ? { kind: 'hold', seconds, where: 'full' } : null;
}

/** Which layer of a movement joins by a few words; `null` where they name none, or several. */
export function layerOf(words: string): Layer | null {
  if (words.length > 60) return null;
  const found = LAYER_WORDS.filter(([, form]) => form.test(words)).map(([layer]) => layer);
  const joins = /\b(?:add|adding|join|joins|only|first|bring in|with the|now the|then the|then|plus|and the|alone)\b/i.test(words); // prettier-ignore
  const [layer, other] = found;
  return layer && !other && (joins || /^(?:the )?\p{L}+$/u.test(words)) ? layer : null;
}

const LAYER_WORDS: readonly (readonly [Layer, RegExp])[] = [
  ['arms', /\b(?:arms?|hands?)\b/i],
  ['feet', /\b(?:feet|foot|footwork|legs?|steps?|stepping)\b/i],
  ['breath', /\b(?:breath|breathing)\b/i],
];

const secondsOf = (written: string): number => NUMBER_WORDS.get(written.toLowerCase()) ?? Number(written);

/** What changes on a stretch of rounds, worded otherwise. */
export function changeAs({ span, what }: RoundChange, as: (words: string) => string): RoundChange {
  if (what.kind === 'said') return { span, what: { ...what, words: as(what.words) } };
  if (what.kind === 'phases') return { span, what: { ...what, phases: what.phases.map((one) => worded(one, as)) } };
  return { span, what };
}
