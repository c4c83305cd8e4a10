import { readPerformanceLog, type PerformanceLog } from '@/core/conductor';
import { CAPTION_LIMITS, readCaptions, type CaptionsRead } from '@/core/interchange';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { decodeText } from '@/files/decode-text';

/** What was said, as a file tells: captions, or what the prompter showed. */
export interface Words {
  readonly captions: CaptionsRead['captions'] | null;
  readonly log: PerformanceLog | null;
  readonly oddities: readonly Issue[];
}

/** Reads a caption file or a performance log, with a note on its encoding among the oddities. */
export async function wordsOf(file: File): Promise<Result<Words, Issue>> {
  if (file.size > CAPTION_LIMITS.fileCharacters * 2) {
    return failed({
      code: 'caption-file-too-large',
      at: '',
      facts: { megabytes: CAPTION_LIMITS.fileCharacters / 1024 / 1024 },
    });
  }
  const { text, oddities } = decodeText(new Uint8Array(await file.arrayBuffer()));
  if (text.trimStart().startsWith('{')) {
    const log = readPerformanceLog(text);
    return log.ok ? ok({ captions: null, log: log.value, oddities }) : log;
  }
  const read = readCaptions(text);
  return read.ok
    ? ok({ captions: read.value.captions, log: null, oddities: [...oddities, ...read.value.oddities] })
    : read;
}
