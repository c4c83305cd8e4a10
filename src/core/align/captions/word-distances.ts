import type { Caption } from '@/core/interchange';
import type { Cue } from '@/core/timeline';
import type { Term } from '@/core/words';
import { itemAt, lastStartedAt, overlapSeconds, type Interval } from '@/core/units';
import { wording } from './read-by-words';
import { CUES_BACK } from '../decoder/transitions';
import type { SpeechStretch } from '../model';
import { plainWords } from './plain-words';
import { TermHearing } from './term-hearing';
import { SimilarityTable, type HeardWord } from './words';
import { wordsInSpeech, type WordsInSpeech } from './words-in-speech';
import type { KeptDistance, TextDistances } from '../text-distances';

/*
 * How stretches of speech are like the texts of a class by the words that a machine wrote for them, on the scale of
 * `Likeness`: so that one match in order serves both.
 */

/** Words less alike than this are different words. */
const LEAST_LIKENESS = 0.5;
/** Letters shared, of those of both, from which on a text is as likely as not, and what all of them are worth. */
const SHARED = { from: 0.3, all: -4.35 };
/** One word that is shared by neither is easily misheard; of several, one is always heard rightly. */
const NONE = { one: 0.4, more: 0.6, max: 2.8 };
/** A stretch without words is hardly a voice, where a machine wrote the others down. */
const WORDLESS = 0.4;
/** Where more of the words than this lie in no stretch, the stretches are not to be relied on. */
const INVENTED_AT_MOST = 0.3;

/** Stretches of speech with the words that were said in them. */
export interface WordedSpeech {
  readonly distances: TextDistances;
  /** The same stretches, those without words less likely. */
  readonly speech: readonly SpeechStretch[];
  /** What was said in an interval, as the captions have it; `null` where that is nothing. */
  readonly wordsIn: (interval: Interval) => string | null;
}

/** `null` where the captions' words do not lie in the stretches of speech: then words alone are the better evidence. */
export function wordedSpeech(
  cues: readonly Cue[],
  captions: readonly Caption[],
  heard: readonly HeardWord[],
  speech: readonly SpeechStretch[],
  terms: readonly Term[],
): WordedSpeech | null {
  const { ranges, invented } = wordsInSpeech(heard, speech);
  if (heard.length === 0 || invented > INVENTED_AT_MOST * heard.length) return null;
  const less = speech.map((stretch, at) =>
    itemAt(ranges, at)[1] > itemAt(ranges, at)[0] ? stretch : { ...stretch, likely: WORDLESS * stretch.likely },
  );
  return worded(cues, captions, heard, less, ranges, terms);
}

/** Pieces of captions as if they were stretches of speech, where there is no sound; see `readByWords`. */
export function wordedPieces(
  cues: readonly Cue[],
  captions: readonly Caption[],
  heard: readonly HeardWord[],
  pieces: WordsInSpeech['ranges'],
  terms: readonly Term[],
): WordedSpeech {
  let last = 0;
  const speech = pieces.map(([from, to]): SpeechStretch => {
    const startSeconds = Math.max(last, itemAt(heard, from).startSeconds);
    last = Math.max(startSeconds + 0.05, itemAt(heard, to - 1).endSeconds);
    return { startSeconds, endSeconds: last, likely: 1 };
  });
  const max = Math.max(MATCHES_AT_LEAST, Math.floor(Math.sqrt(COMPARED_AT_MOST / (cues.length * CUES_BACK))));
  return worded(cues, captions, heard, speech, pieces, terms, max);
}

/**
 * Pairs of matches compared in one pass over captions without sound, about; and matches of a cue that are always kept.
 * Captions of a class have some thirty of a cue; dense ones of something else would be compared by the thousand.
 */
const COMPARED_AT_MOST = 1e7;
const MATCHES_AT_LEAST = 40;

function worded(
  cues: readonly Cue[],
  captions: readonly Caption[],
  heard: readonly HeardWord[],
  speech: readonly SpeechStretch[],
  ranges: WordsInSpeech['ranges'],
  terms: readonly Term[],
  matchesAtMost?: number,
): WordedSpeech {
  const hearing = new TermHearing(terms, cues);
  const texts = new Map(cues.map(({ text }) => [text, hearing.planned(plainWords(text))]));
  return {
    distances: new WordDistances(heard, ranges, texts, matchesAtMost),
    speech,
    wordsIn: (interval) => {
      const within: (readonly [number, number])[] = [];
      const first = Math.max(0, lastStartedAt(speech, interval.startSeconds));
      for (let at = first; at < speech.length && itemAt(speech, at).startSeconds < interval.endSeconds; at++) {
        const [from, to] = itemAt(ranges, at);
        if (to > from && overlapSeconds(itemAt(speech, at), interval) > 0) within.push(itemAt(ranges, at));
      }
      return within.length === 0
        ? null
        : wording(captions, heard, itemAt(within, 0)[0], itemAt(within, within.length - 1)[1]);
    },
  };
}

interface WordedText {
  readonly words: readonly number[];
  readonly letters: number;
  /** By the places of the words that it was compared with. */
  readonly known: Map<number, number>;
}

class WordDistances implements TextDistances {
  readonly by = 'words';
  private readonly table = new SimilarityTable();
  private readonly heard: readonly number[];
  private readonly lengths: readonly number[];
  private readonly texts: ReadonlyMap<string, WordedText>;

  constructor(
    heard: readonly HeardWord[],
    private readonly ranges: WordsInSpeech['ranges'],
    texts: ReadonlyMap<string, readonly string[]>,
    readonly matchesAtMost?: number,
  ) {
    this.heard = heard.map(({ word }) => this.table.numberOf(word));
    this.lengths = heard.map(({ word }) => word.length);
    this.texts = new Map(
      [...texts].map(([text, words]) => [
        text,
        {
          words: words.map((word) => this.table.numberOf(word)),
          letters: words.reduce((sum, word) => sum + word.length, 0),
          known: new Map(),
        },
      ]),
    );
  }

  distance(from: number, to: number, text: string): number | null {
    return this.ask(itemAt(this.ranges, from)[0], itemAt(this.ranges, to - 1)[1], text);
  }

  distanceOfEnd(from: number, to: number, text: string): number | null {
    const end = itemAt(this.ranges, to - 1)[1];
    const begin = end - (this.texts.get(text)?.words.length ?? 0);
    return begin <= itemAt(this.ranges, from)[0] ? null : this.ask(begin, end, text);
  }

  /** Words are the same in every voice. */
  adaptedTo(): TextDistances {
    return this;
  }

  /** Nothing: captions are kept, and are asked again. */
  kept(): readonly KeptDistance[] {
    return [];
  }

  private ask(begin: number, end: number, text: string): number | null {
    const wanted = this.texts.get(text);
    if (!wanted) return null;
    if (end <= begin) return 0;
    const key = begin * (this.heard.length + 1) + end;
    let value = wanted.known.get(key);
    if (value === undefined) {
      let letters = wanted.letters;
      for (let at = begin; at < end; at++) letters += this.lengths[at] ?? 0;
      const share = (2 * this.shared(begin, end, wanted.words)) / Math.max(1, letters);
      const none = Math.min(NONE.max, NONE.one + NONE.more * (Math.min(end - begin, wanted.words.length) - 1));
      value = this.opposed(begin, end, wanted.words, share)
        ? NONE.max
        : share > SHARED.from
          ? (SHARED.all * (share - SHARED.from)) / (1 - SHARED.from)
          : (none * (SHARED.from - share)) / SHARED.from;
      wanted.known.set(key, value);
    }
    return value;
  }

  /** Whether little is shared, and what was heard leads the breath the other way: a bare "in" is no "out" misheard. */
  private opposed(begin: number, end: number, words: readonly number[], share: number): boolean {
    if (share > SHARED.from) return false;
    return words.some((word) => this.heard.slice(begin, end).some((heard) => this.table.opposite(heard, word)));
  }

  /** Letters of the longest run of words, in order and with gaps, that both have; nearly alike counts in part. */
  private shared(begin: number, end: number, words: readonly number[]): number {
    const row = new Float64Array(words.length + 1);
    for (let at = begin; at < end; at++) {
      let before = 0;
      for (let place = 0; place < words.length; place++) {
        const alike = this.table.of(words[place] ?? 0, this.heard[at] ?? 0);
        const both = alike >= LEAST_LIKENESS ? before + alike * (this.lengths[at] ?? 0) : 0;
        before = row[place + 1] ?? 0;
        row[place + 1] = Math.max(before, row[place] ?? 0, both);
      }
    }
    return row[words.length] ?? 0;
  }
}
