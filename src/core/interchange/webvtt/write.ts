import { timestamp, type Caption } from '../caption';

/** Text made fit for a WebVTT cue: escapes, no blank lines, no arrow. Source: W3C, WebVTT. */
export function escapeWebvtt(text: string): string {
  return text
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .split(/\r\n|\r|\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .join('\n');
}

/** Captions as a WebVTT file; the captions must be in order. */
export function writeWebvtt(captions: readonly Caption[]): string {
  const blocks = captions.map(
    (caption, index) =>
      `${index + 1}\n${timestamp(caption.startSeconds, '.')} --> ${timestamp(caption.endSeconds, '.')}\n${escapeWebvtt(caption.text)}\n`,
  );
  return ['WEBVTT\n', ...blocks].join('\n');
}
