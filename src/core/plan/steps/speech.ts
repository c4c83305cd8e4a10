import type { SpokenLine } from '@/core/movement';
import { speakingSeconds } from '@/core/speech';
import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import { usualText } from '@/core/words';
import type { PlanVoice } from '../voice';

/** A line's speaking time in whole milliseconds; a token in it takes as long as its usual words. */
export function lineMilliseconds(text: string, voice: PlanVoice): Milliseconds {
  return toMilliseconds(speakingSeconds(usualText(text), voice));
}

/** Lines said one after the other with their pauses. An empty line is silence of its pause. */
export function spokenMilliseconds(lines: readonly SpokenLine[], voice: PlanVoice): Milliseconds {
  return lines.reduce(
    (total, line) => total + lineMilliseconds(line.text, voice) + toMilliseconds(line.pauseSeconds),
    0,
  );
}

/** The lines with another silence after the last. */
export function withLastPause(lines: readonly SpokenLine[], pauseSeconds: Seconds): SpokenLine[] {
  return lines.map((line, at) => (at === lines.length - 1 ? { ...line, pauseSeconds } : line));
}
