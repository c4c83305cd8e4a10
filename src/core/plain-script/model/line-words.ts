import { LIMITS } from '@/core/plan';

/** The name of a step or a section; never empty. */
export function name(words: string): string {
  return cut(words.replace(/[\u0000-\u001F]/g, ' ').trim(), LIMITS.titleCharacters) || 'Step';
}

/** At most so many characters. */
export function cut(text: string, max: number): string {
  return [...text].slice(0, max).join('');
}

/** How something is done again, in a regular expression. */
export const IN_ANOTHER_WAY =
  '(?:a (?:bit|little) )?(?:slower|slowly|softer|softly|smaller|quicker|quickly|faster|bigger|lower)|without (?:words|talking|cues|me)|in silence|silently|(?:with )?eyes (?:closed|shut)';

/** How far in a line stands. */
export function indentOf(line: string): number {
  return line.search(/\S|$/);
}

/** How many words a text has, as its blanks part it; one where it is empty. */
export function wordCount(text: string): number {
  let count = 1;
  let blank = false;
  for (let at = 0; at < text.length; at++) {
    const next = isBlank(text.charCodeAt(at));
    if (next && !blank) count++;
    blank = next;
  }
  return count;
}

/** The characters that `\s` stands for. */
function isBlank(code: number): boolean {
  if (code < 128) return code === 32 || (code >= 9 && code <= 13);
  return /\s/.test(String.fromCharCode(code));
}

/** With one blank for several, and for a tab. */
export function singleSpaced(text: string): string {
  return text.replace(/\s{2,}|[^\S ]/g, ' ');
}

/** What stands in quotation marks, where nothing else does. */
export function unquoted(text: string): string {
  return /^["“]([^"“”]{2,})["”][.!]?$/.exec(text)?.[1] ?? text;
}

/** What was cut out of a sentence or a list, as a name. */
export function capitalised(name: string): string {
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** With a capital at its start; capitals alone become small letters. */
export function sentenceCase(text: string): string {
  const small = text === text.toUpperCase() ? text.toLowerCase() : text;
  return small.charAt(0).toUpperCase() + small.slice(1);
}

/** With a capital at its start and a stop at its end, as a line is said. */
export function asSentence(words: string): string {
  const text = words.trim();
  if (text === '') return '';
  const started = text.charAt(0).toUpperCase() + text.slice(1);
  return /[.!?…]$/.test(started) ? started : `${started}.`;
}

/** Two texts as one, said one behind the other; either may be empty. */
export function joined(first: string, second: string): string {
  return [first, second].filter((one) => one !== '').join(' ');
}
