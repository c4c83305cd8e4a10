import { firstItems } from '@/core/units';
import type { Cue } from '@/core/timeline';
import { placed } from './decoder/matches';
import { PART, type Alignment, type Evidence, type FoundWay, type PackedDistances, type PackedWay } from './model';
import type { SpeechMatch, SpeechStretch } from './model';
import type { KeptDistance } from './text-distances';

/*
 * What is stored of an alignment with its take, packed as lists of whole numbers: an hour's take has tens of thousands
 * of distances. Nothing else knows of these lists.
 */

/** A match: its first cue and how many, its first stretch and how many, how many of those only lead in, and its cost. */
const NUMBERS_A_MATCH = 6;
/** In place of `PART`. */
const PART_PACKED = -1;
/** A distance: its first stretch, how many (more of them for their end), the place of its text, and itself. */
const NUMBERS_A_DISTANCE = 4;
const OF_END = 32;
/** Costs, confidences and distances are stored in hundredths, and no finer. */
const HUNDREDTHS = 100;

/** What of an alignment is stored with the evidence, so that it is read again without the sound. */
export function packAlignment({ distances, way }: Alignment): Pick<Evidence, 'distances' | 'way'> {
  const kept = distances?.kept();
  return { distances: kept ? packDistances(kept) : null, way: way && packWay(way) };
}

export function packWay({ path, confidences, slowness }: FoundWay): PackedWay {
  return {
    slowness: Math.round(1000 * slowness) / 1000,
    matches: path.flatMap(({ cueFrom, cueTo, from, to, led, own }) => [
      cueFrom,
      cueTo - cueFrom,
      from,
      to - from,
      led === PART ? PART_PACKED : led,
      Math.round(HUNDREDTHS * own),
    ]),
    confidences: confidences.map((confidence) => Math.round(HUNDREDTHS * confidence)),
  };
}

/** `null` where it does not fit these cues and stretches. */
export function unpackWay(
  { slowness, matches, confidences }: PackedWay,
  cues: readonly Cue[],
  speech: readonly SpeechStretch[],
): FoundWay | null {
  if (confidences.length !== cues.length || matches.length % NUMBERS_A_MATCH > 0) return null;
  const path: SpeechMatch[] = [];
  for (let at = 0; at < matches.length; at += NUMBERS_A_MATCH) {
    const [cueFrom, cueCount, from, count, leading, own] = firstItems(matches.slice(at, at + NUMBERS_A_MATCH), 6);
    const led = leading === PART_PACKED ? PART : leading;
    const last = path.at(-1);
    const inOrder = cueFrom >= (last?.cueTo ?? 0) && from >= (last?.to ?? 0);
    const whole = cueCount > 0 && count > 0 && led >= 0 && led < count;
    if (!inOrder || !whole || cueFrom + cueCount > cues.length || from + count > speech.length) return null;
    const match = { cueFrom, cueTo: cueFrom + cueCount, from, to: from + count, led, own: own / HUNDREDTHS };
    path.push(placed({ cues, speech }, match));
  }
  return { path, confidences: confidences.map((confidence) => confidence / HUNDREDTHS), slowness };
}

export function packDistances(kept: readonly KeptDistance[]): PackedDistances {
  const places = new Map<string, number>();
  const placeOf = (text: string): number => {
    const place = places.get(text) ?? places.size;
    places.set(text, place);
    return place;
  };
  const found = kept.flatMap(({ from, to, ofEnd, text, distance }) => [
    from,
    to - from + (ofEnd ? OF_END : 0),
    placeOf(text),
    Math.round(HUNDREDTHS * distance),
  ]);
  return { texts: [...places.keys()], found };
}

export function unpackDistances({ texts, found }: PackedDistances): KeptDistance[] {
  const kept: KeptDistance[] = [];
  for (let at = 0; at + NUMBERS_A_DISTANCE <= found.length; at += NUMBERS_A_DISTANCE) {
    const [from, count, place, distance] = firstItems(found.slice(at, at + NUMBERS_A_DISTANCE), 4);
    const text = texts[place];
    if (text === undefined) continue;
    kept.push({ from, to: from + (count % OF_END), ofEnd: count >= OF_END, text, distance: distance / HUNDREDTHS });
  }
  return kept;
}
