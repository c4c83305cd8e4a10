import type { Caution } from '@/core/movement';

/** How a caution is known in what is said (common practice, no published source). */
export const CAUTION_KNOWN: Readonly<Record<Caution, RegExp>> = {
  'forward-bend':
    /\bsmall lean\b|\bnot to bend\b|\bbend forward\b|\bsore (?:lower )?back\b|\bosteo|\bhinge\b|\bbend the knees\b|\bknees bent\b/,
  'head-low':
    /\bblood pressure\b|\bglaucoma\b|\bdizz|\bhead feels? light\b|\blight-?headed\b|\bhead last\b|\bstay upright\b/,
  balance: /./,
  'deep-squat':
    /\bknees?\b.*\b(?:over|toes|sore|high|higher|easy)\b|\bhigher is fine\b|\bas low as\b|\bstay (?:up|high)\b/,
  'arms-high': /\bshoulders?\b|\bsmaller\b|\blower if\b/,
  neck: /\bslow(?:ly)?\b.*\bneck\b|\bneck\b.*\b(?:slow|sore|small|easy|gentle|force)|\bforc(?:e|ing)\b|\bsmall\b/,
  twist: /\bknees?\b.*\b(?:over|feet|forward|still)\b|\bfrom the waist\b/,
  'breath-held':
    /\bbreathe (?:naturally|normally|as you like)\b|\blight-?headed\b|\bpregnan|\bdo not hold\b|\bdon.t hold\b/,
  'reversed-breath': /\bnatural(?:ly)?\b|\blearn(?:ed|t)\b|\bonly if you know\b/,
  tapping: /\blight(?:ly)?\b|\bgentl[ey]\b|\bpregnan|\bnot over\b/,
  shaking: /\bgentl[ey]\b|\bsoft(?:ly)?\b|\bjoint\b|\bsmall\b/,
  'eyes-closed': /\beyes (?:may )?(?:stay|be) open\b|\bif you are steady\b|\bkeep (?:your|the) eyes open\b|\bopen if\b/,
  'standing-long': /\bsit\b|\bseated\b|\bchair\b|\bstool\b/,
};
