import { formOn, type Form } from '@/core/movement';

/** A usual way for the words to thin out. */
export interface FadePreset {
  readonly id: 'thin-out' | 'full' | 'breath-only' | 'count-only' | 'silent-after-two';
  readonly fade: readonly Form[];
}

/** The usual fades (common practice, no published source). In `count-only` nothing but the counting is said. */
export const FADE_PRESETS: readonly FadePreset[] = [
  { id: 'thin-out', fade: ['full', 'short', 'breath', 'silent'] },
  { id: 'full', fade: ['full'] },
  { id: 'breath-only', fade: ['breath'] },
  { id: 'count-only', fade: ['silent'] },
  { id: 'silent-after-two', fade: ['full', 'short', 'silent'] },
];

/** A fade with the form of one round, from 1, set; written out as far as that round and no further than it differs. */
export function withForm(fade: readonly Form[], round: number, form: Form): Form[] {
  const length = Math.max(fade.length, round + 1);
  const written = Array.from({ length }, (_, at) => formOn(fade, at + 1));
  written[round - 1] = form;
  return shortest(written);
}

/** The same fade without forms at its end that the last one holds for anyway. */
export function shortest(fade: readonly Form[]): Form[] {
  let end = fade.length;
  while (end > 1 && fade[end - 1] === fade[end - 2]) end--;
  return fade.slice(0, end);
}
