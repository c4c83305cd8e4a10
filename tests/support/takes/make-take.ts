import type { ClassPlan } from '@/core/plan';
import { expandPlan, type Timeline } from '@/core/timeline';
import { Chance } from '../chance';
import { addBackground, type Background } from './backgrounds';
import { speakLine, TAKE_RATE, type TakeVoice } from './voices';

export interface TakeRecipe {
  readonly plan: ClassPlan;
  readonly voice: TakeVoice;
  /** Eight in a hundred slow with a second of jitter; or wandering between 0.92 and 1.22 with interruptions. */
  readonly tempo: 'steady' | 'wandering';
  readonly background: Background;
  readonly seed: number;
}

/** Something said in a take; `cueId` is `null` for a remark. */
export interface SaidTruth {
  readonly cueId: string | null;
  readonly text: string;
  readonly startSeconds: number;
  readonly endSeconds: number;
}

export interface MadeTake {
  readonly timeline: Timeline;
  /** Mono at 16 kHz. */
  readonly samples: Float32Array;
  readonly said: readonly SaidTruth[];
  readonly skipped: ReadonlySet<string>;
}

const REMARKS = [
  'There goes the milk boat, right on time.',
  'Never mind the gulls, they always laugh at this one.',
  'That was only the kettle.',
  'If you have just come in, find a place by the window.',
  'Lovely.',
  'Is the door still open at the back?',
  'Yes, that is it, very nice.',
];
/** Remarks that sound like cues. */
const LIKE_CUES = ['And in.', 'And out again.', 'Breathe in, and out.', 'Once more, in.', 'Good, and slowly down.'];
const BEFORE = ['And now, ', 'Okay, ', 'So, ', 'And then, '];

/** Shares of the cues that are skipped, paraphrased, and followed by a remark. */
const SHARES = { skipped: 0.12, paraphrased: 0.12, remarked: 0.16 };

/** A take of a class with its truth: seeded, so that the same recipe gives the same take. */
export function makeTake({ plan, voice, tempo, background, seed }: TakeRecipe): MadeTake {
  const chance = new Chance(seed);
  const timeline = expandPlan(plan);
  const when = tempo === 'steady' ? steady(chance) : wandering(chance, timeline.runtimeSeconds);
  const said: SaidTruth[] = [];
  const sounds: Float32Array[] = [];
  const skipped = new Set<string>();
  let free = 0;
  const say = (cueId: string | null, text: string, wanted: number): void => {
    const sound = speakLine(voice, text);
    const startSeconds = Math.max(wanted, free + 0.25 + 0.2 * chance.next());
    const endSeconds = startSeconds + sound.length / TAKE_RATE;
    free = endSeconds;
    said.push({ cueId, text, startSeconds, endSeconds });
    sounds.push(sound);
  };
  for (const cue of timeline.cues) {
    if (chance.yes(SHARES.skipped)) skipped.add(cue.id);
    else say(cue.id, chance.yes(SHARES.paraphrased) ? paraphrase(cue.text, chance) : cue.text, when(cue.startSeconds));
    if (chance.yes(SHARES.remarked)) {
      const text = chance.yes(0.3) ? chance.pick(LIKE_CUES) : chance.pick(REMARKS);
      say(null, text, free + 0.5 + 1.2 * chance.next());
    }
  }
  const length = Math.ceil((Math.max(free, when(timeline.runtimeSeconds)) + 3) * TAKE_RATE);
  const samples = new Float32Array(length);
  let energy = 0;
  let spoken = 0;
  said.forEach(({ startSeconds }, index) => {
    const from = Math.round(startSeconds * TAKE_RATE);
    sounds[index].forEach((sample, at) => {
      samples[from + at] += sample;
      energy += sample * sample;
    });
    spoken += sounds[index].length;
  });
  addRoom(samples);
  addBackground(samples, energy / Math.max(1, spoken), background, seed + 1);
  return { timeline, samples, said, skipped };
}

/** Planned seconds to seconds in the take. */
type When = (planned: number) => number;

function steady(chance: Chance): When {
  return (planned) => 2 + planned * 1.08 + 2 * chance.next() - 1;
}

function wandering(chance: Chance, runtime: number): When {
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
      seconds += lengths[block] * Math.min(20, left);
      left -= 20;
    }
    for (const { at, lasts } of interruptions) if (planned >= at) seconds += lasts;
    return seconds + 0.6 * chance.next() - 0.3;
  };
}

function paraphrase(text: string, chance: Chance): string {
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
  ]) {
    const by = Math.round((milliseconds * TAKE_RATE) / 1000);
    for (let at = by; at < samples.length; at++) samples[at] += gain * dry[at - by];
  }
}
