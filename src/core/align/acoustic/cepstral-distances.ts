import { CEPSTRA_SECONDS, COEFFICIENTS } from '@/core/signal';
import { itemAt, median, type Interval, type Seconds } from '@/core/units';
import { DistanceScale, type ScaledBy } from './distance-scale';
import { NO_ADAPTATION, AdaptationLearner, type SpeakerAdaptation } from './speaker-adaptation';
import { ORDERS, warpDistance, warpPath } from './time-warping';
import {
  stretchesKey,
  stretchesOfKey,
  type HeardText,
  type KeptDistance,
  type SaidCepstra,
  type TextDistances,
} from '../text-distances';

/*
 * How a stretch of sound is like a text: the text is said by a plain synthetic voice, and the two are compared by
 * their cepstra under a time warp. What counts is not how near a text is, but how much nearer than the other texts of
 * the class.
 */

/** Frames are taken six by six: one every 60 ms. */
const STRIDE = 6;
/** A stretch is compared with texts of a length between these shares of its own. */
const LENGTHS = { min: 0.45, max: 2 };
/** With so many texts their middle and their spread are found. */
const COMPARED = 30;
/** The voice of a take is learned in so many rounds, each on the warps of the one before. */
const ADAPTATIONS = 2;

/** More unlike than this is not kept: it is as good as anything. */
const KEPT_BELOW = 0.6;

/** Compares a take's speech with the texts of its class. Works distances out when they are first asked for. */
export function cepstralDistances(
  cepstra: Float32Array,
  speech: readonly Interval[],
  texts: ReadonlyMap<string, SaidCepstra>,
): TextDistances {
  return distancesIn(new Speech(cepstra, speech), texts);
}

/** Speech as shapes; it may grow while it is asked. */
export interface SpeechShapes {
  /** Of stretches `[from, to)`. */
  shape(from: number, to: number): Float32Array;
}

/** The same of speech that is known as shapes. */
export function distancesIn(
  speech: SpeechShapes,
  texts: ReadonlyMap<string, SaidCepstra>,
  scaledBy: ScaledBy = 'all texts',
): TextDistances {
  return new CepstralDistances(speech, new Texts(texts), scaledBy, NO_ADAPTATION);
}

/** The speech of a take, as shapes. */
class Speech implements SpeechShapes {
  private readonly ranges: readonly (readonly [number, number])[];
  private readonly scale: Scale;

  constructor(
    private readonly cepstra: Float32Array,
    speech: readonly Interval[],
  ) {
    const frames = cepstra.length / COEFFICIENTS;
    const at = (seconds: Seconds): number => COEFFICIENTS * Math.min(frames, Math.round(seconds / CEPSTRA_SECONDS));
    this.ranges = speech.map(({ startSeconds, endSeconds }) => [at(startSeconds), at(endSeconds)] as const);
    this.scale = scaleOf(this.ranges.map(([from, to]) => cepstra.subarray(from, to)));
  }

  shape(from: number, to: number): Float32Array {
    return shapeOf(this.cepstra.subarray(itemAt(this.ranges, from)[0], itemAt(this.ranges, to - 1)[1]), this.scale);
  }
}

/** The texts of a class as the plain voice says them, as shapes. */
class Texts {
  readonly names: readonly string[];
  readonly shapes: readonly Float32Array[];
  private readonly places: ReadonlyMap<string, number>;

  constructor(texts: ReadonlyMap<string, SaidCepstra>) {
    this.names = [...texts.keys()];
    this.shapes = shapesOf([...texts.values()]);
    this.places = new Map(this.names.map((name, at) => [name, at]));
  }

  place(text: string): number | null {
    return this.places.get(text) ?? null;
  }
}

interface Judged {
  readonly shape: Float32Array;
  readonly scale: DistanceScale;
  /** By the place of the text; less than 0 where it was not asked. */
  readonly distances: Float32Array;
}

class CepstralDistances implements TextDistances {
  readonly by = 'sound';
  private readonly known = new Map<number, Judged>();

  constructor(
    private readonly speech: SpeechShapes,
    private readonly texts: Texts,
    private readonly scaledBy: ScaledBy,
    private readonly map: SpeakerAdaptation,
    /** How much longer a text is said here than by the plain voice. */
    private readonly pace = 1,
  ) {}

  distance(from: number, to: number, text: string): number | null {
    const place = this.texts.place(text);
    if (place === null) return null;
    const judged = this.judged(from, to);
    const wanted = itemAt(this.texts.shapes, place);
    if (!areComparable(judged.shape, wanted)) return null;
    if ((judged.distances[place] ?? 0) < 0) judged.distances[place] = warpDistance(judged.shape, wanted);
    return inUnits(judged, place);
  }

  distanceOfEnd(from: number, to: number, text: string): number | null {
    const place = this.texts.place(text);
    if (place === null) return null;
    const whole = this.judged(from, to);
    const wanted = itemAt(this.texts.shapes, place);
    const frames = Math.max(1, Math.round((this.pace * wanted.length) / ORDERS));
    if (frames * ORDERS >= whole.shape.length) return null;
    const key = stretchesKey(from, to, true);
    const judged = this.known.get(key) ?? { ...whole, distances: new Float32Array(whole.distances.length).fill(-1) };
    this.known.set(key, judged);
    if ((judged.distances[place] ?? 0) < 0)
      judged.distances[place] = warpDistance(whole.shape.subarray(whole.shape.length - frames * ORDERS), wanted);
    return inUnits(judged, place);
  }

  adaptedTo(heard: readonly HeardText[]): TextDistances {
    let map = NO_ADAPTATION;
    for (let pass = 0; pass < ADAPTATIONS; pass++) map = this.learn(heard, map) ?? map;
    if (map === NO_ADAPTATION) return this;
    return new CepstralDistances(this.speech, this.texts, this.scaledBy, map, this.paceOf(heard));
  }

  kept(): readonly KeptDistance[] {
    return [...this.known].flatMap(([key, judged]) =>
      [...judged.distances].flatMap((distance, place) => {
        const value = inUnits(judged, place);
        if (distance < 0 || Math.round(100 * value) > 100 * KEPT_BELOW) return [];
        const { from, to, ofEnd } = stretchesOfKey(key);
        return [{ from, to, ofEnd, text: itemAt(this.texts.names, place), distance: value }];
      }),
    );
  }

  private paceOf(heard: readonly HeardText[]): number {
    const paces = heard.flatMap(({ from, to, text }) => {
      const place = this.texts.place(text);
      return place === null ? [] : [this.speech.shape(from, to).length / itemAt(this.texts.shapes, place).length];
    });
    return paces.length === 0 ? 1 : median(paces);
  }

  private judged(from: number, to: number): Judged {
    const key = stretchesKey(from, to, false);
    let judged = this.known.get(key);
    if (!judged) {
      const { shapes } = this.texts;
      const shape = this.map.apply(this.speech.shape(from, to));
      const scale = new DistanceScale(...distancesToSome(shape, shapes), this.scaledBy);
      judged = { shape, scale, distances: new Float32Array(shapes.length).fill(-1) };
      this.known.set(key, judged);
    }
    return judged;
  }

  private learn(heard: readonly HeardText[], map: SpeakerAdaptation): SpeakerAdaptation | null {
    const learner = new AdaptationLearner(ORDERS);
    for (const { from, to, text } of heard) {
      const place = this.texts.place(text);
      if (place === null) continue;
      const said = this.speech.shape(from, to);
      const wanted = itemAt(this.texts.shapes, place);
      if (areComparable(said, wanted)) learner.add(said, wanted, warpPath(map.apply(said), wanted));
    }
    return learner.map();
  }
}

function inUnits({ distances, scale }: Judged, place: number): number {
  return scale.inUnits(place, distances[place] ?? 0);
}

function areComparable(shape: Float32Array, model: Float32Array): boolean {
  return model.length >= shape.length * LENGTHS.min && model.length <= shape.length * LENGTHS.max;
}

/** The places of the class's texts that may be as long, or of some of them where there are many, and their distances. */
function distancesToSome(
  shape: Float32Array,
  models: readonly Float32Array[],
): [places: number[], distances: number[]] {
  const fitting = [...models.keys()].filter((place) => areComparable(shape, itemAt(models, place)));
  const step = Math.max(1, fitting.length / COMPARED);
  const places: number[] = [];
  for (let at = 0; at < fitting.length; at += step) places.push(itemAt(fitting, Math.floor(at)));
  return [places, places.map((place) => warpDistance(shape, itemAt(models, place)))];
}

export interface Scale {
  readonly mean: Float32Array;
  readonly deviation: Float32Array;
}

/** Mean and deviation of each order over all frames, so that room and microphone fall out. */
function scaleOf(sounds: readonly Float32Array[]): Scale {
  const mean = new Float32Array(ORDERS);
  const deviation = new Float32Array(ORDERS);
  let count = 0;
  for (const sound of sounds) {
    for (let at = 0; at < sound.length; at += COEFFICIENTS, count++) {
      for (let order = 0; order < ORDERS; order++) {
        const value = sound[at + order + 1] ?? 0;
        mean[order] = (mean[order] ?? 0) + value;
        deviation[order] = (deviation[order] ?? 0) + value * value;
      }
    }
  }
  for (let order = 0; order < ORDERS; order++) {
    mean[order] = (mean[order] ?? 0) / Math.max(1, count);
    deviation[order] = Math.sqrt(
      Math.max(1e-6, (deviation[order] ?? 0) / Math.max(1, count) - (mean[order] ?? 0) ** 2),
    );
  }
  return { mean, deviation };
}

function shapesOf(sounds: readonly SaidCepstra[]): Float32Array[] {
  const scale = scaleOf(sounds);
  return sounds.map((sound) => shapeOf(sound, scale));
}

/** Frames of 60 ms, scaled, one after the other. */
export function shapeOf(sound: Float32Array, { mean, deviation }: Scale): Float32Array {
  const frames = sound.length / COEFFICIENTS;
  const count = Math.max(1, Math.floor(frames / STRIDE));
  const shape = new Float32Array(count * ORDERS);
  for (let frame = 0; frame < count; frame++) {
    const first = frame * STRIDE;
    const last = Math.min(frames, first + STRIDE);
    for (let order = 0; order < ORDERS; order++) {
      let sum = 0;
      for (let at = first; at < last; at++) sum += sound[at * COEFFICIENTS + order + 1] ?? 0;
      shape[frame * ORDERS + order] =
        last > first ? (sum / (last - first) - (mean[order] ?? 0)) / (deviation[order] ?? 0) : 0;
    }
  }
  return shape;
}
