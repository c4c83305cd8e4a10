import { toMilliseconds, type Seconds } from '@/core/units';

/** `hh:mm:ss` with thousandths after `mark`, as WebVTT (`.`) and SRT (`,`) write it. Hours have at least two digits. */
export function timestamp(seconds: Seconds, mark: '.' | ','): string {
  const total = Math.max(0, toMilliseconds(seconds));
  const pad = (value: number, digits: number): string => String(value).padStart(digits, '0');
  const whole = Math.floor(total / 1000);
  return `${pad(Math.floor(whole / 3600), 2)}:${pad(Math.floor(whole / 60) % 60, 2)}:${pad(whole % 60, 2)}${mark}${pad(total % 1000, 3)}`;
}
