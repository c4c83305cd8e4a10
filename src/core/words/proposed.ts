/*
 * The English that is written into classes where nobody has written any yet: names, lines and cautions, for an instructor
 * to keep or to change. Common practice, no published source. How English is read stands with each check and reader.
 */

/** What each phase of a new movement says. */
export const PHASE_LINES = { inhale: 'In.', exhale: 'Out.', hold: '', free: '' } as const;

export const ROUND_LINES = {
  last: 'Last one.',
  sideChange: 'And the other side.',
  wayChange: 'And the other way.',
} as const;

/** Names of what is added without one. */
export const NEW_NAMES = {
  class: 'New class',
  movement: 'New movement',
  talk: 'Talk',
  silence: 'Silence',
  transition: 'Change of stance',
  cautionTalk: 'Before we begin',
} as const;

/** Titles of the parts of a class, by what they are for. */
export const SECTION_TITLES = {
  welcome: 'Welcome',
  arrival: 'Arrival',
  loosening: 'Loosening',
  main: 'Main set',
  settling: 'Settling',
  closing: 'Closing',
} as const;

/** What is said to come to a stance, and what that step is called. */
export const STANCE_LINES = {
  'feet-together': { name: 'Feet together', line: 'Step the feet together.' },
  'hip-width': { name: 'Feet apart', line: 'Step the feet as wide as your hips.' },
  wide: { name: 'Feet wide', line: 'Step the feet wide, toes over the same line as the knees.' },
  'left-forward': { name: 'Left foot forward', line: 'Step the left foot forward.' },
  'right-forward': { name: 'Right foot forward', line: 'Step the right foot forward.' },
  'one-leg': { name: 'Onto one leg', line: 'Shift onto one leg, a wall or a chair at hand.' },
  seated: { name: 'Sit down', line: 'Sit down, at the front of the seat, feet flat.' },
  lying: { name: 'Lie down', line: 'Lie down, in your own time.' },
} as const;

/** Words for each caution of a movement. */
export const CAUTION_LINES = {
  'forward-bend': 'A small lean is enough; bend the knees, and stay upright if you have been told not to bend.',
  'head-low': 'With high blood pressure, glaucoma or dizziness stay upright; come up slowly, head last.',
  balance: 'Keep a wall or a chair at hand; the toes may stay down.',
  'deep-squat': 'Knees over the toes; higher is fine, and sore knees stay up.',
  'arms-high': 'Smaller if the shoulders are sore.',
  neck: 'Slow and small, with no forcing of the neck.',
  twist: 'Turn from the waist, and keep the knees over the feet.',
  'breath-held':
    'Stop and breathe naturally if you feel light-headed; not when pregnant, nor with heart or lung trouble or high blood pressure.',
  'reversed-breath': 'For those who have learned it; otherwise breathe naturally.',
  tapping: 'Lightly; not when pregnant or menstruating, nor over a wound, an implant or a recent operation.',
  shaking: 'Gently; not with recent joint surgery.',
  'eyes-closed': 'Keep the eyes open if you are unsteady.',
  'standing-long': 'All of this may be done seated.',
} as const;

/** What is said once in every class. */
export const CLASS_CAUTION_LINES = {
  effort: 'Stay within about seventy per cent of what you could do.',
  pain: 'Nothing should hurt.',
  rest: 'Rest when you like.',
  sit: 'Sit if you like.',
} as const;

/** Written below a class's description. */
export const DESCRIPTION_WORDS = {
  atHand: 'To have at hand',
  chair: 'a chair without arms',
  mat: 'a mat',
  chapters: 'Chapters',
  before: 'Before you begin',
  defers:
    'These are reminders, not advice for you: what your doctor or therapist told you comes first. Leave out what does not suit you today.',
} as const;
