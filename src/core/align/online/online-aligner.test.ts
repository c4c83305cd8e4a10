import { describe, expect, it } from 'vitest';
import { CEPSTRA_SECONDS, COEFFICIENTS } from '@/core/signal';
import type { Cue } from '@/core/timeline';
import { itemAt, Random } from '@/core/units';
import { OnlineAligner } from './online-aligner';
import { OnlineSpeech, type OnlineStretch } from './online-speech';
import { LOUD_ROOM, QUIET_ROOM } from './room';

/*
 * Made-up words: each text is a walk of its own through the cepstra, said again with noise on it. Two rounds of three
 * lines each in three steps, a line every five seconds.
 */

const LINES = 18;
const chance = new Random(11);

function walk(seconds: number): Float32Array {
  const frames = Math.round(seconds / CEPSTRA_SECONDS);
  const sound = new Float32Array(frames * COEFFICIENTS);
  const now = new Float32Array(COEFFICIENTS);
  const aim = new Float32Array(COEFFICIENTS);
  for (let frame = 0; frame < frames; frame++) {
    if (frame % 12 === 0) for (let at = 0; at < COEFFICIENTS; at++) aim[at] = 4 * (chance.next() - 0.5);
    for (let at = 0; at < COEFFICIENTS; at++) {
      now[at] = 0.8 * (now[at] ?? 0) + 0.2 * (aim[at] ?? 0);
      sound[frame * COEFFICIENTS + at] = now[at] ?? 0;
    }
  }
  return sound;
}

const cues = Array.from({ length: LINES }, (_, at): Cue => {
  const startSeconds = 3 + 5 * at;
  return {
    id: `line-${at}`,
    step: `step-${Math.floor(at / 6)}`,
    text: `text ${at}`,
    round: 1 + (Math.floor(at / 3) % 2),
    side: null,
    startSeconds,
    endSeconds: startSeconds + 1.5,
    motionSeconds: startSeconds,
    dueSeconds: startSeconds + 4,
    source: { part: 'phase', phaseId: 'in', form: 'silent' },
    announced: '',
  };
});
const texts = new Map(cues.map(({ text }) => [text, walk(1.2 + 0.6 * chance.next())]));

function said(sound: Float32Array, startSeconds: number): OnlineStretch {
  const endSeconds = startSeconds + (sound.length / COEFFICIENTS) * CEPSTRA_SECONDS;
  const cepstra = sound.map((value) => value + 0.4 * (chance.next() - 0.5));
  return { startSeconds, endSeconds, likely: 0.95, cepstra, before: new Float32Array(0) };
}

const line = (at: number, startSeconds: number): OnlineStretch =>
  said(texts.get(itemAt(cues, at).text) ?? new Float32Array(0), startSeconds);

/** Says lines of the class, each so long after the one before; gives when the last one began. */
function say(aligner: OnlineAligner, lines: readonly number[], from: number, apart = 5): number {
  lines.forEach((one, at) => aligner.add(line(one, from + at * apart)));
  return from + (lines.length - 1) * apart;
}

function begun(upTo: number): { aligner: OnlineAligner; at: number } {
  const aligner = new OnlineAligner(cues, texts);
  const at = say(
    aligner,
    Array.from({ length: upTo }, (_, index) => index),
    3,
  );
  return { aligner, at };
}

describe('following a class by ear', () => {
  it('waits for the first line, and for each that comes after one that was said', () => {
    const aligner = new OnlineAligner(cues, texts);
    expect(aligner.place(1)).toMatchObject({ next: 0, last: null, asideSeconds: 0 });
    for (let at = 0; at < 8; at++) {
      say(aligner, [at], 3 + 5 * at);
      const { next, last, share } = aligner.place(3 + 5 * at + 2);
      expect(next).toBe(at + 1);
      expect(share).toBeGreaterThan(0.5);
      expect(last?.cue).toBe(at);
      expect(last?.onset).toBeCloseTo(3 + 5 * at, 2);
    }
  });

  it('stays where it is while something else is said, and says for how long', () => {
    const { aligner, at } = begun(6);
    aligner.add(said(walk(2.5), at + 2.4));
    const place = aligner.place(at + 5);
    expect(place.next).toBe(6);
    expect(place.asideSeconds).toBeCloseTo(2.5, 1);
    say(aligner, [6], at + 7);
    expect(aligner.place(at + 9)).toMatchObject({ next: 7, asideSeconds: 0 });
  });

  it('goes on where music begins in mid-class, and where it ends', () => {
    const speech = new OnlineSpeech();
    const aligner = new OnlineAligner(cues, texts, speech);
    const at = say(aligner, [0, 1, 2, 3, 4, 5], 3);
    const rooms = new Set([speech.room]);
    const sounding = (level: number): Float32Array =>
      Float32Array.from({ length: 200 * COEFFICIENTS }, (_, index) => (index % COEFFICIENTS === 0 ? level : 0));
    for (let index = 6; index < 16; index++) {
      const startSeconds = at + 5 * (index - 5);
      const room = index < 11 ? -1 : -30;
      aligner.add({ ...line(index, startSeconds), before: sounding(room) });
      rooms.add(speech.room);
      expect(aligner.place(startSeconds + 2).next).toBe(index + 1);
    }
    expect([...rooms]).toEqual([QUIET_ROOM, LOUD_ROOM]);
    expect(speech.room).toBe(QUIET_ROOM);
  });

  it('finds the place again after lines that were passed over', () => {
    const { aligner, at } = begun(6);
    say(aligner, [8, 9], at + 6);
    expect(aligner.place(at + 13).next).toBe(10);
  });

  it('goes back when a round is said again', () => {
    const { aligner, at } = begun(9);
    say(aligner, [6, 7], at + 5);
    expect(aligner.place(at + 12).next).toBe(8);
  });

  it('goes on after a step that was left out', () => {
    const { aligner, at } = begun(6);
    say(aligner, [12, 13], at + 5);
    expect(aligner.place(at + 12).next).toBe(14);
  });

  it('waits through an interruption, without passing lines over', () => {
    const { aligner, at } = begun(6);
    // A little late it may have been passed over; in a long silence nothing was said at all.
    for (const later of [7, 18, 24]) expect(aligner.place(at + later).next).toBe(6);
    say(aligner, [6], at + 25);
    expect(aligner.place(at + 27).next).toBe(7);
  });

  it('is moved by hand, and goes on from there', () => {
    const { aligner, at } = begun(4);
    aligner.moveTo(10, at + 4);
    expect(aligner.place(at + 4)).toMatchObject({ next: 10, last: { cue: 9 } });
    say(aligner, [10], at + 5);
    expect(aligner.place(at + 7).next).toBe(11);
    aligner.moveTo(LINES, at + 8);
    expect(aligner.place(at + 9).next).toBe(LINES - 1);
  });

  it('takes other lines at the place where it is', () => {
    const { aligner, at } = begun(8);
    const fewer = cues.filter((_, index) => index < 2 || index > 4);
    const changed = aligner.withCues(fewer, texts);
    expect(itemAt(fewer, changed.place(at + 3).next).id).toBe('line-8');
    changed.add(line(8, at + 5));
    expect(itemAt(fewer, changed.place(at + 8).next).id).toBe('line-9');
  });

  it('follows a class of no lines and a voice that says none of them without a fault', () => {
    const none = new OnlineAligner([], new Map());
    none.add(said(walk(1), 1));
    expect(none.place(3).last).toBeNull();
    const unsaid = new OnlineAligner(cues, new Map());
    say(unsaid, [0, 1, 2], 3);
    expect(unsaid.place(14).next).toBeGreaterThan(0);
  });
});
