import { expose, transfer } from 'comlink';
import { practiceTake, TAKE_RATE } from '@/core/practice';
import { pcm16, wavHeader } from '@/core/signal';
import { expandPlan } from '@/core/timeline';
import { atRate, PlainLines } from '@/sound/plain-lines';
import { plainProgram } from '@/sound/plain-program';
import { PlainVoice } from '@/sound/plain-voice';
import type { Speaker } from './protocol';

/** The voice of previews, and another for practice takes: takes are compared with the first. */
const VOICES = { lines: 'slt', practice: 'rms' } as const;

let latest = 0;

/** Lets messages in, so that a later question is heard; whether this one still stands. */
async function stands(id: number): Promise<boolean> {
  await new Promise((done) => setTimeout(done, 0));
  return latest === id;
}

const speaker: Speaker = {
  async say(texts, syllablesPerMinute, onLine) {
    const id = ++latest;
    const lines = new PlainLines(new PlainVoice(await plainProgram(), VOICES.lines), syllablesPerMinute);
    for (const text of texts) {
      if (!(await stands(id))) return;
      // A line that cannot be said is left out.
      const said = await lines.say(text).catch(() => null);
      const samples = said ? said.samples.slice() : new Float32Array(0);
      onLine(text, transfer(samples, [samples.buffer]), said?.sampleRate ?? TAKE_RATE);
    }
  },

  async practice(recipe, onProgress) {
    const id = ++latest;
    const { syllablesPerMinute } = recipe.plan.voice;
    const lines = new PlainLines(new PlainVoice(await plainProgram(), VOICES.practice), syllablesPerMinute);
    const heard = new Map<string, Float32Array>();
    const expected = expandPlan(recipe.plan).cues.length;
    const making = practiceTake(recipe);
    let count = 0;
    let next = making.next();
    while (!next.done) {
      if (!(await stands(id))) return null;
      const text = next.value;
      const sound = heard.get(text) ?? atRate(await lines.say(text), TAKE_RATE).slice();
      heard.set(text, sound);
      onProgress(Math.min(1, ++count / Math.max(1, expected)));
      next = making.next(sound);
    }
    const { samples, said, skipped } = next.value;
    const wav = new Blob([wavHeader(samples.length, TAKE_RATE), pcm16(samples)], { type: 'audio/wav' });
    return { wav, truth: { said, skipped: [...skipped] } };
  },
};

expose(speaker);
