import { strToU8, Zip, ZipDeflate } from 'fflate';
import { fileNameFor, publish, PUBLISH_FORMATS } from '@/core/publish';
import { breathTonesFile } from './breath-tones-file';
import type { BundleRequest } from './protocol';

/** Every file of a class, or of a take of it, in one ZIP file; the names are plain letters, digits and hyphens. */
export function everything(asked: BundleRequest): Blob {
  const { plan, timeline, reading, spelling, cutting } = asked;
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let failure: Error | null = null;
  const zip = new Zip((error, piece) => {
    if (error) failure = error;
    else parts.push(piece.slice());
  });
  const add = (ending: string, pieces: readonly Uint8Array[]): void => {
    const file = new ZipDeflate(fileNameFor(plan.title, ending), { level: 6 });
    zip.add(file);
    pieces.forEach((piece, at) => file.push(piece, at === pieces.length - 1));
  };
  for (const format of PUBLISH_FORMATS) {
    if ((format === 'reading' && !reading) || (format === 'cut-list' && !cutting)) continue;
    const { text, ending } = publish(plan, timeline, format, reading, spelling, cutting);
    add(ending, [strToU8(text)]);
  }
  add('.breath-tones.wav', breathTonesFile(asked));
  zip.end();
  // The callback above may have set it.
  if (failure as Error | null) throw new Error('the ZIP file could not be written', { cause: failure });
  return new Blob(parts, { type: 'application/zip' });
}
