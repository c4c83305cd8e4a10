import type { TeachingStyle } from './teaching-style';

/** The words that a breath token is filled with, in the full form or a shorter one. */
export interface BreathWords {
  readonly in: string;
  readonly out: string;
}

/** "in through the nose" and "slowly out through the mouth" in full; "in" and "out" where words are few. */
export function breathWords(style: TeachingStyle, full: boolean): BreathWords {
  if (!full) return { in: 'in', out: style.outBreath === 'long' ? 'slowly out' : 'out' };
  const out = style.outBreath === 'long' ? 'slowly out' : 'out';
  return {
    in: 'in through the nose',
    out: `${out} through the ${style.breath === 'nose' ? 'nose' : 'mouth'}`,
  };
}

/** What the belly does as the breath goes in or out. */
export function bellyWords(style: TeachingStyle, breathing: 'inhale' | 'exhale'): string {
  const widens = (breathing === 'inhale') === (style.belly === 'natural');
  return widens ? 'the belly widens' : 'the belly draws in';
}
