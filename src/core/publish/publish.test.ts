import { itemAt } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { WebVTTParser } from 'webvtt-parser';
import { performedSteps, readPlanText } from '@/core/plan';
import { FRAME_RATES, keptStretches, onFrames } from '@/core/cuts';
import { checkReading, correct, readTake } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { chaptersOf, fileNameFor, publish, saidLines, type PublishFormat } from '.';

const { plan } = itemAt(demoClasses(), 0);
const timeline = expandPlan(plan);
const captions = timeline.cues.map((cue) => ({
  startSeconds: cue.startSeconds + 10,
  endSeconds: cue.endSeconds + 10,
  text: cue.text,
}));
const reading = readTake(timeline, { captions, speech: null, lengthSeconds: 640 });

describe('publishing', () => {
  it('gives a chapter to every movement and quiet, from 0:00 to the end', () => {
    const chapters = chaptersOf(plan, timeline, null);
    expect(itemAt(chapters, 0).startSeconds).toBe(0);
    expect(chapters.at(-1)?.endSeconds).toBe(timeline.runtimeSeconds);
    expect(chapters.map((chapter) => chapter.title)).toEqual([
      'Welcome',
      'Arrival',
      'Coiling the line',
      'Raising the lamp',
      'Turning the lighthouse',
      'Heron on the piling',
      'Setting down the nets',
      'Gulls leaving the wall',
      'Mooring post',
      'Banking the stove',
    ]);
    chapters.forEach((chapter, index) =>
      expect(chapter.endSeconds).toBe(chapters[index + 1]?.startSeconds ?? timeline.runtimeSeconds),
    );
  });

  it('moves chapters and captions to the times of a take', () => {
    const chapters = chaptersOf(plan, timeline, reading);
    expect(itemAt(chapters, 2).startSeconds).toBeCloseTo(
      itemAt(chaptersOf(plan, timeline, null), 2).startSeconds + 10,
      1,
    );
    expect(chapters.at(-1)?.endSeconds).toBe(640);
    expect(itemAt(saidLines(timeline, reading), 0).startSeconds).toBeCloseTo(10, 1);
  });

  it('gives a step of which nothing was said the drift of the last line before it, or none', () => {
    const planned = chaptersOf(plan, timeline, null);
    const third = performedSteps(plan).findIndex(({ step }) => step.name === itemAt(planned, 3).title);
    const [from, to] = itemAt(timeline.steps, third).cueRange;
    const unsaid = (which: (at: number) => boolean) => ({
      ...reading,
      cues: reading.cues.map((cue, at) => (which(at) ? { ...cue, actualStart: null, actualEnd: null } : cue)),
    });
    const ofOne = chaptersOf(
      plan,
      timeline,
      unsaid((at) => at >= from && at < to),
    );
    expect(itemAt(ofOne, 3).startSeconds).toBeCloseTo(itemAt(planned, 3).startSeconds + 10, 1);
    const later = {
      ...reading,
      cues: reading.cues.map((cue, at) =>
        at >= from && cue.actualStart !== null ? { ...cue, actualStart: cue.actualStart + 3 } : cue,
      ),
    };
    const ofLater = chaptersOf(plan, timeline, later);
    expect(itemAt(ofLater, 3).startSeconds).toBeCloseTo(itemAt(planned, 3).startSeconds + 13, 1);
    const ofAll = chaptersOf(
      plan,
      timeline,
      unsaid(() => true),
    );
    expect(itemAt(ofAll, 3).startSeconds).toBeCloseTo(itemAt(planned, 3).startSeconds, 6);
  });

  it('leaves skipped lines out and keeps ad-libs whose words are known', () => {
    const skipped = correct(reading, timeline, { [itemAt(timeline.cues, 0).id]: { actualStart: null } }, 640);
    const adLibbed = {
      ...skipped,
      adLibs: [
        { startSeconds: 1, endSeconds: 2, text: 'the kettle' },
        { startSeconds: 3, endSeconds: 4, text: null },
      ],
    };
    const lines = saidLines(timeline, adLibbed);
    expect(lines.length).toBe(timeline.cues.length);
    expect(itemAt(lines, 0).text).toBe('the kettle');
  });

  it('writes the plan so that it can be read again without loss', () => {
    const read = readPlanText(publish(plan, timeline, 'plan', null).text);
    expect(read.ok && read.value).toEqual(plan);
  });

  it('makes harmless file names', () => {
    expect(fileNameFor('Before the First Ferry', '.vtt')).toBe('before-the-first-ferry.vtt');
    expect(fileNameFor('../../etc/passwd <b>', '.srt')).toBe('etc-passwd-b.srt');
    expect(fileNameFor('🌊 مرحبا', '.srt')).toBe('class.srt');
    expect(fileNameFor('x'.repeat(500), '.srt').length).toBe(64);
  });

  it('writes a label track with the lines as they were said', () => {
    const { text, ending } = publish(plan, timeline, 'labels', reading);
    const lines = text.trimEnd().split('\n');
    expect(ending).toBe('.labels.txt');
    expect(lines.length).toBe(saidLines(timeline, reading).length);
    const [start, end, said] = itemAt(lines, 0).split('\t');
    expect([Number(start), said]).toEqual([itemAt(reading.cues, 0).actualStart, itemAt(timeline.cues, 0).text]);
    expect(Number(end)).toBeGreaterThan(Number(start));
  });

  it('writes the breath as a metadata track of JSON, at the times of the take, that an outside reader takes', () => {
    const breaths = timeline.phases.filter(({ kind }) => kind !== 'spoken');
    for (const [of, late] of [
      [null, 0],
      [reading, 10],
    ] as const) {
      const { text } = publish(plan, timeline, 'metadata', of);
      const { cues, errors } = new WebVTTParser().parse(text, 'metadata');
      expect(errors).toEqual([]);
      expect(cues.length).toBe(breaths.length);
      expect(itemAt(cues, 3).startTime).toBeCloseTo(itemAt(breaths, 3).startSeconds + late, 2);
      expect(JSON.parse(itemAt(cues, 3).text)).toMatchObject({
        round: itemAt(breaths, 3).round,
        breath: itemAt(breaths, 3).kind,
      });
    }
    const odd = { ...timeline, phases: timeline.phases.map((phase) => ({ ...phase, action: 'up --> down' })) };
    const { cues } = new WebVTTParser().parse(publish(plan, odd, 'metadata', null).text, 'metadata');
    expect(JSON.parse(itemAt(cues, 0).text)).toMatchObject({ action: 'up --> down' });
  });

  it('describes the class with its chapters and cautions, and defers to those who know the person', () => {
    const { text } = publish(plan, timeline, 'description', null);
    expect(text.startsWith(`${plan.title}\n10:00`)).toBe(true);
    expect(text).toContain('0:00 Welcome');
    expect(text).toContain('stay upright if you have been told not to bend');
    expect(text).toContain('what your doctor or therapist told you comes first');
    expect(text).not.toMatch(/\bsafe\b|\bcure|\bheal/i);
  });

  it('writes the reading so that its own door takes it back', () => {
    const { text } = publish(plan, timeline, 'reading', reading);
    expect(checkReading(JSON.parse(text))).toMatchObject({ ok: true, value: reading });
    expect(JSON.parse(text)).toHaveProperty('report.differences');
  });

  it('retimes captions, chapters, breath and reading by the same cuts, and writes them as a cut list', () => {
    const rate = FRAME_RATES[2];
    const cut = (startSeconds: number, endSeconds: number) =>
      ({ startSeconds, endSeconds, reason: 'fluff', on: true }) as const;
    const kept = onFrames(keptStretches([cut(0, 8), cut(300, 330)], 640), rate);
    const cutting = { kept, rate, clip: 'take.mp4', picture: true };
    const written = (format: PublishFormat) => publish(plan, timeline, format, reading, undefined, cutting).text;
    const stamps = (text: string): number[] =>
      new WebVTTParser().parse(text, 'metadata').cues.map(({ startTime }) => startTime);
    const whole = stamps(publish(plan, timeline, 'webvtt', reading).text);
    const short = stamps(written('webvtt'));
    const outside = whole.filter((at) => at < 295 || at > 330);
    expect(short[0]).toBeCloseTo(itemAt(whole, 0) - 8, 2);
    expect(short.at(-1)).toBeCloseTo((whole.at(-1) ?? 0) - 38, 2);
    expect(Math.abs(short.length - outside.length)).toBeLessThan(4);
    expect(JSON.parse(written('reading'))).toMatchObject({ totals: { runtimeSeconds: 602 } });
    const breaths = stamps(publish(plan, timeline, 'metadata', reading).text);
    expect(stamps(written('metadata')).at(-1)).toBeCloseTo((breaths.at(-1) ?? 0) - 38, 2);
    expect(written('chapter-list').trim().split('\n').length).toBe(10);
    expect(written('cut-list').match(/^00\d {2}AX /gm)?.length).toBe(2);
    expect(publish(plan, timeline, 'cut-list', reading).text).toContain(
      '00:00:00:00 00:10:40:00 01:00:00:00 01:10:40:00',
    );
  });
});
