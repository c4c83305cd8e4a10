import { describe, expect, it } from 'vitest';
import { readPlanText } from '@/core/plan';
import { correct, readTake } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import { demoClasses } from '@/demo/classes';
import { chaptersOf, fileNameFor, publish, saidLines } from '.';

const { plan } = demoClasses()[0];
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
    expect(chapters[0].startSeconds).toBe(0);
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
    expect(chapters[2].startSeconds).toBeCloseTo(chaptersOf(plan, timeline, null)[2].startSeconds + 10, 1);
    expect(chapters.at(-1)?.endSeconds).toBe(640);
    expect(saidLines(timeline, reading)[0].startSeconds).toBeCloseTo(10, 1);
  });

  it('leaves skipped lines out and keeps remarks whose words are known', () => {
    const skipped = correct(reading, timeline, { [timeline.cues[0].id]: { saidAtSeconds: null } }, 640);
    const remarked = {
      ...skipped,
      remarks: [
        { startSeconds: 1, endSeconds: 2, text: 'the kettle' },
        { startSeconds: 3, endSeconds: 4, text: null },
      ],
    };
    const lines = saidLines(timeline, remarked);
    expect(lines.length).toBe(timeline.cues.length);
    expect(lines[0].text).toBe('the kettle');
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
});
