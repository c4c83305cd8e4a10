import type { Caption } from '@/core/interchange';
import type { Cue } from '@/core/timeline';
import type { Term } from '@/core/words';
import { itemAt, lastStartedAt, wholeMilliseconds, type Seconds } from '@/core/units';
import { expectation, findAnchors, type Anchor } from '../anchors';
import { matchWords } from './match-words';
import type { Alignment, FoundCue, AdLib } from '../model';
import { TermHearing } from './term-hearing';
import { plainWords } from './plain-words';
import { areOpposite, heardWords, similarity, plannedWords, type HeardWord, type PlannedWord } from './words';

/** Of a cue's letters, the share that must have been heard for it to count as said. */
const SAID_SHARE = 0.45;
/** A short cue is looked for this near its expected time when its words were misheard. */
const RESCUE_SECONDS: Seconds = 2.5;
/** Words of one piece are parted by less than this. */
const PIECE_GAP: Seconds = 0.3;
/** Words of an ad-lib are parted by less than this. */
const AD_LIB_GAP: Seconds = 1.5;

/** What captions tell by their words alone. */
export interface ReadByWords {
  readonly alignment: Alignment;
  readonly heard: readonly HeardWord[];
  /** The places `[from, to)` of words that belong together: of one cue, or of none and said in a row. */
  readonly pieces: readonly (readonly [number, number])[];
  /** Cues of which enough was heard to know the tempo by. */
  readonly anchors: readonly Anchor[];
}

/** Aligns cues with a machine's captions by their words, in order; tolerant of mishearings, skips and ad-libs. */
export function readByWords(cues: readonly Cue[], captions: readonly Caption[], terms: readonly Term[]): ReadByWords {
  const hearing = new TermHearing(terms, cues);
  const planned = plannedWords(cues, hearing);
  const heard = heardWords(captions, hearing);
  const anchors = findAnchors(planned, heard);
  const first = matchWords(planned, heard, expectation(anchors), anchors.length >= 2);
  const rough = cueSpans(cues, planned, heard, first).filter((span) => span.share >= 0.7 && span.words >= 3);
  // A second pass knows the drift from whole cues, so that "in" and "out" are taken from the right breath.
  const surer = rough.map((span) => ({
    plannedStart: itemAt(cues, span.cue).startSeconds,
    actualStart: span.startSeconds,
  }));
  const expected = expectation(surer.length >= 2 ? surer : anchors);
  const matched = surer.length >= 2 ? matchWords(planned, heard, expected, true) : first;
  const spans = cueSpans(cues, planned, heard, matched).filter((span) => span.share >= SAID_SHARE);
  const used = usedWords(spans, heard);
  const rescued = rescueShortCues(cues, captions, spans, heard, used, expected);
  const found = [...spans.map((span) => foundCue(cues, captions, heard, span)), ...rescued];
  const place = new Map(cues.map((cue, index) => [cue.id, index]));
  found.sort((a, b) => (place.get(a.cueId) ?? 0) - (place.get(b.cueId) ?? 0));
  const adLibs = adLibsIn(captions, heard, used);
  const alignment = { found, unsaid: [], adLibs, distances: null, way: null };
  return { alignment, heard, pieces: piecesOf(spans, heard), anchors: surer };
}

/** Heard words cut where a caption ends, where nobody speaks, and where a cue begins or ends. */
function piecesOf(spans: readonly Span[], heard: readonly HeardWord[]): (readonly [number, number])[] {
  const cuts = new Set(spans.flatMap(({ firstHeard, lastHeard }) => [firstHeard, lastHeard + 1]));
  const pieces: [number, number][] = [];
  heard.forEach((word, at) => {
    const before = heard[at - 1];
    const apart = !before || before.caption !== word.caption || word.startSeconds - before.endSeconds > PIECE_GAP;
    if (apart || cuts.has(at)) pieces.push([at, at + 1]);
    else itemAt(pieces, pieces.length - 1)[1] = at + 1;
  });
  return pieces;
}

interface Span {
  readonly cue: number;
  readonly share: number;
  readonly words: number;
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
  readonly firstHeard: number;
  readonly lastHeard: number;
  /** Words of the cue that follow the last one heard. */
  readonly unheardAfter: number;
  readonly unheardBefore: number;
}

/** For each cue with a word matched, where it lies and how much of it was heard. Stray far matches are left off. */
function cueSpans(
  cues: readonly Cue[],
  planned: readonly PlannedWord[],
  heard: readonly HeardWord[],
  matched: Int32Array,
): Span[] {
  const spans: Span[] = [];
  for (let from = 0; from < planned.length;) {
    let to = from;
    while (to < planned.length && itemAt(planned, to).cue === itemAt(planned, from).cue) to++;
    const span = spanOf(
      itemAt(cues, itemAt(planned, from).cue),
      planned.slice(from, to),
      heard,
      matched.subarray(from, to),
    );
    if (span) spans.push(span);
    from = to;
  }
  return spans;
}

function spanOf(
  cue: Cue,
  words: readonly PlannedWord[],
  heard: readonly HeardWord[],
  matched: Int32Array,
): Span | null {
  const lasts = cue.endSeconds - cue.startSeconds;
  const places = [...matched.keys()].filter((place) => (matched[place] ?? 0) >= 0);
  if (places.length === 0) return null;
  // The densest run: words of one cue lie no further apart than twice its length and three seconds.
  const reach = 2 * lasts + 3;
  let kept: number[] = [];
  for (const start of places) {
    const begin = itemAt(heard, matched[start] ?? 0).startSeconds;
    const run = places.filter(
      (place) => place >= start && itemAt(heard, matched[place] ?? 0).startSeconds - begin <= reach,
    );
    if (run.length > kept.length) kept = run;
  }
  const letters = words.reduce((total, word) => total + word.word.length, 0);
  const heardLetters = kept.reduce(
    (total, place) =>
      total +
      itemAt(words, place).word.length * similarity(itemAt(words, place).word, itemAt(heard, matched[place] ?? 0).word),
    0,
  );
  const firstPlace = kept[0] ?? 0;
  const lastPlace = kept[kept.length - 1] ?? 0;
  const first = itemAt(heard, matched[firstPlace] ?? 0);
  const last = itemAt(heard, matched[lastPlace] ?? 0);
  const spanLength = Math.max(0.01, last.endSeconds - first.startSeconds);
  const share = (count: number): number => (spanLength * count) / Math.max(1, lastPlace - firstPlace + 1);
  const missingBefore = Math.min(share(firstPlace), lasts);
  return {
    cue: itemAt(words, 0).cue,
    share: letters > 0 ? heardLetters / letters : 0,
    words: kept.length,
    startSeconds: Math.max(0, first.startSeconds - missingBefore),
    endSeconds: last.endSeconds + Math.min(share(words.length - 1 - lastPlace), lasts),
    firstHeard: matched[firstPlace] ?? 0,
    lastHeard: matched[lastPlace] ?? 0,
    unheardAfter: words.length - 1 - lastPlace,
    unheardBefore: firstPlace,
  };
}

/** Marks the heard words that belong to cues: those matched, those between, and as many at the ends as were misheard. */
function usedWords(spans: readonly Span[], heard: readonly HeardWord[]): Uint8Array {
  const used = new Uint8Array(heard.length);
  for (const span of spans) used.fill(1, span.firstHeard, span.lastHeard + 1);
  for (const span of spans) {
    absorb(used, heard, span.firstHeard, -1, span.unheardBefore);
    absorb(used, heard, span.lastHeard, 1, span.unheardAfter);
  }
  return used;
}

function absorb(used: Uint8Array, heard: readonly HeardWord[], from: number, step: 1 | -1, count: number): void {
  for (let at = from + step, left = count; left > 0 && at >= 0 && at < used.length && !used[at]; at += step, left--) {
    if (Math.abs(itemAt(heard, at).startSeconds - itemAt(heard, at - step).startSeconds) > AD_LIB_GAP) return;
    used[at] = 1;
  }
}

/** Short cues whose one or two words were misheard, found by when they were said. */
function rescueShortCues(
  cues: readonly Cue[],
  captions: readonly Caption[],
  spans: readonly Span[],
  heard: readonly HeardWord[],
  used: Uint8Array,
  expected: (seconds: Seconds) => Seconds,
): FoundCue[] {
  const said = new Set(spans.map((span) => span.cue));
  const rescued: FoundCue[] = [];
  cues.forEach((cue, index) => {
    const words = plainWords(cue.text);
    const { length } = words;
    if (said.has(index) || length > 2) return;
    const when = expected(cue.startSeconds);
    const at = placeNear(heard, when, (place) => !used[place] && runLength(heard, used, place) <= length);
    if (
      at < 0 ||
      (at > 0 && !used[at - 1] && itemAt(heard, at).startSeconds - itemAt(heard, at - 1).endSeconds < AD_LIB_GAP)
    )
      return;
    const last = at + runLength(heard, used, at) - 1;
    const other = heard.slice(at, last + 1).some(({ word }) => words.some((own) => areOpposite(own, word)));
    if (other) return;
    used.fill(1, at, last + 1);
    rescued.push({
      cueId: cue.id,
      startSeconds: itemAt(heard, at).startSeconds,
      endSeconds: itemAt(heard, last).endSeconds,
      confidence: 0.4,
      evidence: { by: 'length', heard: wording(captions, heard, at, last + 1), nearer: null },
    });
  });
  return rescued;
}

/** The first word said about a time that will do; `-1` where none will. Words are in order of their starts, nearly. */
function placeNear(heard: readonly HeardWord[], when: Seconds, does: (place: number) => boolean): number {
  const first = Math.max(0, lastStartedAt(heard, when - RESCUE_SECONDS) - NEARLY);
  for (let at = first; at < heard.length && itemAt(heard, at).startSeconds < when + RESCUE_SECONDS + NEARLY; at++) {
    if (Math.abs(itemAt(heard, at).startSeconds - when) < RESCUE_SECONDS && does(at)) return at;
  }
  return -1;
}

/** Captions may overlap: so many words, or seconds, out of order. */
const NEARLY = 20;

/** How many unused words follow each other from `at` without a pause. */
function runLength(heard: readonly HeardWord[], used: Uint8Array, at: number): number {
  let end = at + 1;
  while (
    end < heard.length &&
    !used[end] &&
    itemAt(heard, end).startSeconds - itemAt(heard, end - 1).endSeconds < AD_LIB_GAP
  )
    end++;
  return end - at;
}

function foundCue(
  cues: readonly Cue[],
  captions: readonly Caption[],
  heard: readonly HeardWord[],
  span: Span,
): FoundCue {
  const cue = itemAt(cues, span.cue);
  // One short word is easily taken for another; several that agree are not.
  const many = Math.min(1, 0.55 + span.words * 0.12);
  return {
    cueId: cue.id,
    startSeconds: wholeMilliseconds(span.startSeconds),
    endSeconds: wholeMilliseconds(Math.max(span.endSeconds, span.startSeconds + 0.05)),
    confidence: Math.round(100 * Math.min(1, span.share) * many) / 100,
    evidence: { by: 'words', heard: wording(captions, heard, span.firstHeard, span.lastHeard + 1), nearer: null },
  };
}

/** What was heard and belongs to no cue, with the captions' own wording. */
function adLibsIn(captions: readonly Caption[], heard: readonly HeardWord[], used: Uint8Array): AdLib[] {
  const adLibs: AdLib[] = [];
  for (let at = 0; at < heard.length;) {
    if (used[at]) {
      at++;
      continue;
    }
    const end = at + runLength(heard, used, at);
    adLibs.push({
      startSeconds: wholeMilliseconds(itemAt(heard, at).startSeconds),
      endSeconds: wholeMilliseconds(itemAt(heard, end - 1).endSeconds),
      text: wording(captions, heard, at, end),
    });
    at = end;
  }
  return adLibs;
}

/** The wording of heard words `[from, to)`: whole captions as they are written, parts word by word. */
export function wording(captions: readonly Caption[], heard: readonly HeardWord[], from: number, to: number): string {
  const parts: string[] = [];
  for (let at = from; at < to;) {
    const { caption } = itemAt(heard, at);
    let end = at;
    while (end < to && itemAt(heard, end).caption === caption) end++;
    const whole =
      (at === 0 || itemAt(heard, at - 1).caption !== caption) &&
      (end === heard.length || itemAt(heard, end).caption !== caption);
    const words = heard.slice(at, end).map((word) => word.word);
    parts.push(whole ? itemAt(captions, caption).text.replace(/\s+/g, ' ') : words.join(' '));
    at = end;
  }
  return parts.join(' ');
}
