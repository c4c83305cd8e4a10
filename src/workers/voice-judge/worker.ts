import { expose, transfer } from 'comlink';
import { loadVoiceModel } from '../voice-model';
import type { JudgeWorker } from './protocol';

const model = loadVoiceModel();
/** One block after the other: the model keeps no two runs apart. */
let before: Promise<unknown> = Promise.resolve();

const judge: JudgeWorker = {
  ready: () => model.then(() => undefined),
  judge(samples, from) {
    const judged = before.then(async () => {
      const likely = await (await model).judge(samples, from);
      return transfer(likely, [likely.buffer]);
    });
    before = judged.catch(() => undefined);
    return judged;
  },
};

expose(judge);
