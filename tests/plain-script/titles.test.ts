import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { planMilliseconds } from '@/core/plan';
import { countingIds } from '../support/chance';

/* The first line of a script in seventy ways: what the class is called, and how long it is to be where it says so. */

const TITLES: readonly (readonly [line: string, title: string, seconds: number | null])[] = [
  ['Evening class, 40 min', 'Evening class', 2400],
  ['Evening class (40 min)', 'Evening class', 2400],
  ['Evening class - 40 minutes', 'Evening class', 2400],
  ['Evening class 40 mins', 'Evening class', 2400],
  ['Evening class: 40 min', 'Evening class', 2400],
  ["Evening class 40'", 'Evening class', 2400],
  ['Evening class | 40 min', 'Evening class', 2400],
  ['40 min evening class', 'evening class', 2400],
  ['40-minute evening class', 'evening class', 2400],
  ['EVENING CLASS 40 MIN', 'EVENING CLASS', 2400],
  ['# Evening class (40 min)', 'Evening class', 2400],
  ['**Evening class** – 40 min', 'Evening class', 2400],
  ['"Evening class" 40 min', 'Evening class', 2400],
  ['Title: Evening class', 'Evening class', null],
  ['Class: Evening class, 40 min', 'Evening class', 2400],
  ['Class plan – Evening class (40 min)', 'Class plan – Evening class', 2400],
  ['Plan for Thursday', 'Plan for Thursday', null],
  ['Thursday 6pm', 'Thursday 6pm', null],
  ['Thurs 18:00-18:45', 'Thurs', 2700],
  ['Thursday 18.00–18.45', 'Thursday', 2700],
  ['Thursday, 6 to 6.45 pm', 'Thursday', 2700],
  ['Class for 4 March', 'Class for 4 March', null],
  ['Week 3', 'Week 3', null],
  ['Week 3 - Opening the hips', 'Week 3 - Opening the hips', null],
  ['Lesson 5: Crane', 'Lesson 5: Crane', null],
  ['Session 2 (beginners) 1 hour', 'Session 2 (beginners)', 3600],
  ['Session 2 (beginners), 1h', 'Session 2 (beginners)', 3600],
  ['Beginners 1hr', 'Beginners', 3600],
  ['Beginners, one hour', 'Beginners', 3600],
  ['Beginners, half an hour', 'Beginners', 1800],
  ['Half hour for beginners', 'Half hour for beginners', 1800],
  ['Qigong for tired people', 'Qigong for tired people', null],
  ['qigong for tired people', 'qigong for tired people', null],
  ['Qigong for tired people - about half an hour', 'Qigong for tired people', 1800],
  ['Qigong for tired people (approx 30 min)', 'Qigong for tired people', 1800],
  ['Qigong for tired people, 25-30 min', 'Qigong for tired people', 1650],
  ['Qigong for tired people, max 30 min', 'Qigong for tired people', 1800],
  ['My plan', 'My plan', null],
  ['Notes for Friday', 'Notes for Friday', null],
  ['friday', 'friday', null],
  ['Spring Qigong', 'Spring Qigong', null],
  ['Spring qigong 20', 'Spring qigong', 1200],
  ['10 min desk break', 'desk break', 600],
  ['Desk break (10)', 'Desk break', 600],
  ['Ten-minute desk break', 'desk break', 600],
  ['A ten minute desk break', 'desk break', 600],
  ['A short class of twenty minutes', 'A short class of twenty minutes', 1200],
  ['Tai chi, level 2, 50 min', 'Tai chi, level 2', 3000],
  ['Eight brocades 12 min', 'Eight brocades', 720],
  ['The 8 brocades', 'The 8 brocades', null],
  ['18 movements', '18 movements', null],
  ['24 form practice, 45 min', '24 form practice', 2700],
  ['Yang 24, part 1', 'Yang 24, part 1', null],
  ['5 elements', '5 elements', null],
  ['Five Animals (30 min)', 'Five Animals', 1800],
  ['Tuesday 🌊', 'Tuesday', null],
  ['Class #12', 'Class #12', null],
  ['2026-11-30 evening', '2026-11-30 evening', null],
  ['30/11 evening 40 min', '30/11 evening', 2400],
  ['30.11. evening, 40 min', '30.11. evening', 2400],
  ['Nov 30, 40 minutes', 'Nov 30', 2400],
  ['Class 1 of 6', 'Class 1 of 6', null],
  ['Over-60s, 45 min', 'Over-60s', 2700],
  ['Over 60s gentle class', 'Over 60s gentle class', null],
  ['Mums and babies, 30m', 'Mums and babies', 1800],
  ['Lunchtime reset!', 'Lunchtime reset', null],
  ['Sleep well', 'Sleep well', null],
  ['Warm up for the choir, 10 min', 'Warm up for the choir', 600],
  ['Opening class of the term', 'Opening class of the term', null],
  ['Seated class', 'Seated class', null],
  ['Seated qigong 15 min', 'Seated qigong', 900],
  ['Standing meditation class, 25 min', 'Standing meditation class', 1500],
  ['Class – standing – 30 min', 'Class – standing', 1800],
  ['Silent morning practice (45 min)', 'Silent morning practice', 2700],
  ['Breath and balance. 30 minutes.', 'Breath and balance', 1800],
  ['Harbour class - 30 min - all levels', 'Harbour class - all levels', 1800],
];
const letters = (text: string): string => text.toLowerCase().replace(/[^\p{L}\d]/gu, '');

describe.each(['Lift the Water x6', 'Arrive and stand 2 min', '- Shake 1 min'])('a first line above “%s”', (next) => {
  it.each(TITLES)('“%s”', (line, title, seconds) => {
    const { plan } = readScript(countingIds('t'), [line, '', next, 'Push the Boat x6', 'Thank you.'].join('\n'));
    expect(letters(plan.title)).toBe(letters(title));
    // Where nobody tells how long it is to be, it is to be as long as it is.
    expect(plan.targetSeconds).toBe(seconds ?? Math.round(planMilliseconds(plan) / 1000));
  });
});
