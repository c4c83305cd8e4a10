import type { Seconds } from '@/core/units';

/** How a picture is counted. */
export interface FrameRate {
  readonly id: string;
  /** Frames a second, exactly, as a fraction. */
  readonly numerator: number;
  readonly denominator: number;
  /** Frames that a second of timecode counts. */
  readonly counted: number;
  /** Frame numbers left out at each minute but every tenth, so that the count keeps to the clock; 0 in non-drop. */
  readonly dropped: 0 | 2 | 4;
}

const rate = (
  id: string,
  numerator: number,
  denominator: number,
  counted: number,
  dropped: 0 | 2 | 4 = 0,
): FrameRate => ({
  id,
  numerator,
  denominator,
  counted,
  dropped,
});

/** The rates of SMPTE ST 12-1 (and its doubles) that cameras record at. */
export const FRAME_RATES = [
  rate('23.976', 24_000, 1001, 24),
  rate('24', 24, 1, 24),
  rate('25', 25, 1, 25),
  rate('29.97 drop', 30_000, 1001, 30, 2),
  rate('29.97 non-drop', 30_000, 1001, 30),
  rate('30', 30, 1, 30),
  rate('50', 50, 1, 50),
  rate('59.94 drop', 60_000, 1001, 60, 4),
] as const satisfies readonly FrameRate[];

/** The frame that a time falls nearest to, counted from 0. */
export function frameAt(seconds: Seconds, { numerator, denominator }: FrameRate): number {
  return Math.round((seconds * numerator) / denominator);
}

/** When a frame begins, in seconds; not rounded. */
export function frameSeconds(frame: number, { numerator, denominator }: FrameRate): Seconds {
  return (frame * denominator) / numerator;
}

/**
 * A frame's timecode, `hh:mm:ss:ff`, or `hh:mm:ss;ff` where frames are dropped (SMPTE ST 12-1). It runs over after 24
 * hours. @throws RangeError when the frame is no whole number from 0.
 */
export function timecodeOf(frame: number, { counted, dropped }: FrameRate): string {
  if (!Number.isInteger(frame) || frame < 0) throw new RangeError(`timecodeOf: no frame ${frame}`);
  const minute = 60 * counted;
  const tenMinutes = 10 * minute - 9 * dropped;
  let count = frame % (144 * tenMinutes);
  if (dropped > 0) {
    const tens = Math.floor(count / tenMinutes);
    const rest = count % tenMinutes;
    const minutes = rest < minute ? 0 : 1 + Math.floor((rest - minute) / (minute - dropped));
    count += dropped * (9 * tens + minutes);
  }
  const seconds = Math.floor(count / counted);
  const two = (value: number): string => String(value).padStart(2, '0');
  const clock = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60].map(two).join(':');
  return `${clock}${dropped > 0 ? ';' : ':'}${two(count % counted)}`;
}
