import { findCounts, hasAmount } from '../phrases/counts';
import { unquoted } from '../model/line-words';
import { isCue } from './name-lines';
import { placeAtStart, placeOf } from '../phrases/places';

/*
 * Words with a time of the step that they stand below: "0:30 feel the feet", "(after 30 s) …", "soften the belly (1:15)".
 */

/** Words, and when they are said. */
export interface ToldAtTime {
  /** Seconds from the start of the step. */
  readonly at: number;
  readonly words: string;
  /** Whether a word tells that it is when, and not how long. */
  readonly marked: boolean;
  /** Whether the time may as well be how long it lasts. */
  readonly unsure: boolean;
}

const CLOCK = /^[[(]?(\d{1,2}:[0-5]\d)[\])]?(?::| ?[–—-])? (?=\S)/u;
const SECONDS = /^[[(]?(\d{1,3} ?(?:["”″']|s|secs?|seconds?|m|mins?|minutes?))[\])]?(?:[:.]| ?[–—-])? (?=\S)/iu;
const BOXED = /^[[(]([^()[\]]{3,30})[)\]](?::| ?[–—-])? (?=\S)/u;
const BOXED_BEHIND =
  /^(.{3,}?),? [[(](?:(?:at |after |@ ?)(?=\d)|(?=\d{1,2}:))(\d{1,2}:[0-5]\d|\d{1,3} ?(?:s|secs?|seconds?))[)\]][.!]?$/iu;
const BEHIND =
  /^(.{3,}?),? (?:(?:at |@ ?)(?=\d{1,2}:)|after (?=\d))(\d{1,2}:[0-5]\d|\d{1,3} ?(?:s|secs?|seconds?))[.!]?$/iu;

/** The words of a line and their time in a step that lasts so many seconds; `null` where it has none. */
export function toldAtTime(text: string, lasting: number): ToldAtTime | null {
  const boxed = BOXED.exec(text);
  const inBox = boxed && timeOf(boxed[1] ?? '', lasting);
  if (boxed && inBox !== null) return { at: inBox, words: text.slice(boxed[0].length), marked: true, unsure: false };
  const place = placeAtStart(text, lasting);
  if (place?.place.on === 'time' && place.place.number < lasting) {
    const words = text.slice(place.length).replace(/^(?:[:,]| ?[–—-])? ?(?:say:? )?(?=\S)/u, '');
    return { at: place.place.number, words, marked: true, unsure: false };
  }
  const bare = CLOCK.exec(text) ?? SECONDS.exec(text);
  if (bare) {
    const [at] = findCounts(bare[1] ?? '').counts.seconds ?? [/^0:00$/.test(bare[1] ?? '') ? 0 : Infinity];
    if (at >= lasting) return null;
    return { at, words: text.slice(bare[0].length), marked: false, unsure: !/:/.test(bare[1] ?? '') };
  }
  const behind = BOXED_BEHIND.exec(text) ?? BEHIND.exec(text);
  const [at = Infinity] = findCounts(behind?.[2] ?? '').counts.seconds ?? [];
  return behind && at < lasting ? { at, words: behind[1] ?? '', marked: false, unsure: true } : null;
}

/** The seconds of "after 30 s", "at 1:00"; a time alone is none. */
function timeOf(written: string, lasting: number): number | null {
  const place = !/^\d/.test(written) ? placeOf(written, lasting) : null;
  return place?.on === 'time' && place.number < lasting ? place.number : null;
}

/**
 * The same of a line below a movement, where what is told so is no step of its own by its words.
 * @param text Without what sets it off in a list.
 * @param inset Whether it stands further in than the line of the movement.
 */
export function toldInMovement(text: string, lasting: number, inset: boolean): ToldAtTime | null {
  if (text.length > LONGEST || !/\d|\b(?:minute|half)\b/i.test(text)) return null;
  const told = toldAtTime(text, lasting);
  if (!told || !/\p{L}{2}/u.test(told.words) || hasAmount(findCounts(told.words).counts)) return null;
  if (!told.marked && !(inset && isSpoken(told.words))) return null;
  const sure = told.marked || isCue(told.words);
  return { ...told, words: unquoted(told.words), unsure: told.unsure || !sure };
}

/** By its words no name of what is done. */
function isSpoken(words: string): boolean {
  return isCue(words) || /[.!…]["”]?$/.test(words) || /^["“]|^\p{Ll}\S* \S/u.test(words);
}

const LONGEST = 300;
