import { LONG_REST, SLOW_BREATHING, type PatternNote, type PhaseKind, type PresetId } from '@/core/breath';
import type { FadePreset } from '@/core/script';
import type { Intro } from '@/core/plan';
import type {
  Caution,
  DuringPlace,
  DuringSide,
  Form,
  Pacing,
  MovementContent,
  Priority,
  SectionRole,
  Shortened,
  SidePlan,
  Stance,
} from '@/core/movement';

/** Words for the values that a movement can take. */

/** The parts of a breath. */
export const PHASE_WORDS: Readonly<Record<PhaseKind, string>> = {
  inhale: 'inhale',
  exhale: 'exhale',
  hold: 'hold',
  free: 'own breath',
};

export const STANCE_WORDS: Readonly<Record<Stance, string>> = {
  'feet-together': 'feet together',
  'hip-width': 'hip width',
  wide: 'wide',
  'left-forward': 'left foot forward',
  'right-forward': 'right foot forward',
  'one-leg': 'one leg',
  seated: 'seated',
  lying: 'lying',
};

export const SIDE_PLAN_WORDS: Readonly<Record<SidePlan, string>> = {
  together: 'both together',
  alternating: 'alternating',
  'one-then-other': 'one side, then the other',
  'both-directions': 'both directions',
  'turn-by-turn': 'alternating, each turn counted',
  'both-directions-each-side': 'both directions on each side',
  'one-side': 'one side only',
};

export const PACING_WORDS: Readonly<Record<Pacing, string>> = {
  breath: 'breath (rounds)',
  clock: 'clock (a time)',
  'own-pace': 'own pace',
  'breath-then-own-pace': 'rounds, then own pace',
  held: 'a hold (a time)',
};

export const PRIORITY_WORDS: Readonly<Record<Priority, string>> = {
  always: 'always kept',
  high: 'skipped last',
  middle: 'skipped next',
  low: 'skipped first',
};

export const ROLE_WORDS: Readonly<Record<SectionRole, string>> = {
  welcome: 'welcome',
  arrival: 'arrival',
  loosening: 'loosening',
  main: 'main set',
  settling: 'settling',
  closing: 'closing',
};

/** The table of cautions: what is in the movement, and the usual words. They remind, and defer to licensed care. */
export const CAUTION_WORDS: Readonly<Record<Caution, { readonly name: string; readonly says: string }>> = {
  'forward-bend': {
    name: 'forward bend',
    says: 'Not for those told to avoid it with osteoporosis or osteopenia; easy with a sore lower back; hinge at the hips, knees bent; a small lean is enough.',
  },
  'head-low': {
    name: 'head below the waist',
    says: 'Not with high blood pressure, glaucoma or dizziness; come up slowly, head last.',
  },
  balance: { name: 'balance on one leg', says: 'A wall or a chair at hand; toes may stay down; eyes open.' },
  'deep-squat': {
    name: 'deep squat or wide stance',
    says: 'Knees over the toes, higher is fine; sore knees stay up.',
  },
  'arms-high': {
    name: 'arms overhead or behind',
    says: 'Smaller if the shoulders hurt; not so far back that the chest tightens.',
  },
  neck: {
    name: 'neck circles or tilts',
    says: 'Slow, small, no forcing; the forward half only if the neck is sore.',
  },
  twist: { name: 'twist', says: 'Turn from the waist, knees stay over the feet.' },
  'breath-held': {
    name: 'breath held, forced or fast',
    says: 'Stop and breathe naturally if light-headed; not when pregnant, nor with heart or lung trouble or high blood pressure.',
  },
  'reversed-breath': { name: 'reversed breathing', says: 'For those who have learned it; otherwise natural.' },
  tapping: {
    name: 'tapping the belly or lower back',
    says: 'Light; not when pregnant or menstruating, nor over a wound, implant or recent operation.',
  },
  shaking: {
    name: 'shaking, bouncing, heels dropped',
    says: 'Gently; not with recent joint surgery; seated version.',
  },
  'eyes-closed': { name: 'eyes closed', says: 'They stay open if unsteady.' },
  'standing-long': { name: 'standing long', says: 'Anything may be done seated.' },
};

export const PRESET_WORDS: Readonly<Record<PresetId, string>> = {
  'one-breath': 'One breath, as in the class',
  even: 'Even',
  'longer-out': 'Longer exhale',
  'four-six': 'Inhale 4 s, exhale 6 s',
  'hold-after-inhale': 'Hold after the inhale',
  'slow-in-quick-out': 'Slow inhale, quick exhale',
  'quick-in-slow-out': 'Quick inhale, slow exhale',
  'four-breaths': 'Four breaths, a long exhale in the middle',
  'natural-belly': 'Natural belly',
  'reversed-belly': 'Reversed belly',
  'own-breath': 'Natural breath, 6 s a round',
};

/** A remark on a breath pattern, with where its threshold comes from. */
export function patternNoteWords(note: PatternNote): string {
  if (note.code === 'long-rest') {
    return `The hold in phase ${note.index + 1} lasts ${note.seconds.toFixed(1)} s. Holds are usually no longer than ${LONG_REST} s (common practice, no published source); leave everyone free to breathe on.`;
  }
  const per = `${note.perMinute.toFixed(1)} breaths a minute`;
  const range = `${SLOW_BREATHING.min} to ${SLOW_BREATHING.max} a minute (Russo, Santarelli and O’Rourke 2017, Breathe 13:298–309)`;
  if (note.code === 'slower-than-slow')
    return `${per} is below what is called slow breathing, ${range}. Offer an extra breath in the middle.`;
  if (note.code === 'quicker-than-slow') return `${per} is above what is called slow breathing, ${range}.`;
  return `${per} is above an adult’s resting breath, 12 to 20 a minute (Royal College of Physicians, NEWS2, 2017). Stop and breathe naturally if light-headed.`;
}

/** Where a line is said while a movement runs; a number follows. */
export const DURING_PLACE_WORDS: Readonly<Record<DuringPlace, string>> = {
  anywhere: 'where there is room',
  round: 'on round',
  every: 'every',
  last: 'when there are left',
  time: 'at',
};

export const DURING_UNITS: Readonly<Record<Exclude<DuringPlace, 'anywhere'>, string>> = {
  round: '',
  every: 'rounds',
  last: 'rounds',
  time: 's',
};

export const DURING_SIDE_WORDS: Readonly<Record<DuringSide, string>> = {
  each: 'each side',
  first: 'first side',
  second: 'second side',
};

/** What each field of a movement is called. */
export const FIELD_WORDS: Readonly<Record<keyof MovementContent, string>> = {
  name: 'name',
  traditionalName: 'traditional name',
  otherNames: 'other names',
  stanceStart: 'stance at the start',
  stanceEnd: 'stance at the end',
  sides: 'sides',
  startSide: 'side it starts on',
  pattern: 'breath pattern and its lines',
  pacedBy: 'paced by',
  preferredRounds: 'preferred rounds',
  minRounds: 'minimum rounds',
  maxRounds: 'maximum rounds',
  multiple: 'multiple of rounds',
  preferredSeconds: 'preferred time',
  minSeconds: 'minimum time',
  maxSeconds: 'maximum time',
  paceMultiplier: 'breath, × the class’s',
  inhaleShare: 'inhale share',
  teach: 'what is taught first',
  during: 'what is said during the rounds',
  fade: 'which form is said on each round',
  fadePins: 'locked forms',
  moments: 'what is said around it',
  shorts: 'shorter wordings',
  counting: 'counting',
  breathWay: 'nose or mouth',
  belly: 'belly',
  outBreath: 'breath out',
  lastRoundLine: 'last-round line',
  sideChangeLine: 'change-of-side line',
  wayChangeLine: 'change-of-direction line',
  callBackLeadSeconds: 'call back before the end',
  sideChangeSeconds: 'length of the change',
  levels: 'levels',
  cautions: 'cautions',
  seated: 'seated version',
  priority: 'priority for short lengths',
};

/** The forms of a line. */
export const FORM_WORDS: Readonly<Record<Form, string>> = {
  full: 'full',
  short: 'short',
  breath: 'breath only',
  silent: 'silent',
};

/** The usual fades. */
export const FADE_WORDS: Readonly<Record<FadePreset['id'], string>> = {
  'thin-out': 'full, then thinning out',
  full: 'full throughout',
  'breath-only': 'breath words only',
  'count-only': 'the count only',
  'silent-after-two': 'silent after two',
};

/** Lines that have a shorter wording beside the full one. */
export const SHORTENED_WORDS: Readonly<Record<Shortened, string>> = {
  naming: 'Naming line',
  caution: 'A caution',
  sending: 'Starting their own pace',
  roundsLeft: 'Two rounds left',
  lastRound: 'The last round',
  sideChange: 'The change of side',
  leaving: 'Ending line',
};

/** How much is said before and after the rounds. */
export const INTRO_WORDS: Readonly<Record<Intro, string>> = {
  full: 'everything',
  short: 'the short wordings, nothing taught',
  silent: 'the caution alone',
};
