import { itemAt, type Seconds } from '@/core/units';

/** Syllables a minute of a synthesiser at its usual rate: 175 words of 1.4 syllables; common practice, no published source. */
const USUAL_RATE = 245;

interface Spoken {
  readonly text: string;
  readonly startSeconds: Seconds;
  readonly endSeconds: Seconds;
}

/**
 * Lines with their silences as SSML 1.1 (W3C), for any speech synthesiser: each line a sentence, the silence to the
 * next as a break, the whole at the voice's rate. Lines that overlap follow each other without a break.
 */
export function writeSsml(
  lines: readonly Spoken[],
  { lengthSeconds, syllablesPerMinute }: { readonly lengthSeconds: Seconds; readonly syllablesPerMinute: number },
): string {
  const rate = Math.round((100 * syllablesPerMinute) / USUAL_RATE);
  const parts = [silence(lines.length > 0 ? itemAt(lines, 0).startSeconds : lengthSeconds)];
  lines.forEach((line, index) => {
    const next = lines[index + 1]?.startSeconds ?? lengthSeconds;
    parts.push(`    <s>${escaped(line.text)}</s>`, silence(next - line.endSeconds));
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB">',
    `  <prosody rate="${rate}%">`,
    ...parts.filter(Boolean),
    '  </prosody>',
    '</speak>',
    '',
  ].join('\n');
}

function silence(seconds: Seconds): string {
  const milliseconds = Math.round(seconds * 1000);
  return milliseconds > 0 ? `    <break time="${milliseconds}ms"/>` : '';
}

function escaped(text: string): string {
  return text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, ' ');
}
