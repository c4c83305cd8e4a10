import { expose } from 'comlink';
import { OnlineAligner, type SaidCepstra } from '@/core/align';
import { Resampler } from '@/core/signal';
import type { Cue } from '@/core/timeline';
import { LiveHearing } from '@/sound/hear-live';
import { HEARING_RATE } from '@/sound/hear-voice';
import { plainProgram } from '@/sound/plain-program';
import { cepstraOfLine, PlainVoice } from '@/sound/plain-voice';
import { loadVoiceModel } from '../voice-model';
import type { EarNews, LiveListener } from './protocol';

/** Sound that waits longer than this is let go: a computer that does not keep up would fall behind for ever. */
const WAITING_SECONDS = 3;

const texts = new Map<string, SaidCepstra>();
let voice: PlainVoice | null = null;
let hearing: LiveHearing | null = null;
let aligner: OnlineAligner | null = null;
let resampler: Resampler | null = null;
let tell: (news: EarNews) => void = () => undefined;
let waiting = 0;
let working: Promise<unknown> = Promise.resolve();

/** One piece of work after the other. */
function after(work: () => Promise<void>): Promise<void> {
  const done = working.then(work);
  working = done.catch(() => undefined);
  return done;
}

/** A line that cannot be said is known by its length and its place alone. */
async function say(text: string): Promise<void> {
  voice ??= new PlainVoice(await plainProgram(), 'slt');
  const said = await cepstraOfLine(voice, text).catch(() => null);
  if (said) texts.set(text, said);
}

async function hear(samples: Float32Array, rate: number): Promise<void> {
  if (resampler?.from !== rate) resampler = new Resampler(rate, HEARING_RATE);
  for (const stretch of (await hearing?.push(resampler.push(samples))) ?? []) aligner?.add(stretch);
  if (!hearing || !aligner) return;
  const { last, ...place } = aligner.place(hearing.seconds);
  // What waits was heard since.
  const secondsAgo = last && hearing.seconds + waiting - last.onset;
  tell({
    ...place,
    last: last && secondsAgo !== null ? { cue: last.cue, share: last.share, secondsAgo } : null,
    isSpeaking: hearing.isSpeaking,
  });
}

const listener: LiveListener = {
  async begin(onNews) {
    tell = onNews;
    hearing = new LiveHearing((await loadVoiceModel()).stream());
  },
  async lines(cues: readonly Cue[], next, onSaid) {
    const wanted = [...new Set(cues.map(({ text }) => text))].filter((text) => !texts.has(text));
    for (const [at, text] of wanted.entries()) {
      await after(() => say(text));
      onSaid((at + 1) / wanted.length);
    }
    await after(() => {
      aligner = aligner ? aligner.withCues(cues, texts) : new OnlineAligner(cues, texts);
      if (next !== null) aligner.moveTo(next, hearing?.seconds ?? 0);
      return Promise.resolve();
    });
  },
  moveTo(next) {
    void after(() => {
      aligner?.moveTo(next, hearing?.seconds ?? 0);
      return Promise.resolve();
    });
  },
  push(samples, rate) {
    const seconds = samples.length / rate;
    if (waiting > WAITING_SECONDS) return;
    waiting += seconds;
    void after(async () => {
      waiting -= seconds;
      await hear(samples, rate);
    });
  },
};

expose(listener);
