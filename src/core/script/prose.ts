import type { NewId } from '@/core/document';
import { LIMITS } from '@/core/plan';
import type { SpokenLine } from '@/core/movement';
import type { Seconds } from '@/core/units';

/**
 * Prose with pauses as people write it ("Stand easy. (4 s) Let the shoulders hang. (pause 10 s)") as spoken lines, a
 * sentence a line. A pause belongs to the line before it; one at the very start is an empty line. A sentence that
 * names none has `habitSeconds`, the pause of the voice.
 */
export function linesOfProse(newId: NewId, prose: string, habitSeconds: Seconds): SpokenLine[] {
  const lines: SpokenLine[] = [];
  const parts = prose.split(/\((?:pause\s*)?(\d+(?:\.\d+)?)\s*(?:s|sec|seconds)\)/i);
  parts.forEach((part, index) => {
    if (index % 2 === 1) {
      const pauseSeconds = Math.min(LIMITS.pauseSeconds.max, Number(part));
      const last = lines.at(-1);
      if (last) lines[lines.length - 1] = { ...last, pauseSeconds };
      else lines.push({ id: newId(), text: '', pauseSeconds, layer: null });
      return;
    }
    for (const sentence of part.match(/[^.?!]+(?:[.?!]+["’”]?|$)/g) ?? []) {
      const text = sentence.replace(/\s+/g, ' ').trim();
      if (text !== '') lines.push({ id: newId(), text, pauseSeconds: habitSeconds, layer: null });
    }
  });
  return lines;
}

/** The prose of spoken lines; it reads back as the same words and pauses, a sentence a line. */
export function proseOf(lines: readonly SpokenLine[], habitSeconds: Seconds): string {
  return lines
    .map(({ text, pauseSeconds }) => (pauseSeconds === habitSeconds ? text : `${text} (${pauseSeconds} s)`.trim()))
    .join(' ');
}
