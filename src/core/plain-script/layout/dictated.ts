import { itemAt } from '@/core/units';
import { isItem } from '../line-kinds/headings';
import { asSentence, wordCount } from '../model/line-words';
import { clausesOf } from './clauses';
import { asNoted, isPlanned, withoutLead } from './dictated-plan';
import { withApostrophes } from './heard';

/*
 * Classes that were dictated: long lines without stops, broken where the page or the caption was full.
 */

const LINES_AT_LEAST = 6;
/** A line of so many words without a stop is no note. */
const LONG_FROM = 18;
/** Among such lines one of fewer words is dictated too. */
const AMONG_LONG_FROM = 8;
const WORDS_AT_LEAST = 25;
/** Of the words of what was dictated at most so many end a sentence. */
const STOPS_SHARE = 1 / 40;
const COMMAS_SHARE = 1 / 15;
const CAPTION_AT_MOST = 72;
const LINE_AT_MOST = 12_000;
/** Notes have these, and nobody dictates them. */
const NOTED = /[/×=→|()[\]–—“*#&]|\d ?x\b|\bx ?\d|\s-\s|\d:\d/i;
const STOP = /[.!?;:](?=["”')\]]*(?:\s|$))/g;
/** No line of notes ends with these: its sentence goes on. */
const GOES_ON =
  /\b(?:the|an?|to|and|of|your|our|my|is|are|in|on|at|for|with|that|this|we|you|we['’](?:ll|re)|it|as|so|be|going|from|or|but|their|its|back|about|called|feet|each|just|every|then)$/i;
const GOES_ON_SHARE = 0.25;

/** The lines of a plan with the stops of their sentences, where they were dictated. */
export function withStopsTold(lines: readonly string[]): readonly string[] {
  const clauses = clausesIn(lines);
  if (!clauses || !isPlanned(clauses.flat())) return clauses ? inSentences(lines, clauses) : lines;
  const alone = lines.map((line, at) => (itemAt(clauses, at).length === 1 ? withoutLead(line) : line));
  return inSentences(alone, clauses.map((told) => (told.length > 1 ? asNoted(told) : told))); // prettier-ignore
}

/** The lines of what was spoken with the stops of their sentences, where they are long and have none. */
export function withStopsSpoken(lines: readonly string[]): readonly string[] {
  const clauses = clausesIn(lines);
  return clauses ? inSentences(lines, clauses) : lines;
}

/** The clauses of each line that was dictated, none for another; `null` where no line was. */
function clausesIn(lines: readonly string[]): readonly (readonly string[])[] | null {
  if (!lines.some((line) => isDictated(line, LONG_FROM))) return null;
  return lines.map((line) => (isDictated(line, AMONG_LONG_FROM) ? clausesOf(line) : []));
}

function inSentences(lines: readonly string[], clauses: readonly (readonly string[])[]): readonly string[] {
  return lines.map((line, at) => {
    const told = itemAt(clauses, at);
    return told.length < 2 ? line : told.map(withApostrophes).map(asSentence).join(' ');
  });
}

/** Whether a line is so long that it has sentences, and has so few stops that they are not told. */
function isDictated(line: string, wordsFrom: number): boolean {
  if (line.length > LINE_AT_MOST || NOTED.test(line) || isItem(line)) return false;
  const words = wordCount(line.trim());
  if (words < wordsFrom) return false;
  const stops = line.match(STOP)?.length ?? 0;
  return stops <= STOPS_SHARE * words && commas(line) <= COMMAS_SHARE * words;
}

const commas = (text: string): number => text.match(/,/g)?.length ?? 0;

/** The lines of captions as sentences, each in the line it begins in; `null` where these are no captions. */
export function captionsOf(lines: readonly string[]): readonly string[] | null {
  const written = lines.filter((line) => line.trim() !== '');
  if (
    written.length < LINES_AT_LEAST ||
    written.some((line) => line.length > CAPTION_AT_MOST || NOTED.test(line) || isItem(line))
  )
    return null;
  const on = written.filter((line) => GOES_ON.test(line.trim())).length;
  const text = written.map((line) => line.trim()).join(' ');
  const words = wordCount(text);
  if (words < WORDS_AT_LEAST || on < GOES_ON_SHARE * written.length) return null;
  if ((text.match(STOP)?.length ?? 0) > STOPS_SHARE * words || commas(text) > COMMAS_SHARE * words) return null;
  return sentencesWhereTheyBegin(lines, clausesOf(text));
}

/** Sentences that run over many lines, each in the line in which its first word stands. */
function sentencesWhereTheyBegin(lines: readonly string[], clauses: readonly string[]): readonly string[] {
  const out = lines.map((): string[] => []);
  let [at, word] = [0, 0];
  for (const clause of clauses) {
    while (at < lines.length - 1 && word >= wordsIn(itemAt(lines, at))) {
      word -= wordsIn(itemAt(lines, at));
      at++;
    }
    itemAt(out, at).push(asSentence(withApostrophes(clause)));
    word += wordsIn(clause);
  }
  return out.map((told) => told.join(' '));
}

/** A mark by itself is no word. */
const wordsIn = (text: string): number => text.match(/\S*[\p{L}\d]\S*/gu)?.length ?? 0;
