import { itemAt, type Random } from '@/core/units';

/*
 * One class written down in many layouts: how a document sets its parts, its steps and what is told of them. What is meant
 * is known, as the text is made of it. The names are invented.
 */

export interface MeantStep {
  readonly kind: 'movement' | 'silence' | 'talk';
  readonly name: string;
  readonly rounds?: number;
  readonly seconds?: number;
  readonly sides?: true;
  readonly cue?: string;
  readonly breath?: readonly [inhale: string, exhale: string];
  readonly caution?: string;
}

export interface MeantClass {
  readonly title: string;
  readonly parts: readonly { readonly name: string; readonly steps: readonly MeantStep[] }[];
}

const NAMES = ['Cloud hands', 'Lifting the lamp', 'Knee circles', 'Arm swings', 'Pushing the barge', 'Turning the waist', 'Hip circles', 'Rowing home', 'Wrist rolls', 'Coiling the line', 'Painting the wall', 'Parting the reeds', 'Swimming otter', 'Heel raises', 'Gathering leaves', 'Scooping water', 'Heron spreads wings', 'Side bends', 'Drawing the net', 'Ankle rolls', 'Shoulder shrugs', 'Pulling the rope']; // prettier-ignore
const CUES = ['Keep the shoulders low', 'soft knees', 'Look far ahead', 'eyes follow the hand', 'no rush', 'Let the weight sink', 'elbows heavy', 'Feel the soles of the feet']; // prettier-ignore
const BREATHS = [['arms rise', 'arms sink'], ['open', 'close'], ['lift', 'lower']] as const; // prettier-ignore
const CAUTIONS = ['sore knees go half as far', 'not with a bad back', 'hold the chair if unsteady'];

/** A class of three parts, of seven or eight steps. */
export function meantClass(random: Random): MeantClass {
  const names = shuffled(random, NAMES);
  let used = 0;
  const movement = (): MeantStep => {
    const name = itemAt(names, used++);
    const cue = random.yes(0.35) ? { cue: random.pick(CUES) } : {};
    const caution = random.yes(0.2) ? { caution: random.pick(CAUTIONS) } : {};
    if (random.yes(0.2)) return { kind: 'movement', name, seconds: random.pick([60, 90, 120]), ...cue, ...caution };
    const sides = random.yes(0.4) ? { sides: true as const } : {};
    const breath = random.yes(0.3) ? { breath: random.pick(BREATHS) } : {};
    return { kind: 'movement', name, rounds: random.pick([4, 5, 6, 8, 10]), ...sides, ...cue, ...breath, ...caution };
  };
  const welcome: readonly MeantStep[] = random.yes(0.4) ? [{ kind: 'talk', name: 'Welcome', seconds: 60 }] : [];
  const quiet: MeantStep = { kind: 'silence', name: random.pick(['Standing quietly', 'Stand in silence', 'Quiet sitting']), seconds: random.pick([60, 120]) }; // prettier-ignore
  return {
    title: random.pick(['Evening class', 'Harbour flow', 'Tuesday gentle class']),
    parts: [
      { name: random.pick(['Warm-up', 'Loosening', 'Warm up']), steps: [...welcome, movement(), movement()] },
      { name: random.pick(['Main part', 'Main set', 'The form']), steps: [movement(), movement(), movement()] },
      { name: random.pick(['Closing', 'Cool down']), steps: [movement(), quiet] },
    ],
  };
}

function shuffled<Item>(random: Random, items: readonly Item[]): readonly Item[] {
  const mixed = [...items];
  for (let at = mixed.length - 1; at > 0; at--) {
    const other = random.whole(0, at);
    [mixed[at], mixed[other]] = [itemAt(mixed, other), itemAt(mixed, at)];
  }
  return mixed;
}

/** How amounts are written in one class. */
interface Manner {
  readonly often: (rounds: number) => string;
  readonly long: (seconds: number) => string;
  readonly side: string;
}

const OFTEN: readonly Manner['often'][] = [
  (n) => `x${n}`,
  (n) => `${n}x`,
  (n) => `${n} times`,
  (n) => `${n} reps`,
  (n) => `${n} rounds`,
];
const clock = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
const LONG: readonly Manner['long'][] = [
  (s) => (s % 60 === 0 ? `${s / 60} min` : clock(s)),
  (s) => `${s} s`,
  (s) => (s === 60 ? '1 minute' : s % 60 === 0 ? `${s / 60} minutes` : `${s} seconds`),
];
const SIDES = ['each side', 'per side', 'both sides', 'each way'];

function mannerOf(random: Random): Manner {
  return { often: random.pick(OFTEN), long: random.pick(LONG), side: random.pick(SIDES) };
}

function amountOf({ rounds, seconds = 0, sides }: MeantStep, { often, long, side }: Manner): string {
  return rounds === undefined ? long(seconds) : `${often(rounds)}${sides ? ` ${side}` : ''}`;
}

/** How the name of a part is set. */
const HEADS: readonly ((name: string, number: number) => readonly string[])[] = [
  (name) => [name],
  (name) => [name.toUpperCase()],
  (name) => [`## ${name}`],
  (name) => [`**${name}**`],
  (name) => [`${name}:`],
  (name, number) => [`Part ${number}: ${name}`],
  (name) => [name, '-'.repeat(name.length)],
  (name) => [`--- ${name} ---`],
  (name) => [`${name} (5 min)`],
];

interface Place {
  /** Among the steps of its part, and of the class, from 0. */
  readonly inPart: number;
  readonly number: number;
  readonly part: number;
  /** Seconds from the start of the class. */
  readonly from: number;
}

type Layout = (step: MeantStep, amount: string, place: Place, manner: Manner) => readonly string[];

/** Cue, breath and caution, each on a line of its own behind a mark. */
function more({ cue, breath, caution }: MeantStep, mark: string): readonly string[] {
  return [
    ...(breath ? [`${mark}Inhale: ${breath[0]}`, `${mark}Exhale: ${breath[1]}`] : []),
    ...(cue === undefined ? [] : [mark + cue]),
    ...(caution === undefined ? [] : [`${mark}Caution: ${caution}`]),
  ];
}

const under = (head: (step: MeantStep, amount: string, place: Place) => readonly string[], mark: string): Layout => (step, amount, place) => [...head(step, amount, place), ...more(step, mark)]; // prettier-ignore
const withCue = (line: string, { cue }: MeantStep, between: string, end = ''): readonly string[] => [
  cue === undefined ? line : `${line}${between}${cue}${end}`,
];
const labelled = (step: MeantStep, { long }: Manner): readonly string[] => [
  `${step.kind === 'movement' ? 'Exercise' : step.kind === 'silence' ? 'Silence' : 'Talk'}: ${step.name}`,
  step.rounds === undefined ? `Time: ${long(step.seconds ?? 0)}` : `Reps: ${step.rounds}`,
  ...(step.sides ? ['Sides: both'] : []),
];

/** How a step is set; those that begin with an empty line stand apart from each other. */
export const LAYOUTS: Readonly<Record<string, Layout>> = {
  bullets: under(({ name }, amount) => [`- ${name}, ${amount}`], '  - '),
  numbers: under(({ name }, amount, { number }) => [`${number + 1}. ${name} – ${amount}`], '   - '),
  plain: under(({ name }, amount) => [`${name} ${amount}`], '  '),
  'plain, apart': under(({ name }, amount) => ['', `${name}, ${amount}`], ''),
  'a name over dashes': under(({ name }, amount) => ['', name, `- ${amount}`], '- '),
  'a name over lines further in': under(({ name }, amount) => ['', name, `   ${amount}`], '   '),
  'a dash over dashes further in': under(({ name }, amount) => [`- ${name}`, `  - ${amount}`], '  - '),
  'a bold name over stars': under(({ name }, amount) => ['', `**${name}**`, `* ${amount}`], '* '),
  'a number over lines further in': under(({ name }, amount, { number }) => [`${number + 1}. ${name}`, `   ${amount}`], '   '), // prettier-ignore
  'a heading over plain lines': under(({ name }, amount) => ['', `### ${name}`, amount], ''),
  'a name and a colon over lines further in': under(({ name }, amount) => [`${name}:`, `  ${amount}`], '  '),
  'an amount on a line of its own': under(({ name }, amount) => ['', name, amount], ''),
  labels: (step, _, __, manner) => ['', ...labelled(step, manner), ...more(step, '')],
  'a name and how often': ({ name, rounds, sides, seconds = 0 }, _, __, { long }) => ['', name, `How often: ${rounds === undefined ? long(seconds) : `${rounds}${sides ? ' each side' : ''}`}`], // prettier-ignore
  'a name with a colon': (step, amount) => withCue(`${step.name}: ${amount}`, step, '. ', '.'),
  'bold names': (step, amount) => withCue(`- **${step.name}** – ${amount}`, step, '. '),
  'amounts first': under(({ name }, amount) => [`${amount} ${name}`], '  '),
  'amounts first, dashes': (step, amount) => withCue(`${amount} - ${step.name}`, step, ', '),
  'amounts in brackets': (step, amount) => withCue(`${step.name} (${amount})`, step, ' – '),
  'amounts in square brackets': under(({ name }, amount) => [`${name} [${amount}]`], '   '),
  'a cue below': (step, amount) => [
    '',
    `${step.name} – ${amount}`,
    ...(step.cue === undefined ? [] : [`${step.cue}.`]),
    ...(step.breath ? [`Inhale, ${step.breath[0]}. Exhale, ${step.breath[1]}.`] : []),
  ],
  'a cue in quotes': (step, amount) => [`${step.name}, ${amount}`, ...(step.cue === undefined ? [] : [`"${step.cue}"`])], // prettier-ignore
  'a cue behind an arrow': (step, amount) => [`${step.name} — ${amount}`, ...(step.cue === undefined ? [] : [`        → ${step.cue}`])], // prettier-ignore
  'a cue behind its amount': (step, amount) => [`- ${step.name}`, ...withCue(`  ${amount}`, step, ', ')],
  dots: under(({ name }, amount) => [`${name} ..... ${amount}`], '   '),
  strokes: (step, amount) => withCue(`${step.name} / ${amount}`, step, ' / '),
  semicolons: (step, amount) => withCue(`${step.name}; ${amount}`, step, '; '),
  tabs: (step, amount) => withCue(`${step.name}\t${amount}`, step, '\t'),
  letters: under(({ name }, amount, { inPart }) => [`${'abcdef'.charAt(inPart)}) ${name}, ${amount}`], '    '),
  'numbers in numbers': under(({ name }, amount, { part, inPart }) => [`${part + 1}.${inPart + 1} ${name} - ${amount}`], '      - '), // prettier-ignore
  'steps by number': under(({ name }, amount, { number }) => [`Step ${number + 1}: ${name} (${amount})`], '  '),
  'numbers with letters': under(({ name }, amount, { part, inPart }) => [`${part + 1}${'abcdef'.charAt(inPart)}. ${name} – ${amount}`], '    '), // prettier-ignore
  'dashes under numbers': under(({ name, kind }, amount, { number }) => kind === 'silence' ? [`${number + 1}. ${name}, ${amount}`] : [`${number + 1}. ${name}`, `- ${amount}`], '- '), // prettier-ignore
  'arrows below a name': (step, amount) => [step.name, `  -> ${amount}`, ...(step.cue === undefined ? [] : [`  -> ${step.cue}`])], // prettier-ignore
  'double arrows': (step, amount) => withCue(`${step.name} >> ${amount}`, step, ' >> '),
  'names in capitals': (step, amount) => ['', step.name.toUpperCase(), ...withCue(`${amount}.`, step, ' ', '.')],
  'so many of': (step, amount) => withCue(step.kind === 'movement' ? `Do ${amount} of ${step.name.toLowerCase()}.` : `${step.name}, ${amount}.`, step, ' ', '.'), // prettier-ignore
  'rows without a head': ({ name, cue = '' }, amount) => [`| ${name} | ${amount} | ${cue} |`],
  'all in one bracket': ({ name, cue }, amount) => [`- ${name} (${amount}${cue === undefined ? '' : `, ${cue}`})`],
  pictures: under(({ name }, amount) => [`👉 ${name} ${amount}`], '   ▪ '),
  'boxes to tick': under(({ name }, amount) => [`[ ] ${name}: ${amount}`], '    '),
  'a column of times': ({ name }, amount, { from }) => [`${clock(from)} ${name} ${amount}`],
  'from when to when': ({ name, rounds, seconds = 60 }, amount, { from }) => [`${clock(from)}-${clock(from + seconds)} ${name}${rounds === undefined ? '' : `, ${amount}`}`], // prettier-ignore
  sentences: (step, amount) =>
    withCue(
      step.kind === 'movement' ? `Then ${step.name.toLowerCase()}, ${amount}.` : `${step.name}, ${amount}.`,
      step,
      ' ',
      '.',
    ),
};

/** A class as text, in one of the layouts. */
export function written(random: Random, { title, parts }: MeantClass, layout: Layout): string {
  const manner = mannerOf(random);
  const head = random.pick(HEADS);
  const out = [title];
  let number = 0;
  let from = 0;
  parts.forEach(({ name, steps }, part) => {
    out.push('', ...head(name, part + 1));
    steps.forEach((step, inPart) => {
      out.push(...layout(step, amountOf(step, manner), { inPart, number, part, from }, manner));
      number++;
      from += step.seconds ?? 60;
    });
  });
  return out.join('\n');
}
