/**
 * Makes the demo take of *Before the First Ferry* from synthetic speech: `demo/take/before-the-first-ferry.webm`
 * (sound), `.vtt` (as a machine might caption it, with mishearings) and `.truth.json` (what was really said when).
 * Drift, two skipped cues, three ad-libs, a little room noise. Needs espeak-ng and ffmpeg from Debian's packages.
 * Run with `npx tsx scripts/make-demo-take.ts`; the same seed gives the same take.
 */
import { itemAt } from '@/core/units';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeWebvtt, type Caption } from '../src/core/interchange';
import { LevelMeter, readWav, speechSegments } from '../src/core/signal';
import { expandPlan } from '../src/core/timeline';
import { demoClasses } from '../src/demo/classes';
import { Random } from '../src/core/units';

const RATE = 22_050;
const NAME = 'before-the-first-ferry';
const chance = new Random(7);

const plan = demoClasses().find((demo) => demo.name === NAME)?.plan;
if (!plan) throw new Error(`no demo class ${NAME}`);
const timeline = expandPlan(plan);

const SKIPPED = [2, 46];
const AD_LIBS: ReadonlyMap<number, string> = new Map([
  [10, 'There goes the milk boat, right on time.'],
  [38, 'Never mind the gulls, they always laugh at this one.'],
  [67, 'That was only the kettle.'],
]);
/** What a machine might hear instead. */
const MISHEARD: readonly (readonly [RegExp, string])[] = [
  [/\bferry\b/g, 'fairy'],
  [/\bcoil\b/gi, 'call'],
  [/\bwrists\b/g, 'risks'],
  [/\bHeron\b/g, 'Herring'],
  [/\bpiling\b/g, 'pile in'],
  [/\bsill\b/g, 'cell'],
  [/\bgulls\b/g, 'girls'],
  [/\bIn, and float\b/g, 'And in float'],
  [/\bMooring\b/g, 'Morning'],
];

interface Said {
  readonly cueId: string | null;
  readonly text: string;
  readonly startSeconds: number;
  readonly endSeconds: number;
}

const folder = mkdtempSync(join(tmpdir(), 'calm-take-'));

function speak(text: string): Float32Array {
  const file = join(folder, 'line.wav');
  execFileSync('espeak-ng', ['-v', 'en-gb', '-s', '118', '-p', '38', '-w', file, '--', text]);
  const sound = readWav(readFileSync(file));
  if (!sound.ok) throw new Error(`espeak-ng gave no sound for "${text}"`);
  const { samples } = sound.value;
  let from = 0;
  let to = samples.length;
  while (from < to && Math.abs(itemAt(samples, from)) < 0.01) from++;
  while (to > from && Math.abs(itemAt(samples, to - 1)) < 0.01) to--;
  return samples.slice(from, to);
}

/** Planned seconds to seconds in the take: 1.5 s of pre-roll, then a tempo that wanders a few per cent slow. */
function drifted(planned: number): number {
  return 1.5 + planned * 1.045 + 4 * Math.sin(planned / 95);
}

const spoken: { readonly said: Said; readonly samples: Float32Array }[] = [];
let free = 0;
const say = (cueId: string | null, text: string, wanted: number): void => {
  const samples = speak(text);
  const startSeconds = Math.max(wanted, free + 0.35);
  const endSeconds = startSeconds + samples.length / RATE;
  free = endSeconds;
  spoken.push({ said: { cueId, text, startSeconds, endSeconds }, samples });
};
timeline.cues.forEach((cue, index) => {
  const adLib = AD_LIBS.get(index);
  if (adLib) say(null, adLib, free + 0.6);
  if (!SKIPPED.includes(index)) say(cue.id, cue.text, drifted(cue.startSeconds) + (chance.next() - 0.5) * 0.8);
});

const lengthSeconds = Math.max(free + 3, drifted(timeline.runtimeSeconds));
const sound = new Float32Array(Math.ceil(lengthSeconds * RATE));
let brown = 0;
for (let at = 0; at < sound.length; at++) {
  brown = 0.98 * brown + 0.02 * (chance.next() * 2 - 1);
  sound[at] = brown * 0.02;
}
for (const { said, samples } of spoken) {
  const from = Math.round(said.startSeconds * RATE);
  samples.forEach((sample, index) => {
    sound[from + index] = (sound[from + index] ?? 0) + sample * 0.5;
  });
}
const raw = join(folder, 'take.f32');
writeFileSync(raw, new Uint8Array(sound.buffer));
const out = (ending: string): string => new URL(`../demo/take/${NAME}${ending}`, import.meta.url).pathname;
execFileSync('ffmpeg', [
  '-v',
  'error',
  '-y',
  '-f',
  'f32le',
  '-ar',
  String(RATE),
  '-ac',
  '1',
  '-i',
  raw,
  '-c:a',
  'libopus',
  '-b:a',
  '24k',
  '-bitexact',
  out('.webm'),
]);

/** Captions as a machine makes them: words misheard, short lines run together, long ones cut, times a little off. */
const captions: Caption[] = [];
for (const { said } of spoken) {
  let text = said.text;
  for (const [right, wrong] of MISHEARD) text = text.replace(right, wrong);
  text = text.toLowerCase().replace(/[.,]/g, '');
  const off = (chance.next() - 0.5) * 0.4;
  const last = captions.at(-1);
  if (last && said.startSeconds - last.endSeconds < 1.2 && last.text.length + text.length < 50) {
    captions[captions.length - 1] = { ...last, endSeconds: said.endSeconds, text: `${last.text} ${text}` };
  } else {
    const startSeconds = Math.max(last?.endSeconds ?? 0, Math.round((said.startSeconds + off) * 1000) / 1000);
    captions.push({ startSeconds, endSeconds: said.endSeconds, text });
  }
}
writeFileSync(out('.vtt'), writeWebvtt(captions));
const meter = new LevelMeter(RATE);
meter.push(sound);
const rounded = (seconds: number): number => Math.round(seconds * 1000) / 1000;
writeFileSync(
  out('.truth.json'),
  `${JSON.stringify(
    {
      lengthSeconds: rounded(lengthSeconds),
      said: spoken.map(({ said }) => ({
        ...said,
        startSeconds: rounded(said.startSeconds),
        endSeconds: rounded(said.endSeconds),
      })),
      skipped: SKIPPED.map((index) => itemAt(timeline.cues, index).id),
      speech: speechSegments(meter.read()),
    },
    null,
    1,
  )}\n`,
);
rmSync(folder, { recursive: true });
console.log(`take of ${lengthSeconds.toFixed(1)} s, ${spoken.length} lines said, ${captions.length} captions`);
