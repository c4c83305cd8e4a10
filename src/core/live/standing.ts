import { oneOf, shape, within, type Stored } from '@/core/document';
import { placeAt, READY, type Course, type Performance } from '@/core/conductor';
import type { Milliseconds, Seconds } from '@/core/units';

/*
 * Where a performance stands: a place in the class at a time of a clock that teller and hearer share. Between two of
 * these whoever hears it keeps time alone.
 */

/** The year 2000 and the year 2100, in milliseconds since 1970. */
const THIS_CENTURY = { min: 946_684_800_000, max: 4_102_444_800_000 };

export const standingSchema = shape({
  mode: oneOf(['ready', 'running', 'held', 'done'] as const),
  by: oneOf(['clock', 'hand'] as const),
  placeSeconds: within({ min: 0, max: 8 * 3600 }),
  /** The shared clock when it stood there, in milliseconds since 1970. */
  at: within(THIS_CENTURY),
});

export type Standing = Stored<typeof standingSchema>;

/** Where a performance stands; `steady` and `shared` are the two clocks at the same moment. */
export function standingOf(
  state: Performance,
  course: Course,
  now: { readonly steady: Seconds; readonly shared: Milliseconds },
): Standing {
  const { mode } = state;
  // What waits for a line waits for those who follow, whatever it waits for.
  const by = state.by === 'clock' ? 'clock' : 'hand';
  return { mode, by, placeSeconds: placeAt(state, course, now.steady), at: now.shared };
}

/** The same performance on a steady clock of one's own. What is told to stand in the time to come stands there now. */
export function performanceOf(
  { mode, by, placeSeconds, at }: Standing,
  now: { readonly steady: Seconds; readonly shared: Milliseconds },
): Performance {
  return { ...READY, mode, by, placeSeconds, sinceSeconds: now.steady - Math.max(0, now.shared - at) / 1000 };
}
