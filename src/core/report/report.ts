import type { Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import { missingSteps } from './left-out';
import type { Report } from './model';
import { saidCues } from './said';
import { readSteps } from './steps';
import { longSilences, speakingRate, talkBySection } from './whole';

/** What a reading tells of its steps and of the whole: all of it from when lines were said, so it follows corrections. */
export function reportOf(timeline: Timeline, reading: Reading): Report {
  const said = saidCues(timeline, reading);
  const { steps, differences } = readSteps(timeline, said, reading);
  return {
    steps,
    differences: [...differences, ...missingSteps(timeline, said, reading)].sort((a, b) => a.atSeconds - b.atSeconds),
    talk: talkBySection(timeline, said, reading),
    silences: longSilences(timeline, reading),
    syllablesPerMinute: speakingRate(said),
  };
}
