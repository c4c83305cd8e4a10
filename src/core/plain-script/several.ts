import { findCounts } from './counts';
import { bareName } from './names';
import { reading, type Reading } from './reading';

/*
 * Several steps in one line, each with an amount of its own: "wrists 10, elbows 10, shoulders 10", "arms 30 s, legs 30 s",
 * "push 8 times, then sink 4 times".
 */

const BETWEEN = /\s*(?:[,;]\s*(?:and\s+)?(?:then\s+)?|\s\+\s|\s(?:and\s+)?then\s)\s*/i;
const AT_MOST = 12;
/** Words of a direction, a side or a breath alone: these are amounts of one step. */
const OF_ONE =
  /^(?:(?:the|so|on|to|in|out|up|down|left|right|l|r|forwards?|backwards?|back|fwd|bwd|front|inwards?|outwards?|clockwise|anticlockwise|one|other|each|both|same|again|more|way|side|leg|foot|arm|hand|hold|rest|pause|breath|breathe|inhale|exhale|slow|slowly|fast|quick|small|big|eyes|closed|open|total|times|rounds|reps|sets?)[ .]*)*$/i;

/** The steps of a line that names more than one with its amount; `null` where it is one step. */
export function severalSteps(body: string): readonly Reading[] | null {
  if (body.length > 200 || !BETWEEN.test(body)) return null;
  const whole = findCounts(body).counts;
  if (whole.sides !== undefined && whole.sides !== 'alternating') return null;
  const parts = body.replace(/[.!]$/, '').split(BETWEEN);
  if (parts.length < 2 || parts.length > AT_MOST) return null;
  const steps = parts.map(stepOf);
  return steps.every((one) => one !== null) ? steps : null;
}

function stepOf(part: string): Reading | null {
  const { counts, rest } = findCounts(part);
  const name = bareName(rest);
  const counted = (counts.rounds !== undefined) !== (counts.seconds !== undefined);
  if (!counted || counts.hold !== undefined || name === '' || OF_ONE.test(name)) return null;
  if (/[.!?“”"()]/.test(name) || name.split(/\s+/).length > 5) return null;
  return reading('movement', name, counts, true);
}
