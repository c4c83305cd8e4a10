/** A byte of an envelope is a level between these, in dBFS. */
const ENVELOPE_FLOOR = -80;

/** Levels in dBFS as bytes for drawing: 0 is -80 and less, 255 full scale. */
export function envelopeOf(levels: Float32Array): Uint8Array {
  return Uint8Array.from(levels, (level) => Math.round(255 * Math.min(1, Math.max(0, 1 - level / ENVELOPE_FLOOR))));
}
