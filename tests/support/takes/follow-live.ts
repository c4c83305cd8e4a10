import { OnlineAligner, type OnlineStretch } from '@/core/align';
import type { ClassPlan } from '@/core/plan';
import { plannedId, TAKE_RATE, type PracticeTake } from '@/core/practice';
import { expandPlan } from '@/core/timeline';
import { LiveHearing, type StepJudge } from '@/sound/hear-live';

/** A piece of sound as a page hands it on: a tenth of a second. */
const PIECE = TAKE_RATE / 10;

/** A take as it is heard while it is given. */
export interface HeardLive {
  readonly take: Omit<PracticeTake, 'samples'>;
  readonly lengthSeconds: number;
  /** Each with the time at which it was known. */
  readonly stretches: readonly (OnlineStretch & { readonly known: number })[];
  /** Seconds of one processor for the whole of it. */
  readonly worked: number;
}

/** Hears a take piece by piece, as it is given. */
export async function hearLive({ samples, ...take }: PracticeTake, judge: StepJudge): Promise<HeardLive> {
  const hearing = new LiveHearing(judge);
  const stretches: (OnlineStretch & { known: number })[] = [];
  const before = process.cpuUsage();
  for (let at = 0; at < samples.length; at += PIECE) {
    const known = Math.min(samples.length, at + PIECE) / TAKE_RATE;
    for (const stretch of await hearing.push(samples.subarray(at, at + PIECE))) stretches.push({ ...stretch, known });
  }
  const { user, system } = process.cpuUsage(before);
  return { take, lengthSeconds: samples.length / TAKE_RATE, stretches, worked: (user + system) / 1e6 };
}

/** How well one take was followed; counts add up over takes. */
export interface Followed {
  /** Lines said in order after the one before: how many, how many were shown when they began, or one next to them. */
  readonly lines: number;
  readonly right: number;
  readonly near: number;
  /** Of them, how many had the words that were said on show: a round said again has those of the one before. */
  readonly words: number;
  /** The same lines by the clock alone, without a hand. */
  readonly byClock: number;
  /** Ad-libs, and how many left the line shown where it was. */
  readonly adLibs: number;
  readonly unmoved: number;
  /** Lines passed over, steps left out and rounds said again: how often the place was found within two lines. */
  readonly leaps: number;
  readonly back: number;
  /**
   * Lines said when others before them were passed over, and how many were shown when they began: what is shown in a
   * silence that lasts too long is right for these or for those in order, and never for both.
   */
  readonly past: number;
  readonly pastRight: number;
  /** Seconds of one processor, hearing and following, and of sound. */
  readonly worked: number;
  readonly seconds: number;
}

/** A line is known a moment before it has to be shown. */
const SHOWING = 0.02;

/** Follows a take while it is heard, and compares what is shown with what is said. */
export function follow(
  plan: ClassPlan,
  texts: ReadonlyMap<string, Float32Array>,
  { take, stretches, worked, lengthSeconds }: HeardLive,
): Followed {
  const { cues } = expandPlan(plan);
  const places = new Map(cues.map(({ id }, at) => [id, at]));
  const aligner = new OnlineAligner(cues, texts);
  let heard = 0;
  const began = process.cpuUsage();
  const shownAt = (time: number): number => {
    for (let one = stretches[heard]; one && one.known < time - SHOWING; one = stretches[++heard]) aligner.add(one);
    return aligner.place(time).next;
  };
  const count = { lines: 0, right: 0, near: 0, words: 0, byClock: 0, adLibs: 0, unmoved: 0, leaps: 0, back: 0, past: 0, pastRight: 0 }; // prettier-ignore
  let last = -1;
  let since = Infinity;
  let back = false;
  for (const { cueId, startSeconds, endSeconds } of take.said) {
    const shown = shownAt(startSeconds);
    if (cueId === null) {
      count.adLibs++;
      if (shownAt(endSeconds) === shown) count.unmoved++;
      continue;
    }
    const said = places.get(plannedId(cueId)) ?? -1;
    since = said === last + 1 ? since + 1 : 0;
    last = said;
    // Within two lines: the second one is shown, or the third.
    if (since === 1) count.leaps++;
    if (since === 1) back = shown === said;
    if ((since === 1 && back) || (since === 2 && !back && shown === said)) count.back++;
    if (since === 0) {
      count.past++;
      if (shown === said) count.pastRight++;
      continue;
    }
    count.lines++;
    if (shown === said) count.right++;
    if (Math.abs(shown - said) <= 1) count.near++;
    if (cues[shown]?.text === cues[said]?.text) count.words++;
    if (byClock(cues, startSeconds) === said) count.byClock++;
  }
  const { user, system } = process.cpuUsage(began);
  return { ...count, worked: worked + (user + system) / 1e6, seconds: lengthSeconds };
}

/** The line that the clock shows: the nearest to its time. */
function byClock(cues: readonly { readonly startSeconds: number }[], time: number): number {
  let nearest = 0;
  cues.forEach(({ startSeconds }, at) => {
    if (Math.abs(startSeconds - time) < Math.abs((cues[nearest]?.startSeconds ?? 0) - time)) nearest = at;
  });
  return nearest;
}

export function addFollowed(all: readonly Followed[]): Followed {
  const sum = (key: keyof Followed): number => all.reduce((total, one) => total + one[key], 0);
  return {
    lines: sum('lines'),
    right: sum('right'),
    near: sum('near'),
    words: sum('words'),
    byClock: sum('byClock'),
    adLibs: sum('adLibs'),
    unmoved: sum('unmoved'),
    leaps: sum('leaps'),
    back: sum('back'),
    past: sum('past'),
    pastRight: sum('pastRight'),
    worked: sum('worked'),
    seconds: sum('seconds'),
  };
}

export const HEAD = `${'take'.padEnd(64)} | right  ±1    words | clock | ad-libs unmoved | back within two | shown past others | of a core`;

/** One line of a table. */
export function asRow(name: string, one: Followed): string {
  const share = (of: number, all: number): string => (all === 0 ? ' – ' : (of / all).toFixed(3));
  return [
    name.padEnd(64),
    `${share(one.right, one.lines)} ${share(one.near, one.lines)} ${share(one.words, one.lines)} of ${one.lines}`,
    share(one.byClock, one.lines),
    `${share(one.unmoved, one.adLibs)} of ${one.adLibs}`,
    `${share(one.back, one.leaps)} of ${one.leaps}`,
    `${share(one.pastRight, one.past)} of ${one.past}`,
    `${((100 * one.worked) / one.seconds).toFixed(1)} %`,
  ].join(' | ');
}
