import { breathTonesFile } from './breath-tones-file';
import { everything } from './everything';
import type { BundleReply, BundleRequest } from './protocol';

addEventListener('message', ({ data }: MessageEvent<BundleRequest>) => {
  const { id } = data;
  const reply = (message: BundleReply): void => postMessage(message);
  const onProgress = (share: number): void => reply({ kind: 'progress', id, share });
  try {
    const tones = (): Blob => new Blob(breathTonesFile(data, onProgress), { type: 'audio/wav' });
    reply({ kind: 'done', id, file: data.what === 'tones' ? tones() : everything(data, onProgress) });
  } catch (error) {
    console.error(error);
    reply({ kind: 'done', id, file: null });
  }
});
