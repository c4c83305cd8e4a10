import type { CheckGroup, FactName, Finding, Fix, Gravity } from '@/core/checks';
import type { Caution, Stance } from '@/core/movement';
import { formatClock, formatDifference } from '@/core/units';
import { CAUTION_WORDS, STANCE_WORDS } from './movement';

/** What a check gives for its own words; which, stands in its file, and a test words every finding. */
type Facts = Readonly<Record<FactName, string | number>>;

export const GRAVITY_WORDS: Readonly<Record<Gravity, string>> = {
  must: 'Must fix',
  should: 'Should fix',
  could: 'Suggestions',
};

export const CHECK_GROUP_WORDS: Readonly<Record<CheckGroup, string>> = {
  time: 'Time',
  count: 'Counts',
  side: 'Sides and view',
  safety: 'Cautions',
  flow: 'Flow',
  words: 'Words',
};

const s = (value: string | number): string => `${Number(value).toFixed(1)} s`;
const quoted = (value: string | number): string => {
  const text = String(value);
  return `“${text.length > 70 ? `${text.slice(0, 68).trimEnd()}…` : text}”`;
};
const PART_WORDS: Readonly<Record<string, string>> = {
  effort: 'stay within about 70\u00a0%',
  pain: 'nothing should hurt',
  rest: 'rest when you like',
  sit: 'sit if you like',
};

interface Words {
  /** What is found, in two to five words. */
  readonly title: string;
  /** Why, in one sentence, with the figure. */
  readonly why: (facts: Facts) => string;
  /** What the fix does, as a verb. */
  readonly fix?: string;
}

/** The wording of every check. */
export const CHECK_WORDS: Readonly<Record<string, Words>> = {
  // time
  'line-too-long': {
    title: 'Line longer than its breath',
    why: (f) => `${quoted(f.text)} is still being said ${s(f.over)} after the next cue is due.`,
    fix: 'Fit the words of this movement',
  },
  'line-late': {
    title: 'Line too late for its motion',
    why: (f) =>
      `${quoted(f.text)} starts ${Number(f.lead) < 0.05 ? 'with its motion' : `only ${s(f.lead)} before its motion`}; your lead is ${s(f.wanted)}. Leave a pause before the line.`,
  },
  'lines-close': {
    title: 'Lines too close',
    why: (f) => `Only ${Number(f.gap).toFixed(2)} s before ${quoted(f.text)}: no room to breathe.`,
  },
  'breath-range': {
    title: 'Breath outside the comfortable range',
    why: (f) => `One breath is ${s(f.breath)}; most move with one of ${f.min} to ${f.max} s.`,
  },
  'rest-long': {
    title: 'Hold too long',
    why: (f) => `A hold of ${s(f.seconds)} is longer than the usual ${f.max} s.`,
    fix: 'Shorten it',
  },
  'rest-opt-out': {
    title: 'Hold without an opt-out',
    why: () => 'The breath is held here, and nobody was told that the hold may be skipped.',
    fix: 'Say it before the movement',
  },
  'off-target': {
    title: 'Off target',
    why: (f) => `The class is ${formatDifference(Math.round(Number(f.off)))} off ${formatClock(Number(f.target))}.`,
    fix: 'Open the fit',
  },
  'teach-long': {
    title: 'Teaching takes long',
    why: (f) => `${formatClock(Number(f.seconds))} of teaching are ${f.percent} % of the movement; a third is plenty.`,
  },
  'talk-share': {
    title: 'Mostly words',
    why: (f) => `${f.percent} % of “${f.section}” is spoken; above ${f.max} % there is hardly any silence in it.`,
  },
  'eyes-silence': {
    title: 'Silence with eyes closed',
    why: (f) =>
      `Nothing is said for ${formatClock(Number(f.seconds))} while eyes are closed; after ${formatClock(Number(f.max))} people wonder whether they are alone.`,
    fix: 'Add reassurance',
  },
  'standing-silent': {
    title: 'Standing long without a word',
    why: (f) =>
      `People stand for ${formatClock(Number(f.seconds))} with nothing said; after ${formatClock(Number(f.max))} they wonder whether they may stop.`,
    fix: 'Add reassurance',
  },
  'closing-short': {
    title: 'Short closing after vigorous work',
    why: (f) => `Only ${formatClock(Number(f.seconds))} follow this; leave a minute to settle.`,
  },
  'pace-jump': {
    title: 'Sudden jump of pace',
    why: (f) => `One breath goes from ${s(f.from)} to ${s(f.to)} from one movement to the next.`,
  },
  // count
  'sides-unequal': {
    title: 'Sides unequal',
    why: (f) => `${f.left} rounds on the left, ${f.right} on the right: both sides get the same.`,
    fix: 'Make them equal',
  },
  'last-unannounced': {
    title: 'Last round not announced',
    why: (f) => `Nothing announces the last of ${f.rounds} rounds.`,
    fix: 'Add “Last one.”',
  },
  'last-twice': {
    title: 'Last round announced twice',
    why: (f) => `“Last” is said ${f.times} times on the last round of one side.`,
    fix: 'Remove the last-round line',
  },
  'last-early': {
    title: '“Last one”, and another follows',
    why: (f) => `${quoted(f.text)} is said on round ${f.round} of ${f.rounds}.`,
  },
  'number-wrong': {
    title: 'A number that disagrees with the plan',
    why: (f) => `${quoted(f.text)} says ${f.said}; the plan has ${f.planned}.`,
    fix: 'Use the plan’s number',
  },
  'odd-rounds': {
    title: 'Odd rounds, changing sides',
    why: (f) => `The words change sides each round, and ${f.rounds} rounds give one side one more than the other.`,
    fix: 'Set alternating sides',
  },
  'rounds-style': {
    title: 'Rounds outside the style',
    why: (f) => `${f.rounds} rounds; this class asks for multiples of ${f.multiple}.`,
    fix: 'Change the rounds',
  },
  // side and view
  'side-wrong': {
    title: 'A side that contradicts the plan',
    why: (f) => `${quoted(f.text)} says ${f.said} while the other side moves.`,
    fix: 'Use the plan’s side',
  },
  'side-mirrored': {
    title: 'A side named in a mirrored block',
    why: (f) => `${quoted(f.text)} says ${f.said}, but the block is repeated on the other side.`,
    fix: 'Use the plan’s side',
  },
  'side-unsaid': {
    title: 'Starting side not said',
    why: (f) => `This begins on the side called “${f.side}”, but no line says so before the first round ends.`,
  },
  'clockwise-view': {
    title: 'Clockwise, as seen from where',
    why: (f) => `${quoted(f.text)}: say once as seen from ${f.seen === 'above' ? 'above' : 'where, as in a mirror'}.`,
  },
  'view-unsaid': {
    title: 'Change of view not said',
    why: (f) => `The camera now sees the ${f.view}, and no line prepares for it.`,
  },
  'watch-eyes-closed': {
    title: 'Something to watch, eyes closed',
    why: (f) => `${quoted(f.text)} is said while eyes are closed.`,
  },
  'eyes-not-opened': {
    title: 'Eyes never opened',
    why: () => 'Eyes are closed here, and no later line asks people to open them.',
    fix: 'Add it to the call back',
  },
  'eyes-balance': {
    title: 'Balance with eyes closed',
    why: (f) => `Eyes are still closed when ${f.name} begins.`,
  },
  // safety
  'caution-missing': {
    title: 'Caution missing',
    why: (f) => `${cautionName(f)}: no line gives the caution. ${cautionSays(f)}`,
    fix: 'Say it before the movement',
  },
  'caution-late': {
    title: 'Caution comes late',
    why: (f) => `The caution for “${cautionName(f).toLowerCase()}” comes after the movement has begun.`,
    fix: 'Say it before the movement',
  },
  'caution-unclear': {
    title: 'Is the caution said?',
    why: (f) =>
      `${cautionName(f)}: it is not clear that the words before the movement give the caution. ${cautionSays(f)}`,
    fix: 'Say it before the movement',
  },
  'caution-untagged': {
    title: 'Caution not marked',
    why: (f) =>
      `The words suggest “${cautionName(f).toLowerCase()}”, but this movement is not marked with that caution.`,
    fix: 'Add the caution',
  },
  'hold-long': {
    title: 'Long still hold without a way out',
    why: (f) => `Held for ${formatClock(Number(f.seconds))}, and no line says that people may come out early.`,
    fix: 'Say it before the movement',
  },
  'no-easier-level': {
    title: 'No easier level first',
    why: () => 'This is demanding, and no easier version is offered before it begins.',
  },
  'no-seated': {
    title: 'No seated option',
    why: (f) =>
      `No line offers a seat.${Number(f.versions) > 0 ? ' A seated version of a movement is written, but not said in the class.' : ''}`,
  },
  'class-caution': {
    title: 'Caution for the whole class',
    why: (f) =>
      `Say once in every class: ${String(f.parts)
        .split(' ')
        .map((part) => PART_WORDS[part] ?? part)
        .join(', ')}.`,
    fix: 'Say it in the first talk',
  },
  'bend-rise': {
    title: 'Coming up too fast',
    why: (f) =>
      `${s(f.seconds)} to come up from a bend; a whole inhale is ${s(Number(f.min) / 0.9)}. Head last, slowly.`,
    fix: 'Give it a whole inhale',
  },
  'head-low': {
    title: 'Head low without its caution',
    why: () => 'The words ask for a low head, but this movement is not marked with that caution.',
    fix: 'Add the caution',
  },
  'breath-forced': {
    title: 'Breath held or forced',
    why: (f) =>
      Number(f.held) > 0
        ? `The breath is held or forced (up to ${s(f.held)}), but this movement is not marked with that caution.`
        : 'The breath is held, forced or fast, but this movement is not marked with that caution.',
    fix: 'Add the caution',
  },
  'balance-support': {
    title: 'Balance without support',
    why: () => 'People stand on one leg, and no wall, chair or toe on the floor is offered.',
    fix: 'Say it before the movement',
  },
  // flow
  'stance-broken': {
    title: 'Stance broken',
    why: (f) => `The class stands ${stance(f.from)}, and this begins ${stance(f.to)}.`,
    fix: 'Add the transition',
  },
  'no-arrival': { title: 'No arrival', why: () => 'The class starts moving before anybody is told how to stand.' },
  'no-closing': { title: 'No closing', why: () => 'The class has no closing section, and nobody says goodbye.' },
  'no-thanks': { title: 'No thanks', why: () => 'Nobody is thanked, and nobody says goodbye.' },
  'never-named': {
    title: 'Never named',
    why: (f) => `No line of this movement says “${f.name}” or any of its other names.`,
    fix: 'Name it as it begins',
  },
  'feet-together': {
    title: 'Feet left apart',
    why: (f) => `The class ends ${stance(f.stance)}.`,
    fix: 'Bring the feet together',
  },
  // words
  'health-promise': {
    title: 'A promise about health',
    why: (f) =>
      `${quoted(f.words)} promises something. Plainer: ${quoted(f.plainer)} Local rules decide what may be claimed.`,
    fix: 'Use plainer words',
  },
  'term-unexplained': {
    title: 'Term not explained',
    why: (f) => `“${f.term}” is first said in ${quoted(f.text)}, without an explanation.`,
  },
  'two-spellings': {
    title: 'Two spellings',
    why: (f) => `Both “${f.one}” and “${f.other}” are used.`,
    fix: 'Use the first everywhere',
  },
  'line-repeated': {
    title: 'Said again and again',
    why: (f) => `${quoted(f.text)} is heard ${f.count} times.`,
  },
  'breath-written': {
    title: 'Breath of another style',
    why: (f) => `${quoted(f.text)} says “${f.written}”; the class is set to “${f.style}”.`,
    fix: 'Use the class’s words',
  },
  filler: { title: 'A filler', why: (f) => `${quoted(f.words)} adds nothing.`, fix: 'Remove it' },
  'sentence-long': {
    title: 'Sentence longer than a breath',
    why: (f) => `${quoted(f.text)} runs for ${s(f.seconds)} with no place to breathe; stay under ${f.max} s.`,
  },
  'reading-level': {
    title: 'Hard to follow by ear',
    why: (f) =>
      `The words read at school grade ${Number(f.grade).toFixed(1)} (Flesch and Kincaid); up to ${f.max} is easy to follow by ear.`,
  },
  'token-unknown': {
    title: 'Unknown placeholder',
    why: (f) => `{${f.token}} is not a known placeholder, and would be read out as it is.`,
  },
  'token-empty': {
    title: 'Empty placeholder',
    why: (f) => `{${f.token}} has no value in ${quoted(f.text)}.`,
  },
};

function cautionName({ caution }: Facts): string {
  const { name } = CAUTION_WORDS[caution as Caution];
  return name.slice(0, 1).toUpperCase() + name.slice(1);
}

function cautionSays({ caution }: Facts): string {
  return `Usual: ${CAUTION_WORDS[caution as Caution].says}`;
}

function stance(value: string | number): string {
  return STANCE_WORDS[value as Stance];
}

/** What a finding is and why, in words. */
export function findingWords({ check, facts }: Pick<Finding, 'check' | 'facts'>): { title: string; why: string } {
  const words = CHECK_WORDS[check];
  return words ? { title: words.title, why: words.why(facts as Facts) } : { title: check, why: '' };
}

/** What its fix would do; `null` where there is none. */
export function fixWords(check: string, fix: Fix | null): string | null {
  return fix ? (CHECK_WORDS[check]?.fix ?? 'Fix it') : null;
}
