import { transfer } from 'comlink';
import type { VoiceJudge } from '@/sound/hear-voice';
import { Hired } from '../hired';
import type { JudgeWorker } from './protocol';

/** The voice-activity model in a worker of its own, which is ended with it. */
export interface HiredJudge extends VoiceJudge {
  end(): void;
}

/** Rejects when the model cannot be had. */
export async function voiceJudge(): Promise<HiredJudge> {
  const hired = new Hired<JudgeWorker>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));
  /** A model that broke once is not asked again. */
  const orEnd = (error: unknown): never => {
    hired.end();
    throw error;
  };
  await hired.ask((offer) => offer.ready()).catch(orEnd);
  return {
    judge: (samples, from) => hired.ask((offer) => offer.judge(transfer(samples, [samples.buffer]), from)).catch(orEnd),
    end: () => hired.end(),
  };
}
