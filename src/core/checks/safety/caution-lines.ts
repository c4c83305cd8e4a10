import type { Caution } from '@/core/movement';

/** How a caution is known in what is said, and words for it that can be said (common practice, no published source). */
export const CAUTION_LINES: Readonly<Record<Caution, { readonly known: RegExp; readonly line: string }>> = {
  'forward-bend': {
    known:
      /\bsmall lean\b|\bnot to bend\b|\bbend forward\b|\bsore (?:lower )?back\b|\bosteo|\bhinge\b|\bbend the knees\b|\bknees bent\b/,
    line: 'A small lean is enough; bend the knees, and stay upright if you have been told not to bend.',
  },
  'head-low': {
    known:
      /\bblood pressure\b|\bglaucoma\b|\bdizz|\bhead feels? light\b|\blight-?headed\b|\bhead last\b|\bstay upright\b/,
    line: 'With high blood pressure, glaucoma or dizziness stay upright; come up slowly, head last.',
  },
  balance: { known: /./, line: 'Keep a wall or a chair at hand; the toes may stay down.' },
  'deep-squat': {
    known: /\bknees?\b.*\b(?:over|toes|sore|high|higher|easy)\b|\bhigher is fine\b|\bas low as\b|\bstay (?:up|high)\b/,
    line: 'Knees over the toes; higher is fine, and sore knees stay up.',
  },
  'arms-high': {
    known: /\bshoulders?\b|\bsmaller\b|\blower if\b/,
    line: 'Smaller if the shoulders are sore.',
  },
  neck: {
    known: /\bslow(?:ly)?\b.*\bneck\b|\bneck\b.*\b(?:slow|sore|small|easy|gentle|force)|\bforc(?:e|ing)\b|\bsmall\b/,
    line: 'Slow and small, with no forcing of the neck.',
  },
  twist: {
    known: /\bknees?\b.*\b(?:over|feet|forward|still)\b|\bfrom the waist\b/,
    line: 'Turn from the waist, and keep the knees over the feet.',
  },
  'breath-held': {
    known: /\bbreathe (?:naturally|normally|as you like)\b|\blight-?headed\b|\bpregnan|\bdo not hold\b|\bdon.t hold\b/,
    line: 'Stop and breathe naturally if you feel light-headed; not when pregnant, nor with heart or lung trouble or high blood pressure.',
  },
  'reversed-breath': {
    known: /\bnatural(?:ly)?\b|\blearn(?:ed|t)\b|\bonly if you know\b/,
    line: 'For those who have learned it; otherwise breathe naturally.',
  },
  tapping: {
    known: /\blight(?:ly)?\b|\bgentl[ey]\b|\bpregnan|\bnot over\b/,
    line: 'Lightly; not when pregnant or menstruating, nor over a wound, an implant or a recent operation.',
  },
  shaking: {
    known: /\bgentl[ey]\b|\bsoft(?:ly)?\b|\bjoint\b|\bsmall\b/,
    line: 'Gently; not with recent joint surgery.',
  },
  'eyes-closed': {
    known: /\beyes (?:may )?(?:stay|be) open\b|\bif you are steady\b|\bkeep (?:your|the) eyes open\b|\bopen if\b/,
    line: 'Keep the eyes open if you are unsteady.',
  },
  'standing-long': { known: /\bsit\b|\bseated\b|\bchair\b|\bstool\b/, line: 'All of this may be done seated.' },
};
