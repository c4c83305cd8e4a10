import { wholeMilliseconds, type Seconds } from '@/core/units';
import { spokenText, wordsOf } from './spoken-words';
import { countSyllables } from './syllables';

/** How somebody speaks. */
export interface Voice {
  /**
   * Syllables a minute while words are being said, 60 to 400. Lectures run at 190 to 260 (Tauroza & Allison 1990,
   * from memory); guided classes are slower.
   */
  readonly syllablesPerMinute: number;
}

/**
 * What a line costs, in average syllables. A syllable takes longer the more letters it has, a comma is about one
 * syllable of pause, a full stop inside the line about two, and the end of a line is drawn out by two thirds of
 * one. Proportions found on 103 invented lines as two synthesisers speak them; `tests/speech` measures them again.
 */
const COST = { syllable: 0.43, letter: 0.17, comma: 0.86, stop: 2.15, ending: 0.69 };

/** The length of a line in average syllables, pauses included; 0 when nothing is said. */
export function lineWeight(text: string): number {
  const said = spokenText(text);
  const words = wordsOf(said);
  if (words.length === 0) return 0;
  let syllables = 0;
  let letters = 0;
  for (const word of words) {
    syllables += countSyllables(word);
    letters += word.length;
  }
  const inside = said.trimEnd().slice(0, -1);
  const commas = (inside.match(/[,–—]/g) ?? []).length;
  const stops = (inside.match(/[.?!;:…](?=\s)/g) ?? []).length;
  return COST.syllable * syllables + COST.letter * letters + COST.comma * commas + COST.stop * stops + COST.ending;
}

const remembered = new Map<string, number>();
const REMEMBER_AT_MOST = 20_000;

/**
 * How long a line takes to say, in seconds to the millisecond; 0 when nothing is said. Weights are remembered by
 * text, since a class says the same lines many times.
 */
export function speakingSeconds(text: string, voice: Voice): Seconds {
  let weight = remembered.get(text);
  if (weight === undefined) {
    weight = lineWeight(text);
    if (remembered.size >= REMEMBER_AT_MOST) remembered.clear();
    remembered.set(text, weight);
  }
  return wholeMilliseconds((weight * 60) / voice.syllablesPerMinute);
}
