import { timestamp, type Caption } from '../caption';

/** Text made fit for SRT, which has no escapes: no blank lines, and an arrow that cannot be taken for a time. */
function plain(text: string): string {
  return text
    .replace(/-->/g, '→')
    .split(/\r\n|\r|\n/)
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .join('\r\n');
}

/** Captions as an SRT file with CRLF line ends; the captions must be in order. */
export function writeSrt(captions: readonly Caption[]): string {
  return captions
    .map(
      (caption, index) =>
        `${index + 1}\r\n${timestamp(caption.startSeconds, ',')} --> ${timestamp(caption.endSeconds, ',')}\r\n${plain(caption.text)}\r\n`,
    )
    .join('\r\n');
}
