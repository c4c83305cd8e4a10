import { findCounts, hasAmount } from '../phrases/counts';
import { secondsFrom, type Counts } from '../model/model';
import { pauseIn } from '../line-kinds/pauses';
import { placeOf, type Place } from '../phrases/places';
import { amountInSpeech } from './amounts';

/* Directions in brackets of a class that is spoken word for word: "[8 reps, alternating]", "[music fades]". */

/** How long something lasts. */
export interface Lasting {
  readonly what: 'time';
  readonly counts: Counts;
  readonly seconds: number;
  /** Whether it is a silence by its words, tells nothing but its time, or goes on with what is told above. */
  readonly quiet: boolean;
  readonly bare: boolean;
  readonly goesOn: boolean;
}

/** Where in the rounds of a movement the rest is said. */
interface On {
  readonly what: 'on';
  readonly place: Place;
}

type Direction =
  { readonly what: 'heard' | 'other' } | On | { readonly what: 'rounds'; readonly counts: Counts } | Lasting;

/** So little beside a time tells of nothing else. */
const BARE = 8;
/** What is heard or seen behind what is spoken. */
const NOT_SPOKEN =
  /^(?:[\p{L} ]{0,14}\b)?(?:music|sound|bell|gong|chime|fade|camera|cut to|title card|show|screen|waves? sound|intro|outro|logo|b-roll)\b/iu;
const GOES_ON = /^(?:continue|keep going|carry on|repeat|go on)\b/i;

/** What a direction tells: "(after 4)", "(last one)", where the rest is said; what is heard behind the words, how often, how long, or something else. */
export function directionIn(text: string): Direction {
  const place = placeOf(text, null);
  if (place && place.on !== 'time') return { what: 'on', place };
  const { rest, counts: found } = findCounts(
    text.replace(/\breps?\b/i, 'times').replace(/^repeat (?:x ?)?(?=\S)/i, ''),
  );
  const counts = hasAmount(found) ? found : (amountInSpeech(text.replace(/^repeat /i, ''))?.counts ?? {});
  const paused =
    /^(?:an? )?(?:(?:very )?long |short |brief |little |tiny )?(?:pause|wait|silence)\b/i.test(text) &&
    !/breath/i.test(text)
      ? pauseIn(`(${text})`)
      : null;
  const [seconds = paused ?? 0] = counts.seconds ?? [];
  if (NOT_SPOKEN.test(text) && seconds === 0) return { what: 'heard' };
  if (counts.rounds !== undefined && paused === null) return { what: 'rounds', counts };
  if (seconds === 0) return { what: 'other' };
  const goesOn = GOES_ON.test(text);
  return {
    what: 'time',
    counts: { seconds: counts.seconds ?? secondsFrom([seconds, seconds], 1) },
    seconds,
    quiet: /silen|quiet|still/i.test(rest),
    bare: !goesOn && rest.length < BARE,
    goesOn,
  };
}
