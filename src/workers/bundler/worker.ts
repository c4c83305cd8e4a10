import { breathTonesFile } from './breath-tones-file';
import { everything } from './everything';
import type { BundleReply, BundleRequest } from './protocol';

addEventListener('message', ({ data }: MessageEvent<BundleRequest>) => {
  const reply = (file: Blob | null): void => postMessage({ id: data.id, file } satisfies BundleReply);
  try {
    reply(data.what === 'tones' ? new Blob(breathTonesFile(data), { type: 'audio/wav' }) : everything(data));
  } catch (error) {
    console.error(error);
    reply(null);
  }
});
