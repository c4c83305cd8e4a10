import { expose } from 'comlink';
import { breathTonesFile } from './breath-tones-file';
import { everything } from './everything';
import type { Bundler } from './protocol';

const bundler: Bundler = {
  bundle: (asked, onProgress) =>
    asked.what === 'tones'
      ? new Blob(breathTonesFile(asked, onProgress), { type: 'audio/wav' })
      : everything(asked, onProgress),
};

expose(bundler);
