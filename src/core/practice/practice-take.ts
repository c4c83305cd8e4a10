import type { ClassPlan } from '@/core/plan';
import { expandPlan, type Timeline } from '@/core/timeline';
import { itemAt, Random, type Seconds } from '@/core/units';
import { addBackground, TAKE_RATE, type Background } from './backgrounds';
import { withLeaps } from './leaps';

export interface PracticeRecipe {
  readonly plan: ClassPlan;
  /** Eight in a hundred slow with a second of jitter; or wandering between 0.92 and 1.22 with interruptions. */
  readonly tempo: 'steady' | 'wandering';
  readonly background: Background;
  readonly seed: number;
  /** Shares of the lines that are skipped, said in other words, and followed by an ad-lib; left out, the usual ones. */
  readonly shares?: Shares;
  /** Whether it is given otherwise than planned: a step left out and a round said again; see `withLeaps`. */
  readonly leaps?: boolean;
}

export interface Shares {
  readonly skipped: number;
  readonly paraphrased: number;
  readonly adLibbed: number;
}

/** Something said in a take; `cueId` is `null` for an ad-lib. */
export interface SaidTruth {
  readonly cueId: string | null;
  readonly text: string;
  readonly startSeconds: number;
  readonly endSeconds: number;
}

/** A take that was made, with the truth about it. */
export interface PracticeTake {
  readonly timeline: Timeline;
  /** Mono at 16 kHz. */
  readonly samples: Float32Array;
  readonly said: readonly SaidTruth[];
  readonly skipped: ReadonlySet<string>;
}

const AD_LIBS = [
  'There goes the milk boat, right on time.',
  'Never mind the gulls, they always laugh at this one.',
  'That was only the kettle.',
  'If you have just come in, find a place by the window.',
  'Lovely.',
  'Is the door still open at the back?',
  'Yes, that is it, very nice.',
];
/** Ad-libs that sound like cues. */
const LIKE_CUES = ['And in.', 'And out again.', 'Breathe in, and out.', 'Once more, in.', 'Good, and slowly down.'];
const BEFORE = ['And now, ', 'Okay, ', 'So, ', 'And then, '];

const USUAL: Shares = { skipped: 0.12, paraphrased: 0.12, adLibbed: 0.16 };

/** What is said in a take, and when. */
export interface PracticeSchedule {
  readonly timeline: Timeline;
  readonly lengthSeconds: Seconds;
  readonly said: readonly SaidTruth[];
  readonly skipped: ReadonlySet<string>;
}

/**
 * Says a class as somebody might give it, seeded: the same recipe gives the same take. Gives each text that is said,
 * and is given back how long that takes.
 */
export function* practiceSchedule({
  plan,
  tempo,
  seed,
  shares = USUAL,
  leaps = false,
}: Omit<PracticeRecipe, 'background'>): Generator<string, PracticeSchedule, Seconds> {
  const chance = new Random(seed);
  const timeline = leaps ? withLeaps(expandPlan(plan)) : expandPlan(plan);
  const when = tempo === 'steady' ? steady(chance) : wandering(chance, timeline.runtimeSeconds);
  const said: SaidTruth[] = [];
  const skipped = new Set<string>();
  let free = 0;
  function* say(cueId: string | null, text: string, wanted: Seconds): Generator<string, void, Seconds> {
    const lasts = yield text;
    const startSeconds = Math.max(wanted, free + 0.25 + 0.2 * chance.next());
    free = startSeconds + lasts;
    said.push({ cueId, text, startSeconds, endSeconds: free });
  }
  for (const cue of timeline.cues) {
    if (chance.yes(shares.skipped)) skipped.add(cue.id);
    else {
      const text = chance.yes(shares.paraphrased) ? paraphrase(cue.text, chance) : cue.text;
      yield* say(cue.id, text, when(cue.startSeconds));
    }
    if (chance.yes(shares.adLibbed)) {
      const text = chance.yes(0.3) ? chance.pick(LIKE_CUES) : chance.pick(AD_LIBS);
      yield* say(null, text, free + 0.5 + 1.2 * chance.next());
    }
  }
  return { timeline, lengthSeconds: Math.max(free, when(timeline.runtimeSeconds)) + 3, said, skipped };
}

/**
 * Makes a take of a class with its truth: `practiceSchedule` with sound. Gives each text that is said, and is given
 * back its sound, mono at `TAKE_RATE`; so the voice may be asked at once or be waited for.
 */
export function* practiceTake(recipe: PracticeRecipe): Generator<string, PracticeTake, Float32Array> {
  const sounds: Float32Array[] = [];
  const saying = practiceSchedule(recipe);
  let next = saying.next();
  while (!next.done) {
    const sound = yield next.value;
    sounds.push(sound);
    next = saying.next(sound.length / TAKE_RATE);
  }
  const { timeline, said, skipped, lengthSeconds } = next.value;
  const samples = mixed(said, sounds, Math.ceil(lengthSeconds * TAKE_RATE));
  const power = meanPower(sounds);
  addRoom(samples);
  addBackground(samples, power, recipe.background, recipe.seed + 1);
  return { timeline, samples, said, skipped };
}

function mixed(said: readonly SaidTruth[], sounds: readonly Float32Array[], length: number): Float32Array {
  const samples = new Float32Array(length);
  said.forEach(({ startSeconds }, index) => {
    const from = Math.round(startSeconds * TAKE_RATE);
    itemAt(sounds, index).forEach((sample, at) => {
      if (from + at < length) samples[from + at] = (samples[from + at] ?? 0) + sample;
    });
  });
  return samples;
}

function meanPower(sounds: readonly Float32Array[]): number {
  let energy = 0;
  let count = 0;
  for (const sound of sounds) {
    for (const sample of sound) energy += sample * sample;
    count += sound.length;
  }
  return energy / Math.max(1, count);
}

/** Planned seconds to seconds in the take. */
type When = (planned: number) => number;

function steady(chance: Random): When {
  return (planned) => 2 + planned * 1.08 + 2 * chance.next() - 1;
}

function wandering(chance: Random, runtime: number): When {
  const interruptions = Array.from({ length: Math.max(2, Math.round(runtime / 200)) }, () => ({
    at: runtime * chance.next(),
    lasts: 10 + 10 * chance.next(),
  }));
  // The tempo changes every 20 planned seconds, by little steps, between its bounds.
  const lengths: number[] = [];
  let now = 1.07;
  for (let at = 0; at <= runtime + 20; at += 20) {
    now = Math.min(1.22, Math.max(0.92, now + 0.16 * (chance.next() - 0.5)));
    lengths.push(now);
  }
  return (planned) => {
    let seconds = 2;
    let left = planned;
    for (let block = 0; left > 0 && block < lengths.length; block++) {
      seconds += itemAt(lengths, block) * Math.min(20, left);
      left -= 20;
    }
    for (const { at, lasts } of interruptions) if (planned >= at) seconds += lasts;
    return seconds + 0.6 * chance.next() - 0.3;
  };
}

function paraphrase(text: string, chance: Random): string {
  const words = text.split(' ');
  const kept = words.length < 4 ? words : words.filter((_, at) => at === 0 || !chance.yes(0.3));
  const plain = kept.join(' ');
  return chance.yes(0.6) ? `${chance.pick(BEFORE)}${plain.slice(0, 1).toLowerCase()}${plain.slice(1)}` : plain;
}

/** A small room: a few early reflections. */
function addRoom(samples: Float32Array): void {
  const dry = samples.slice();
  for (const [milliseconds, gain] of [
    [11, 0.28],
    [23, 0.2],
    [37, 0.14],
    [61, 0.09],
    [97, 0.05],
  ] as const) {
    const by = Math.round((milliseconds * TAKE_RATE) / 1000);
    for (let at = by; at < samples.length; at++) samples[at] = (samples[at] ?? 0) + gain * (dry[at - by] ?? 0);
  }
}
