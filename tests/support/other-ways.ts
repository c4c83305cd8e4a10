import { NUMBER_WORDS } from '../../src/core/plain-script/tokens/tokens';
import type { HandLine } from './hands';

/*
 * The same script set, typed or pasted in another way: what it means stays as it is. Each takes the lines of a hand and
 * gives them again, or with empty lines among them.
 */

type Way = (lines: readonly HandLine[]) => readonly HandLine[];

const inEach =
  (change: (text: string) => string): Way =>
  (lines) =>
    lines.map((line) => (line.text.trim() === '' ? line : { ...line, text: change(line.text) }));

const named = (line: HandLine, change: (text: string) => string): HandLine => ({
  text: change(line.text),
  meanings: line.meanings.map((one) => ({ ...one, name: one.name === null ? null : change(one.name) })),
});

/** An amount behind a comma at the end of a line; one that stands alone, and is no end of a range. */
const APART_AMOUNT = /(?<!\d), (\d+ (?:times|rounds|breaths|minutes|min|seconds|secs))$/;
const ONE_AMOUNT =
  /(?<=^[^\d]*)(?<!(?:to|or|half|than|most|least|about|around|ca\.|circa|roughly|approx\.?|maybe|say|[~(–-]) ?)\b(\d+ (?:minutes|min|seconds|secs?|times|breaths|rounds)\b)/;

/** A time that a line begins with. */
const CLOCK = /^(\d{1,2})[:.](\d{2}) +(?=\p{L})/u;

const WORDS = new Map([...NUMBER_WORDS].flatMap(([word, value]) => (value <= 12 ? [[value, word] as const] : [])));

/** "4 times" as "four times", where nothing is joined to the number. */
function inWords(text: string): string {
  return text.replace(
    /(?<![\d.:/,'+–-])\b(\d{1,2})\b(?! ?[\d.:/,'"%°+½¼¾–-]|[.)])(?= (?:times|rounds|breaths|each|minutes|mins?|seconds|secs?|circles)\b)/g,
    (figures) => WORDS.get(Number(figures)) ?? figures,
  );
}

/** How a script is set or pasted, and with which signs. */
export const OTHER_WAYS: Readonly<Record<string, Way>> = {
  'in capitals': inEach((text) => text.toUpperCase()),
  'in small letters': inEach((text) => text.toLowerCase()),
  'further in': inEach((text) => `    ${text}`),
  'behind a tab': inEach((text) => `\t${text}`),
  'with blanks behind': inEach((text) => `${text}   `),
  'with two blanks between words': inEach((text) => text.replace(/(\p{L}) (?=\p{L})/gu, '$1  ')),
  'with blanks that do not break': inEach((text) => text.replace(/(\d) (?=\p{L})/gu, '$1\u00A0')),
  'as an answer quotes it': inEach((text) => `> ${text}`),
  'with an empty line between all': (lines) => lines.flatMap((line) => [line, { text: '', meanings: [] }]),
  'with a stop behind each line': inEach((text) => (/[\p{L}\d)]$/u.test(text) ? `${text}.` : text)),
  'with long dashes': inEach((text) => text.replace(/ [-–] /g, ' — ')),
  'with long dashes and no blanks': inEach((text) => text.replace(/ [-–—] /g, '—')),
  'with short dashes': inEach((text) => text.replace(/ [–—] /g, ' - ')),
  'with no blank behind a list mark': inEach((text) => text.replace(/^(\s*)[-•] (?=\p{L})/u, '$1-')),
  'with no blank behind a number': inEach((text) => text.replace(/^(\s*\d{1,2}[.)]) (?=\p{L})/u, '$1')),
  'with a tab behind each list mark': inEach((text) => text.replace(/^(\s*(?:[-*•–]|\d{1,2}[.)])) (?=\S)/, '$1\t')),
  'as a word processor copies a list': inEach((text) => text.replace(/^(\s*)[-*•] (?=\S)/, (_, indent: string) => (indent === '' ? '·\t' : `${indent}o\t`))),
  'with characters that show nothing': inEach((text) => `\u200B${text}`),
  'with another hyphen': inEach((text) => text.replace(/(\d)-(\d)/g, '$1\u2011$2')),
  'with the amount behind =': inEach((text) => text.replace(APART_AMOUNT, ' = $1')),
  'with the amount behind an arrow': inEach((text) => text.replace(APART_AMOUNT, ' -> $1')),
  'with the amount behind dots': inEach((text) => text.replace(APART_AMOUNT, ' ..... $1')),
  'with the amount in brackets': inEach((text) => text.replace(APART_AMOUNT, ' ($1)')),
  'about so much': inEach((text) => text.replace(ONE_AMOUNT, 'about $1')),
  'approx. so much': inEach((text) => text.replace(ONE_AMOUNT, 'approx. $1')),
  '~ so much': inEach((text) => text.replace(ONE_AMOUNT, '~$1')),
  'with times behind a dot': inEach((text) => text.replace(CLOCK, '$1.$2 ')),
  'with times behind an h': inEach((text) => text.replace(CLOCK, '$1h$2 ')),
  'with times before a dash': inEach((text) => text.replace(CLOCK, '$1:$2 – ')),
  'with times before a colon': inEach((text) => text.replace(CLOCK, '$1:$2: ')),
  'with times before a tab': inEach((text) => text.replace(CLOCK, '$1:$2\t')),
  'with times in a column': inEach((text) => text.replace(CLOCK, '$1:$2 | ')),
  'with times in brackets': inEach((text) => text.replace(CLOCK, '[$1:$2] ')),
  'with times in the morning': inEach((text) => text.replace(CLOCK, '$1:$2 am ')),
  'with times behind a list mark': inEach((text) => text.replace(CLOCK, '• $1:$2 ')),
  'with stars for list marks': inEach((text) => text.replace(/^(\s*)[-•] /, '$1* ')),
  'with dots for list marks': inEach((text) => text.replace(/^(\s*)[-*] /, '$1• ')),
  'in square brackets': inEach((text) => text.replace(/\(([^()]*)\)/g, '[$1]')),
  'with the start set off': inEach((text) => text.replace(/^(\s*(?:[-*•] )?)(\p{Lu}[^,:(–—-]*\p{Ll})/u, '$1**$2**')),
  'with round quotation marks': (lines) => lines.map((line) => named(line, (text) => text.replace(/'/g, '’').replace(/"([^"]*)"/g, '“$1”'))),
  'with & for and': (lines) => lines.map((line) => named(line, (text) => text.replace(/ and /g, ' & '))),
  'with and for &': (lines) => lines.map((line) => named(line, (text) => text.replace(/ & /g, ' and '))),
  'numbers in words': inEach(inWords),
  'minutes written out': inEach((text) => text.replace(/\b(\d+) mins?\b\.?/gi, '$1 minutes')),
  'minutes cut short': inEach((text) => text.replace(/\b(\d+) minutes\b/gi, '$1 mins')),
  'seconds written out': inEach((text) => text.replace(/\b(\d+) ?(?:s|secs?)\b\.?/g, '$1 seconds')),
  'seconds cut short': inEach((text) => text.replace(/\b(\d+) seconds\b/gi, '$1 sec')),
  'times as ×': inEach((text) => text.replace(/(?<!(?:to|or|until|[–-]) ?)\b(\d+) times\b/gi, '×$1')),
  'times as reps': inEach((text) => text.replace(/\b(\d+) times\b/gi, '$1 reps')),
  'each side as per side': inEach((text) => text.replace(/\beach side\b/gi, 'per side')),
  'each side as on both sides': inEach((text) => text.replace(/\beach side\b/gi, 'on both sides')),
  'each way as in both directions': inEach((text) => text.replace(/\beach way\b/gi, 'in both directions')),
}; // prettier-ignore

/** What people add to a step, before or behind it: it stays the same step. */
export const ADDED: Readonly<Record<string, (text: string) => string>> = {
  'a tick': (text) => `✓ ${text}`,
  'a time of day': (text) => `10:15 ${text}`,
  'a number': (text) => `3. ${text}`,
  'a number behind #': (text) => `#3 ${text}`,
  'a dash': (text) => `- ${text}`,
  'that it is optional': (text) => `(optional) ${text}`,
  'that it comes next': (text) => `Next: ${text}`,
  'that one starts with it': (text) => `Start with ${text}`,
  'a small picture': (text) => `${text} 🙂`,
  'a question': (text) => `${text}?`,
  'three dots': (text) => `${text}...`,
  'as usual': (text) => `${text}, as usual`,
  'how it is done': (text) => `${text}, nice and slow`,
  'where the eyes are': (text) => `${text}, eyes soft`,
  'that it is new': (text) => `${text} (new)`,
  'a page': (text) => `${text} (see page 4)`,
  'a clip': (text) => `${text} [video 2]`,
  'a remark behind an arrow': (text) => `${text} -> rest`,
  'a remark behind strokes': (text) => `${text} // new`,
  'a remark behind NB': (text) => `${text} NB knees`,
  'a remark behind a dash': (text) => `${text} - relax the shoulders`,
  'a remark behind a semicolon': (text) => `${text}; shoulders down`,
};
