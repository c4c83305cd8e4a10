import { namesIn } from '../phrases/alike';
import { findCounts, hasAmount } from '../phrases/counts';
import { namesPart, roleOf } from '../line-kinds/headings';
import { secondsFrom } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { capitalised, wordCount } from '../model/line-words';
import { severalSteps } from './several';
import { readStep } from './step-lines';
import { TALK_STARTS } from '../line-kinds/line-signs';

/*
 * A part of the class with its steps in one line: "WU 5': swings, twists, knee circles", "Warm-up (8 min): neck, shoulders,
 * hips". Its steps share its time, as nothing tells how much each has.
 */

const LINE_AT_MOST = 300;
const MINUTES_AT_MOST = 40;
const LINE =
  /^(\p{L}[\p{L}/ -]{1,24}?)(?:,| [–-])? ?\(?(?:about |approx\.? |ca\.? |~)?(\d{1,2}) ?(?:['′’]|m|mins?|minutes?)?\)? ?(?::| [–-]) (\p{L}.+)$/iu;

/** "Warm-up: 5 arm circles; 10 waist turns": a part, and its steps with their amounts. */
const LABELLED = /^(\p{L}[\p{L}/ -]{1,24}?): (\S.+)$/u;

/** "Form: rowing" is a label. */
const MAIN = /^(?:the )?main\b|^the (?:form|set|sequence|exercises)$/i;

/** A part that is over with its line. */
const partOf = (name: string): Reading => ({ ...reading('section', name), inLine: true });

/** The part and its steps; `null` for any other line. */
export function partInLine(body: string): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST) return null;
  const [, name = '', steps = ''] = LABELLED.exec(body) ?? [];
  const opens = name !== '' && namesPart(name) && (roleOf(name) !== 'main' || MAIN.test(name));
  const several = opens ? severalSteps(steps) : null;
  if (several && several.length > 1) return [partOf(name), ...several.map((one) => ({ ...one, unsure: true }))];
  const [, part = '', minutes = '', list = ''] = LINE.exec(body) ?? [];
  const total = Number(minutes) * 60;
  const first = timedFirst(body);
  if (first) return first;
  if (part === '' || total === 0 || total > MINUTES_AT_MOST * 60 || !namesPart(part) || roleOf(part) !== 'loosening')
    return null;
  const mixed = mixedSteps(list);
  if (mixed) return [{ ...partOf(part), counts: { seconds: secondsFrom([total, total], 1) } }, ...mixed];
  const names = namesIn(list);
  if (!names || names.some((one) => TALK_STARTS.test(one))) return null;
  const each = Math.round(total / names.length);
  return [
    partOf(part),
    ...names.map((name) => reading('movement', name, { seconds: secondsFrom([each, each], 1) }, true)),
  ];
}

/** "3' ankles + calves: rises x10, rocks x10": minutes, what they are for, and its steps with their amounts. */
const TIMED_FIRST = /^(\d{1,2}) ?(?:['′’]|mins?|minutes?) (\p{L}[\p{L} +&/-]{2,30}): (\S.{6,160})$/iu;

function timedFirst(body: string): readonly Reading[] | null {
  const [, minutes = '', name = '', list = ''] = TIMED_FIRST.exec(body) ?? [];
  const steps = name === '' ? null : severalSteps(list);
  const seconds = Number(minutes) * 60;
  if (!steps || steps.length < 2 || seconds === 0 || seconds > MINUTES_AT_MOST * 60) return null;
  return [
    { ...partOf(capitalised(name)), counts: { seconds: secondsFrom([seconds, seconds], 1) }, unsure: true },
    ...steps.map((one) => ({ ...one, unsure: true })),
  ];
}

/** So many of a list have amounts, and the others are names. */
const COUNTED_AT_LEAST = 2;

/** "walking on the spot, head turns x2 each side, shoulder lifts x3": steps with amounts and names without; else `null`. */
function mixedSteps(list: string): readonly Reading[] | null {
  const steps = list
    .replace(/[.]$/, '')
    .split(/[,;] (?:and |then )*/)
    .map((one) => readStep(one.trim(), true, 'section'));
  const each = steps.map((found) => found[0]);
  const isStep = (one: Reading | undefined): boolean =>
    one?.kind === 'movement' && wordCount(one.words) <= NAME_AT_MOST;
  if (each.length < 3 || !each.every(isStep) || steps.some((found) => found.length > 1)) return null;
  const counted = each.filter((one) => one !== undefined && hasAmount(one.counts)).length;
  return counted < COUNTED_AT_LEAST ? null : each.flatMap((one) => (one ? [{ ...one, unsure: true }] : []));
}

const NAME_AT_MOST = 5;

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
