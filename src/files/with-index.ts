import {
  ALL_FORMATS,
  BlobSource,
  Conversion,
  Input,
  Mp4OutputFormat,
  Output,
  StreamTarget,
  WebMOutputFormat,
} from 'mediabunny';

/**
 * Writes a recording anew with its length and an index, so that a player can be wound: a browser writes neither while it
 * records. Nothing is encoded again; what is written goes straight to `to`, and is never held whole. Whether it could be
 * done: `false` where the file cannot be read to its end, or would lose a track, and what was written is then of no use.
 */
export async function writeWithIndex(recording: Blob, to: FileSystemWritableFileStream): Promise<boolean> {
  const format = recording.type.startsWith('video/mp4') ? new Mp4OutputFormat() : new WebMOutputFormat();
  const input = new Input({ formats: ALL_FORMATS, source: new BlobSource(recording) });
  try {
    const output = new Output({ format, target: new StreamTarget(to, { chunked: true }) });
    const copying = await Conversion.init({ input, output });
    if (!copying.isValid || copying.discardedTracks.length > 0) {
      await to.abort();
      return false;
    }
    await copying.execute();
    return true;
  } catch {
    await to.abort().catch(() => undefined);
    return false;
  } finally {
    input.dispose();
  }
}
