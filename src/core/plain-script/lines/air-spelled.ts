/*
 * The ways of a breath by the air that moves, in the usual words for them: "Air in, arms up", "Drawing in the breath, open",
 * "An exhale lowers the arms".
 */

/** A longer line is spoken: "As the breath comes in, let the arms open to the sides, no higher than the ribs." */
const LONGEST = 50;
const LEAD = '^(?:(?:and|now|then|next|so)[,:]? )*';
const OWN = '(?:the |an? |your |some )?';
/** Not "breath in the belly". */
const TELLS = ',? (?:and |then )?(?!(?:the|your|my|an?)\\b)(?=\\p{L})';

function ways(way: 'in' | 'out', moved: string, does: string): readonly (readonly [RegExp, string])[] {
  const air = `${OWN}(?:air|breath)`;
  const told = way === 'in' ? 'inhale' : 'exhale';
  const flows = `(?:as |when |while |with |on )?${air} (?:comes |goes |flows |streams |moves )?${way}`;
  const isMoved = `${moved} (?:${way} ${air}|${air} ${way})`;
  const acts = `(?:an? |the |each )?(?:${told}|${way}[- ]?breath) (?=(?:${does})\\b)`;
  return [
    [new RegExp(`${LEAD}(?:${flows}|${isMoved})${TELLS}`, 'iu'), `breathe ${way}, `],
    [new RegExp(LEAD + acts, 'iu'), `the ${told} `],
  ];
}

const WAYS = [
  ...ways('in', '(?:tak|draw)(?:e|ing)?', 'lifts|opens|raises|widens|fills|carries|brings|floats'),
  ...ways(
    'out',
    '(?:let|letting|releas(?:e|ing)|send(?:ing)?)',
    'lowers|closes|drops|softens|empties|carries|brings|sinks|lets',
  ),
];

/** "Breathe in as they rise." */
const LED_ON = /,(?= (?:as|when|while|to|until|with|through)\b)/iu;

/** A text with the air that moves in the usual words for a breath; others as they are. */
export function withAirSpelled(text: string): string {
  if (text.length > LONGEST || !/\b(?:air|breath|inhale|exhale)\b/i.test(text)) return text;
  // "The breath goes in as you rise and out as you sink." is spoken.
  if (/[.!?] \S/.test(text) || (/\bin\b/i.test(text) && /\bout\b/i.test(text))) return text;
  for (const [way, spelled] of WAYS) if (way.test(text)) return text.replace(way, spelled).replace(LED_ON, '');
  return text;
}
