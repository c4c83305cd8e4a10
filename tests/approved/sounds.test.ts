import { describe, it } from 'vitest';
import { BreathTones } from '@/core/breath';
import { addBackground, BACKGROUNDS, practiceTake, TAKE_RATE } from '@/core/practice';
import {
  Cepstra,
  clearnessOf,
  Denoiser,
  envelopeOf,
  HumFinder,
  LevelMeter,
  Loudness,
  matchRecordings,
  noiseFloor,
  Resampler,
  SoundTrace,
  speechSegments,
} from '@/core/signal';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { areAsApproved, asText, sumsOf } from './as-text';

/*
 * Sound that is made, and what is measured in it. Figures of takes can only be compared while their sound stays the
 * same.
 */

/** Seconds of a take that are measured. */
const LISTENED = 24;

/** A voice that hums each line at a pitch of its own. */
function hummed(text: string): Float32Array {
  const length = Math.round(TAKE_RATE * (0.4 + 0.05 * text.length));
  const pitch = 110 + (text.length % 23) * 6;
  return Float32Array.from({ length }, (_, at) => {
    const share = at / length;
    const turn = (2 * Math.PI * pitch * at) / TAKE_RATE;
    return 0.3 * Math.sin(Math.PI * share) * (Math.sin(turn) + 0.5 * Math.sin(2 * turn) + 0.2 * Math.sin(7 * turn));
  });
}

function takeOf(background: (typeof BACKGROUNDS)[number]): Float32Array {
  const plan = itemAt(demoClasses(), 1).plan;
  const making = practiceTake({ plan, tempo: 'wandering', background, seed: 5 });
  let next = making.next();
  while (!next.done) next = making.next(hummed(next.value));
  return next.value.samples.subarray(0, LISTENED * TAKE_RATE);
}

function measured(samples: Float32Array): readonly unknown[] {
  const [meter, hum, loudness, cepstra] = [new LevelMeter(TAKE_RATE), new HumFinder(), new Loudness(TAKE_RATE, 1), new Cepstra()]; // prettier-ignore
  const denoiser = new Denoiser(0);
  const resampler = new Resampler(TAKE_RATE, 22_050);
  const clean: number[] = [];
  const resampled: number[] = [];
  for (let at = 0; at < samples.length; at += 4_000) {
    const piece = samples.subarray(at, at + 4_000);
    meter.push(piece);
    hum.push(piece);
    loudness.push([piece]);
    cepstra.push(piece);
    clean.push(...denoiser.push(piece));
    resampled.push(...resampler.push(piece));
  }
  const levels = meter.read();
  const segments = speechSegments(levels);
  return [
    sumsOf(samples),
    sumsOf(levels),
    segments,
    hum.read(),
    loudness.read(),
    sumsOf(cepstra.between(0, LISTENED)),
    sumsOf(clean),
    sumsOf(resampled),
    sumsOf(envelopeOf(levels)),
    noiseFloor(levels),
    clearnessOf(levels, segments, noiseFloor(levels)),
  ];
}

describe('sounds, as they were listened to', () => {
  it('of takes, and what is measured in them', () =>
    areAsApproved(
      'takes-made',
      (['clean', 'music'] as const).map((background) => `${background}: ${asText(measured(takeOf(background)))}`),
    ));

  it('of backgrounds alone', () =>
    areAsApproved(
      'backgrounds',
      BACKGROUNDS.map((background) => {
        const sound = new Float32Array(12 * TAKE_RATE);
        addBackground(sound, 0.02, background, 3);
        return `${background}: ${asText(sumsOf(sound))}`;
      }),
    ));

  it('of breath tones', () => {
    const { phases } = expandPlan(itemAt(demoClasses(), 0).plan);
    const block = new Float32Array(60 * 8_000);
    new BreathTones(phases, 8_000, 60).addTo(block);
    return areAsApproved('tones', [asText(sumsOf(block))]);
  });

  it('of two recordings of one class', () => {
    const sound = takeOf('birds');
    const trace = (samples: Float32Array): Int16Array => {
      const tracing = new SoundTrace(TAKE_RATE);
      tracing.push(samples);
      return tracing.read();
    };
    const [first, second] = [trace(sound), trace(sound.subarray(7.3 * TAKE_RATE))];
    return areAsApproved('two-recordings', [
      asText(first),
      asText(matchRecordings(first, second)),
      asText(matchRecordings(second, first)),
    ]);
  });
});
