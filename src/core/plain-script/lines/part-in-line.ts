import { namesIn } from '../phrases/alike';
import { findCounts } from '../phrases/counts';
import { namesPart, roleOf } from '../line-kinds/headings';
import { secondsFrom } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { severalSteps } from './several';
import { TALK_STARTS } from '../line-kinds/line-signs';

/*
 * A part of the class with its steps in one line: "WU 5': swings, twists, knee circles", "Warm-up (8 min): neck, shoulders,
 * hips". Its steps share its time, as nothing tells how much each has.
 */

const LINE_AT_MOST = 200;
const MINUTES_AT_MOST = 40;
const LINE =
  /^(\p{L}[\p{L}/ -]{1,24}?)(?:,| [–-])? ?\(?(?:about |approx\.? |ca\.? |~)?(\d{1,2}) ?(?:['′’]|m|mins?|minutes?)?\)? ?(?::| [–-]) (\p{L}.+)$/iu;

/** "Warm-up: 5 arm circles; 10 waist turns": a part, and its steps with their amounts. */
const LABELLED = /^(\p{L}[\p{L}/ -]{1,24}?): (\S.+)$/u;

/** A part that is over with its line. */
const partOf = (name: string): Reading => ({ ...reading('section', name), inLine: true });

/** The part and its steps; `null` for any other line. */
export function partInLine(body: string): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST) return null;
  const [, name = '', steps = ''] = LABELLED.exec(body) ?? [];
  const several = name !== '' && roleOf(name) !== 'main' && namesPart(name) ? severalSteps(steps) : null;
  if (several && several.length > 1) return [partOf(name), ...several.map((one) => ({ ...one, unsure: true }))];
  const [, part = '', minutes = '', list = ''] = LINE.exec(body) ?? [];
  const total = Number(minutes) * 60;
  if (part === '' || total === 0 || total > MINUTES_AT_MOST * 60 || !namesPart(part) || roleOf(part) !== 'loosening')
    return null;
  const names = namesIn(list);
  if (!names || names.some((one) => TALK_STARTS.test(one))) return null;
  const each = Math.round(total / names.length);
  return [
    partOf(part),
    ...names.map((name) => reading('movement', name, { seconds: secondsFrom([each, each], 1) }, true)),
  ];
}

/** "2. Loosen 8": of what is called as a part of a class a number alone is minutes. */
export function minutesOfPart(text: string, readings: readonly Reading[]): readonly Reading[] {
  const [step] = readings;
  const { rounds, ...others } = step?.counts ?? {};
  if (readings.length !== 1 || step?.kind !== 'movement' || rounds === undefined || Object.keys(others).length > 0)
    return readings;
  if (!namesPart(step.words) || !/\p{L} \d{1,2}$/u.test(text) || !findCounts(text).bare) return readings;
  const seconds = rounds * 60;
  return [{ ...step, counts: { seconds: secondsFrom([seconds, seconds], 1) }, unsure: true }];
}
