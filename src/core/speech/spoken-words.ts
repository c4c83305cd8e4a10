import { itemAt } from '@/core/units';
const ONES =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = '- - twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const ORDINALS: Readonly<Record<string, string>> = {
  one: 'first',
  two: 'second',
  three: 'third',
  five: 'fifth',
  eight: 'eighth',
  nine: 'ninth',
  twelve: 'twelfth',
};

/** A whole number from 0 to 999 999 in English words; digit by digit beyond that. */
export function cardinal(value: number): string {
  if (value < 20) return itemAt(ONES, value);
  if (value < 100) return TENS[Math.floor(value / 10)] + (value % 10 ? ` ${ONES[value % 10]}` : '');
  if (value < 1000) {
    return `${ONES[Math.floor(value / 100)]} hundred${value % 100 ? ` and ${cardinal(value % 100)}` : ''}`;
  }
  if (value < 1_000_000) {
    const rest = value % 1000;
    const joint = rest > 0 && rest < 100 ? ' and' : '';
    return `${cardinal(Math.floor(value / 1000))} thousand${rest ? `${joint} ${cardinal(rest)}` : ''}`;
  }
  return [...String(value)].map((digit) => ONES[Number(digit)] ?? '').join(' ');
}

/** A whole number as an English ordinal: 21 gives "twenty first". */
export function ordinal(value: number): string {
  const words = cardinal(value).split(' ');
  const last = itemAt(words, words.length - 1);
  words[words.length - 1] = ORDINALS[last] ?? (last.endsWith('y') ? `${last.slice(0, -1)}ieth` : `${last}th`);
  return words.join(' ');
}

const ABBREVIATIONS: readonly (readonly [RegExp, string])[] = [
  [/\be\.g\./gi, 'for example'],
  [/\bi\.e\./gi, 'that is'],
  [/\betc\./gi, 'et cetera'],
  [/\bvs\.?(?=\s)/gi, 'versus'],
  [/\bapprox\./gi, 'approximately'],
  [/\bDr\.?(?=\s)/g, 'doctor'],
  [/\bno\.(?=\s*\d)/gi, 'number'],
  [/(\d)\s*(?:secs?|s)\b\.?/gi, '$1 seconds'],
  [/(\d)\s*mins?\b\.?/gi, '$1 minutes'],
  [/(\d)\s*cm\b/gi, '$1 centimetres'],
  [/\s*%/g, ' per cent'],
  [/\s*&\s*/g, ' and '],
  [/\s*°/g, ' degrees'],
  [/½/g, ' a half'],
];

/**
 * A line as it is said: times (`1:30`), ordinals (`3rd`), decimals, numbers, a small list of abbreviations and signs
 * written out as English words. Punctuation stays.
 */
export function spokenText(text: string): string {
  // One space for many: patterns that look for space around a sign then never look far.
  let said = text.slice(0, 20_000).replace(/\s+/g, ' ');
  for (const [pattern, words] of ABBREVIATIONS) said = said.replace(pattern, words);
  return said
    .replace(/\b(\d{1,2}):([0-5]\d)\b/g, (_, minutes: string, seconds: string) => clockWords(Number(minutes), seconds))
    .replace(/\b(\d{1,6})(?:st|nd|rd|th)\b/gi, (_, digits: string) => ordinal(Number(digits)))
    .replace(/\b(\d{1,6})\.(\d{1,6})\b/g, (_, whole: string, part: string) => {
      return `${cardinal(Number(whole))} point ${[...part].map((digit) => ONES[Number(digit)]).join(' ')}`;
    })
    .replace(/(\d),(?=\d{3}\b)/g, '$1')
    .replace(/(\d)\s*[–-]\s*(?=\d)/g, '$1 to ')
    .replace(/\d+/g, (digits) => cardinal(Number(digits)));
}

function clockWords(minutes: number, seconds: string): string {
  if (seconds === '00') return `${cardinal(minutes)} o'clock`;
  const rest = seconds.startsWith('0') ? `oh ${ONES[Number(seconds[1])]}` : cardinal(Number(seconds));
  return `${cardinal(minutes)} ${rest}`;
}

/** The words of a text, without punctuation; apostrophes stay inside a word. */
export function wordsOf(text: string): string[] {
  return text.match(/[\p{L}\p{M}\p{N}]+(?:['’][\p{L}\p{M}]+)*/gu) ?? [];
}
