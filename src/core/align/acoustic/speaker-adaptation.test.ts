import { describe, expect, it } from 'vitest';
import { itemAt, Random } from '@/core/units';
import { NO_ADAPTATION, AdaptationLearner } from './speaker-adaptation';

const ORDERS = 4;
const chance = new Random(9);
const frames = (count: number): Float32Array =>
  Float32Array.from({ length: count * ORDERS }, () => chance.next() + chance.next() + chance.next() - 1.5);
/** Another voice: orders mixed, stretched and moved. */
function otherVoice(shape: Float32Array): Float32Array {
  const out = new Float32Array(shape.length);
  for (let at = 0; at < shape.length; at += ORDERS) {
    for (let order = 0; order < ORDERS; order++) {
      out[at + order] = 0.3 * itemAt(shape, at + order) - 1.4 * itemAt(shape, at + ((order + 1) % ORDERS)) + 1;
    }
  }
  return out;
}
const pairsOf = (count: number): Int32Array => Int32Array.from({ length: 2 * count }, (_, at) => at >> 1);
const apart = (a: Float32Array, b: Float32Array): number =>
  Math.sqrt(a.reduce((sum, one, at) => sum + (one - itemAt(b, at)) ** 2, 0) / a.length);

describe('one voice seen as another', () => {
  it('is learned from frames that belong together, and holds for others', () => {
    const learner = new AdaptationLearner(ORDERS);
    const heard = frames(800);
    const wanted = heard.map((one) => one * 2);
    learner.add(otherVoice(heard), wanted, pairsOf(800));
    const map = learner.map();
    if (!map) throw new Error('nothing was learned');
    const unseen = frames(200);
    const deviation = Math.sqrt(unseen.reduce((sum, one) => sum + one * one, 0) / unseen.length);
    const scaled = unseen.map((one) => one / deviation);
    expect(apart(map.apply(otherVoice(unseen)), scaled)).toBeLessThan(0.25);
    expect(apart(otherVoice(unseen), scaled)).toBeGreaterThan(0.9);
  });

  it('is not learned from too little, nor from nothing that varies', () => {
    const learner = new AdaptationLearner(ORDERS);
    learner.add(frames(100), frames(100), pairsOf(100));
    expect(learner.map()).toBeNull();
    const flat = new AdaptationLearner(ORDERS);
    flat.add(new Float32Array(4000), new Float32Array(4000), pairsOf(1000));
    expect(flat.map()?.apply(new Float32Array(ORDERS)).every(Number.isFinite)).toBe(true);
  });

  it('leaves a shape as it is where nothing is known', () => {
    const shape = frames(3);
    expect(NO_ADAPTATION.apply(shape)).toBe(shape);
  });
});
