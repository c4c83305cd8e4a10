import { itemAt, type Seconds } from '@/core/units';
import type { SpeechStretch } from '../model';
import type { HeardWord } from './words';

/*
 * Which words of a machine's captions were said in which stretch of speech. Captions say what, and only about when; the
 * stretches say when, and not what. Words are shared out in order, so that each lies by its time, and no stretch holds
 * more or less than it has time for.
 */

/** A word further from a stretch than this was not said in it. */
const REACH: Seconds = 2;
/** What it costs to say that a word was said nowhere: a machine invents words in silence. */
const INVENTED = 1.5;
/** A stretch without a word costs as much, and each second that words are too long or too short for it. */
const WORDLESS = 0.6;
const SECOND_OFF = 0.8;
const LETTERS_A_SECOND = { min: 6, max: 22, usual: 13 };
/** No stretch holds more words. */
const WORDS_AT_MOST = 60;

/** Instead of where a stretch's words begin: it has none, or the last of them so far was said nowhere. */
const NO_WORD = -1;
const SAID_NOWHERE = -2;

/** For each stretch the places `[from, to)` of its words; `invented` of them lie in none. */
export interface WordsInSpeech {
  readonly ranges: readonly (readonly [number, number])[];
  readonly invented: number;
}

/** Shares heard words, in order of time, out to stretches in order of time. */
export function wordsInSpeech(heard: readonly HeardWord[], speech: readonly SpeechStretch[]): WordsInSpeech {
  const rate = lettersASecond(heard);
  const letters = new Float64Array(heard.length + 1);
  heard.forEach(({ word }, at) => (letters[at + 1] = (letters[at] ?? 0) + word.length + 1));
  const lasts = (from: number, to: number): Seconds => ((letters[to] ?? 0) - (letters[from] ?? 0)) / rate;
  // best[k]: the least cost with the first k words said or invented, and the stretches so far filled.
  let best = Float64Array.from({ length: heard.length + 1 }, (_, words) => INVENTED * words);
  const begins: Int32Array[] = [];
  const firsts: number[] = [];
  let low = 0;
  for (const stretch of speech) {
    while (low < heard.length && itemAt(heard, low).endSeconds < stretch.startSeconds - REACH) low++;
    let high = low;
    while (high < heard.length && itemAt(heard, high).startSeconds < stretch.endSeconds + REACH) high++;
    const next = best.map((cost) => cost + WORDLESS * stretch.likely);
    const begin = new Int32Array(high - low + 1).fill(NO_WORD);
    const away = heard.slice(low, high).map((word) => apart(word, stretch));
    const length = stretch.endSeconds - stretch.startSeconds;
    for (let from = low; from < high; from++) {
      let cost = best[from] ?? 0;
      for (let to = from + 1; to <= Math.min(high, from + WORDS_AT_MOST); to++) {
        cost += away[to - 1 - low] ?? 0;
        const total = cost + SECOND_OFF * Math.abs(lasts(from, to) - length);
        if (total < (next[to] ?? 0)) {
          next[to] = total;
          begin[to - low] = from;
        }
      }
    }
    // Words said nowhere follow those that were.
    for (let words = low + 1; words < next.length; words++) {
      if ((next[words - 1] ?? 0) + INVENTED >= (next[words] ?? 0)) continue;
      next[words] = (next[words - 1] ?? 0) + INVENTED;
      if (words <= high) begin[words - low] = SAID_NOWHERE;
    }
    begins.push(begin);
    firsts.push(low);
    best = next;
  }
  return walkBack(heard.length, begins, firsts);
}

/** Ranges from the last stretch to the first. */
function walkBack(words: number, begins: readonly Int32Array[], firsts: readonly number[]): WordsInSpeech {
  const ranges: (readonly [number, number])[] = [];
  let left = words;
  let invented = 0;
  for (let at = begins.length - 1; at >= 0; at--) {
    const last = (firsts[at] ?? 0) + itemAt(begins, at).length - 1;
    // Beyond what this stretch could hold, and marked so: said nowhere.
    while (left > last || (left > (firsts[at] ?? 0) && itemAt(begins, at)[left - (firsts[at] ?? 0)] === SAID_NOWHERE)) {
      left--;
      invented++;
    }
    const from = left >= (firsts[at] ?? 0) ? (itemAt(begins, at)[left - (firsts[at] ?? 0)] ?? 0) : NO_WORD;
    ranges.push(from >= 0 ? [from, left] : [left, left]);
    if (from >= 0) left = from;
  }
  return { ranges: ranges.reverse(), invented: invented + left };
}

function apart({ startSeconds, endSeconds }: HeardWord, stretch: SpeechStretch): Seconds {
  const middle = (startSeconds + endSeconds) / 2;
  return Math.max(0, stretch.startSeconds - middle, middle - stretch.endSeconds);
}

/** How fast this voice speaks, by its captions. */
function lettersASecond(heard: readonly HeardWord[]): number {
  const rates = heard
    .map(({ word, startSeconds, endSeconds }) => (word.length + 1) / Math.max(0.02, endSeconds - startSeconds))
    .sort((a, b) => a - b);
  const { min, max, usual } = LETTERS_A_SECOND;
  return Math.min(max, Math.max(min, rates[rates.length >> 1] ?? usual));
}
