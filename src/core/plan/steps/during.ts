import { escapeText } from '@/core/document';
import type { DuringLine } from '@/core/movement';
import { itemAt, toMilliseconds, type Milliseconds } from '@/core/units';
import type { TextChange } from './text-place';

/*
 * Lines that are said over something that runs by itself: over rounds, a time at one's own pace, a hold, a silence.
 * They take no time of their own. Where each is wanted, and how they keep apart.
 */

/** From the end of one such line to the start of the next, at least; common practice, no published source. */
export const ROOM: Milliseconds = 2000;

/** The lines after a change of their texts. */
export function changedDuring(lines: readonly DuringLine[], change: TextChange): DuringLine[] {
  return lines.map((line) => ({ ...line, text: change(line.text, { part: 'during', lineId: line.id }) }));
}

/** The lines that are said in one of the stretches that follow each other, in the order in which they are listed. */
export function duringOn(lines: readonly DuringLine[], stretch: number, stretches: number): readonly DuringLine[] {
  return lines.filter(({ side, text }) => {
    if (text.trim() === '') return false;
    if (side === 'each' || stretches === 1) return true;
    return side === 'first' ? stretch === 0 : stretch === stretches / 2;
  });
}

/** What lines over a time without a lead take at least, with the room between them. */
export function duringMilliseconds(
  lines: readonly DuringLine[],
  stretches: number,
  said: (text: string) => Milliseconds,
): Milliseconds {
  let total = 0;
  for (let stretch = 0; stretch < stretches; stretch++) {
    for (const { text } of duringOn(lines, stretch, stretches)) total += said(text) + ROOM;
  }
  return total;
}

/** A line where it is wanted, and how long it is. */
export interface WantedLine {
  readonly line: DuringLine;
  readonly length: Milliseconds;
  /** When it is to be said; `null` where there is room. */
  readonly at: Milliseconds | null;
}

export interface SpreadLine extends WantedLine {
  readonly start: Milliseconds;
}

/**
 * Gives each line its time between `from` and `to`: those that are wanted at a time there, the others in the order of
 * the list with as much room before as after, between the times that stand before and after them in it. In order of
 * start; lines never overlap as long as there is time for all of them.
 */
export function spread(lines: readonly WantedLine[], from: Milliseconds, to: Milliseconds): SpreadLine[] {
  const placed: SpreadLine[] = [];
  let open: WantedLine[] = [];
  let left = from;
  const fill = (right: Milliseconds): void => {
    const words = open.reduce((sum, { length }) => sum + length, 0);
    const room = Math.max(0, right - left - words) / (open.length + 1);
    let at = left;
    for (const wanted of open) {
      at += room;
      placed.push({ ...wanted, start: Math.round(at) });
      at += wanted.length;
    }
    open = [];
  };
  for (const wanted of lines) {
    if (wanted.at === null) {
      open.push(wanted);
      continue;
    }
    const start = Math.min(Math.max(wanted.at, from), Math.max(from, to - wanted.length));
    if (start >= left) {
      fill(start);
      left = start + wanted.length;
    }
    placed.push({ ...wanted, start });
  }
  fill(to);
  return apart(placed, from, to);
}

/** The lines in order of start, moved so far that none begins before another ends, as long as there is time for all. */
export function apart<Line extends Pick<SpreadLine, 'start' | 'length'>>(
  lines: readonly Line[],
  from: Milliseconds,
  to: Milliseconds,
): Line[] {
  const ordered = lines.map((line, at) => ({ line, at })).sort((a, b) => a.line.start - b.line.start || a.at - b.at);
  const starts = ordered.map(({ line }) => line.start);
  let end = from;
  ordered.forEach(({ line }, at) => {
    starts[at] = Math.max(itemAt(starts, at), end);
    end = itemAt(starts, at) + line.length;
  });
  let next = to;
  for (let at = starts.length - 1; at >= 0; at--) {
    const { length } = itemAt(ordered, at).line;
    starts[at] = Math.max(from, Math.min(itemAt(starts, at), next - length));
    next = itemAt(starts, at);
  }
  return ordered.map(({ line }, at) => ({ ...line, start: itemAt(starts, at) }));
}

/** Where a line is wanted over a time without a lead that begins at `from`: at its time, else where there is room. */
export function wantedOver(line: DuringLine, from: Milliseconds): Milliseconds | null {
  return line.on === 'time' ? from + toMilliseconds(line.number) : null;
}

/** Such a line in the plain script. */
export function duringText({ text, on, number, side, layer }: DuringLine): string {
  const place = { anywhere: '', round: ` round ${number}`, every: ` every ${number}`, last: ` last ${number}`, time: ` at ${number} s` }[on]; // prettier-ignore
  const sided = side === 'each' ? '' : `, ${side} side`;
  const layered = layer === null ? '' : `, ${layer}`;
  return `over${place}${sided}${layered}: ${escapeText(text)}`;
}
