import { strToU8, Zip, ZipDeflate } from 'fflate';
import { fileNameFor, publish, PUBLISH_FORMATS } from '@/core/publish';
import { breathTonesFile } from './breath-tones-file';
import type { BundleRequest } from './protocol';

/** Every file of a class, or of a take of it, in one ZIP file; the names are plain letters, digits and hyphens. */
export function everything(asked: BundleRequest, onProgress: (share: number) => void = () => undefined): Blob {
  const { plan, timeline, reading, spelling, cutting } = asked;
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let failure: Error | null = null;
  const zip = new Zip((error, piece) => {
    if (error) failure = error;
    else parts.push(piece.slice());
  });
  const add = (ending: string, pieces: readonly Uint8Array[], told?: (share: number) => void): void => {
    const file = new ZipDeflate(fileNameFor(plan.title, ending), { level: 6 });
    zip.add(file);
    pieces.forEach((piece, at) => {
      file.push(piece, at === pieces.length - 1);
      told?.((at + 1) / pieces.length);
    });
  };
  for (const format of PUBLISH_FORMATS) {
    if ((format === 'reading' && !reading) || (format === 'cut-list' && !cutting)) continue;
    const { text, ending } = publish(plan, timeline, format, reading, spelling, cutting);
    add(ending, [strToU8(text)]);
  }
  // The tones are nearly all of the work, packing them the other half.
  const tones = breathTonesFile(asked, (share) => onProgress(share / 2));
  add('.breath-tones.wav', tones, (share) => onProgress(0.5 + share / 2));
  zip.end();
  // The callback above may have set it.
  if (failure as Error | null) throw new Error('the ZIP file could not be written', { cause: failure });
  return new Blob(parts, { type: 'application/zip' });
}
