import type { Seconds } from './seconds';

/**
 * Seconds as `m:ss` (or `h:mm:ss` from one hour on), rounded to the nearest second. Negative times carry a minus
 * sign (U+2212). @throws RangeError when `seconds` is not finite.
 */
export function formatClock(seconds: Seconds): string {
  if (!Number.isFinite(seconds)) throw new RangeError(`formatClock: seconds must be finite, got ${seconds}`);
  const whole = Math.round(Math.abs(seconds));
  const sign = seconds < 0 && whole > 0 ? '−' : '';
  const ss = String(whole % 60).padStart(2, '0');
  const minutes = Math.floor(whole / 60);
  if (minutes < 60) return `${sign}${minutes}:${ss}`;
  return `${sign}${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}:${ss}`;
}

/** A signed difference as `+m:ss`, `−m:ss`, or `0:00` when it rounds to nothing. */
export function formatDifference(seconds: Seconds): string {
  const text = formatClock(seconds);
  return Math.round(seconds) > 0 ? `+${text}` : text;
}

/** Seconds as `m:ss.t`, to the nearest tenth; for times that are set by hand. Negative times are taken as 0. */
export function formatExactClock(seconds: Seconds): string {
  const tenths = Math.max(0, Math.round(seconds * 10));
  return `${Math.floor(tenths / 600)}:${((tenths % 600) / 10).toFixed(1).padStart(4, '0')}`;
}

/** What a number without a colon or a unit is: a class is thought of in minutes, a pause in seconds. */
export type BareUnit = 'minutes' | 'seconds';

/**
 * Reads `m:ss`, `h:mm:ss`, a number with its unit ("90 s", "7.5 min"), or a bare number in `bare`; `null` when it is
 * none of them. Fractions of a second are kept.
 */
export function parseClock(text: string, bare: BareUnit = 'seconds'): Seconds | null {
  const trimmed = text.trim();
  const plain = /^(\d{1,6}(?:\.\d{1,6})?) ?(?:(m|mins?|minutes?)|(s|secs?|seconds?))?$/i.exec(trimmed);
  if (plain) {
    const minutes = plain[2] !== undefined || (plain[3] === undefined && bare === 'minutes');
    return Number(plain[1]) * (minutes ? 60 : 1);
  }
  const match = /^(?:(\d{1,3}):)?(\d{1,3}):([0-5]\d(?:\.\d{1,6})?)$/.exec(trimmed);
  if (!match) return null;
  const hours = Number(match[1] ?? 0);
  const minutes = Number(match[2]);
  if (match[1] !== undefined && minutes > 59) return null;
  return hours * 3600 + minutes * 60 + Number(match[3]);
}
