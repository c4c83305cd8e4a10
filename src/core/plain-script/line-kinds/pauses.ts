import { itemAt } from '@/core/units';
import { findCounts } from '../phrases/counts';
import { sentenceCase, wordCount } from '../model/line-words';
import type { Counts } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { isSwapped, wordAmong } from '../tokens/tokens';

/* Silence as people write it, by itself and behind what is said. */

/** A pause that is written without its time, in seconds; common practice, no published source. */
const UNTIMED = 5;
/** Seconds; so long nobody only rests before the next step. */
const LONG_FROM = 60;
const PAUSE_WORDS = [
  'pause',
  'silence',
  'wait',
  'rest',
  'breather',
  'break',
  'brake',
  'brk',
  'gap',
  'rst',
  'recovery',
  'recover',
] as const;

/** "(pause 20 s)", "pause, half a minute", "a long pause (25 secs)", "10 s of nothing", "(20 s)"; in seconds. */
export function pauseIn(text: string): number | null {
  if (
    text.length > 70 ||
    !/^[(.…]|\b(?:pa|pu|silen|wait|rest|rset|erst|rst|leave|water|drink|tea|coffee|mini|small|tiny|brief|arms|hands|stop|break|brake|brk|breather|gap|nothing|them|take|settle|breathe out|of quiet|of still|catch|get|recover|shake|off\b|time|breathing space)/i.test(
      text,
    )
  )
    return null;
  const untimed = /^[([](?:an? )?((?:very )?long |short |brief |little |tiny )?pause[)\]][.]?$/i.exec(text);
  if (untimed) return /long/i.test(untimed[1] ?? '') ? 2 * UNTIMED : UNTIMED;
  const dotted = /^(?:\.{2,}|…) ?(\d{1,3}) ?s(?:ecs?|econds?)? ?(?:\.{2,}|…)?$/i.exec(text);
  if (dotted) return Number(dotted[1]);
  const figure = /^\(?(?:pause:? \(?(\d{1,3})\)?|(?:breather|break|wait|rest)(?: [–-]|:)? (\d0))\)?$/i.exec(text);
  if (figure) return Number(figure[1] ?? figure[2]) <= 300 ? Number(figure[1] ?? figure[2]) : null;
  const minutes = /^(?:(?:water|tea|drinks?|coffee|short|little) )?break(?: [–-]|:)? ([1-5])$/i.exec(text);
  if (minutes) return 60 * Number(minutes[1]);
  const bare = text
    .replace(/^\(|\)\.?$/g, '')
    .replace(/^between [^:]{2,30}: /i, '')
    .replace(/^\(?(?:optional|if needed|maybe|perhaps)\)?,? /i, '')
    .replace(
      /^(?:[^\dx×]{2,40}?(?: and|,)(?: then)? (?=(?:wait|pause)\b)|[^\dx×]{2,40}? and (?=rest\b)|[^,\dx×]{2,24}, (?=rest\b))/i,
      '',
    );
  const { counts, rest } = findCounts(bare.replace(/\bfor half a minute\b/i, 'half a minute'));
  const [asked] = counts.seconds ?? [];
  // "Hands on the belly, rest 2 min" is a posture.
  if ((asked ?? 0) >= LONG_FROM && /^(?:hands?|palms?|arms|head|lie|lying|legs|knees|feet)\b[^,]*, rest/i.test(text))
    return null;
  if (asked === undefined || asked > 300 || counts.rounds !== undefined || counts.ownPace) return null;
  if (rest === '' && /^\(.*\)\.?$/.test(text)) return asked;
  const words = rest.toLowerCase().replace(/[^\p{L} ]/gu, '').split(/\s+/).filter((one) => !SMALL.has(one)); // prettier-ignore
  const [word = '', ...others] = words;
  if (/^(?:leave|give|take|have|allow)\b/i.test(bare) && /^(?:after|before|between)$/.test(word)) return asked;
  if (
    (wordAmong(word, PAUSE_WORDS) !== null || isSwapped(word, 'rest') || word === 'stop') &&
    /^(?:$|after|before|between|arms|legs|while|drink|water|tea)/.test(others[0] ?? '')
  )
    return asked;
  if (words.length === 1 && /^of (?:quiet|stillness|silence)$/i.test(rest) && asked <= 30) return asked;
  if (PAUSE_FOR.test(rest) || RECOVERS.test(rest)) return asked;
  return words.length === 0 && /\b(?:nothing|them|water|drink|tea|coffee)\b/i.test(rest) ? asked : null;
}

/** People drink for about a minute; common practice, no published source. */
const DRINK_SECONDS = 60;
/** "water break", "sip of water", "drink", "a pause where they can drink": among steps. */
const DRINK =
  /^(?:(?:an?|the|short|quick|little|quickly|time for|then|have|take|get) )*(?:(?:sips?|drinks?|glass|mouthful) of (?:water|tea)|drinks?|water|(?:water|tea|drinks?) (?:break|stop|pause)|(?:break|stop|pause) (?:for|to (?:have|get)) (?:an? |some |the )?(?:water|drinks?|tea)|(?:break|stop|pause) (?:where|when|so) (?:they|you|we|people|everyone) (?:can|could|may) (?:drink|have (?:water|a drink|some water)))[.,]?$/i;

/** A rest to drink in, which is written without its time; `null` for anything else. "Water" by itself may be a name. */
export function drinkIn(written: string, lastsSeconds: number | null): Reading | null {
  const text = /^[([](.*)[)\]][.]?$/.exec(written)?.[1] ?? written;
  if (text.length > 50 || !DRINK.test(text) || (lastsSeconds === null && /^Water[.]?$/.test(text))) return null;
  const name = sentenceCase(text.replace(/^(?:(?:an?|the|then|have|take|get) )+|[.,!]+$/gi, ''));
  const seconds = lastsSeconds ?? DRINK_SECONDS;
  return reading('pause', wordCount(name) > 4 ? 'Water break' : name, { seconds: [seconds, seconds, seconds] }, true);
}

/** "Catch your breath", "Rest/drink", "Stop and rest", "to recover". */
const RECOVERS =
  /^(?:(?:and|now|then|next|just|all)[,:]? )*(?:(?:shake(?: (?:it |everything )?(?:out|off))?|stop|sit(?: down)?),? (?:and|then|&) (?:rest|drink|recover|pause|breathe)|(?:rest|drink|pause) ?(?:\/|&|\+|or|and) ?(?:drink|sip|rest|water|stretch|shake)|(?:let go|loosen|relax|shake out), rest|(?:arms|hands) (?:down|loose)|take|let it settle|catch (?:your|the|their) breath|get (?:your|the|their) breath back|(?:to |time to )?(?:recover|rest|get over it|breathe out|drink)|drink (?:something|some water|water|a sip)|have (?:something to drink|a drink)|stop here|wait here|off|time out|breathing space)[.!]?$/iu;

/** "1 min pause for photos". */
const PAUSE_FOR = /^(?:an? |short |quick |little )*(?:pause|stop|break) for (?:an? |the |some )?\p{L}{4,}$/iu;

/** A shorter one is taken where people stand, between two lines. */
const REST_FROM = 20;

const RESTS = /\b(?:rest|break|brake|brk|breather|water|drink|tea|stop)\b/i;

/** What a rest is called, by what is left of its line: "Water break"; nothing where it is only a pause. */
export function restNamed(rest: string): string {
  const name = rest.replace(
    /^(?:(?:an?|the|then|take|have|optional|of|we|usually|always|there|is|follows)\b ?)+|,? (?:of|for)$/gi,
    '',
  );
  return name.length <= 30 && /^\p{L}[\p{L} '’-]+$/u.test(name) && RESTS.test(name) ? sentenceCase(name) : '';
}

/** "Rest 1 min", "Water break, two minutes": a step of its own, and no silence behind the last words. */
export function isRest(words: string, seconds: number): boolean {
  return seconds >= REST_FROM && RESTS.test(words);
}

const SMALL: ReadonlySet<string> = new Set(['please', 'your', 'my', 'their', 'a', 'an', 'the', 'of', 'for', 'long', 'little', 'small', 'tiny', 'brief', 'short', 'give', 'them', 'leave', 'here', 'nothing', 'then', 'take', 'have', 'now', 'and', 'comes', 'water', 'drink', 'tea', 'coffee', 'mini', 'quick', 'sip', 'perhaps', 'maybe', 'approx', 'seated', 'sitting', 'to', 'moment', 'we', 'follows', 'follow', 'usually', 'always', 'halfway', 'there', 'is', 's', '']); // prettier-ignore

/** "Hands down (pause 5s)", "thank you (10 s)": said, with a pause behind it. */
export function trailingPause(body: string): { readonly words: string; readonly counts: Counts } | null {
  const match = /^(.+\p{L}[.!?,]?) \(([^()]{2,20})\)\.?$/u.exec(body);
  if (!match) return null;
  const pause = pauseIn(`(${itemAt(match, 2)})`);
  const said = itemAt(match, 1);
  const { counts } = findCounts(said);
  const spoken =
    /^(?:thank|hands|good|now|and|let|come|notice)\b/i.test(said) ||
    /[.!?]$/.test(said) ||
    /pause/i.test(itemAt(match, 2));
  return pause === null || !spoken || counts.rounds !== undefined
    ? null
    : { words: said, counts: { seconds: [pause, pause, pause] } };
}

/** "rest 30 s", "2 min rest" among steps. */
export function restOf(part: string): Reading | null {
  const { counts, rest } = findCounts(part);
  const [seconds] = counts.seconds ?? [];
  if (seconds === undefined || counts.rounds !== undefined || !/^(?:a |short |quick |brief )*(?:rest|pause|break|breather|wait)$/i.test(rest)) return null; // prettier-ignore
  return reading('pause', restNamed(rest), { seconds: [seconds, seconds, seconds] }, true);
}

const STAGED = /^\[([^[\]]*\b(?:music|fade[ -]?(?:in|out)|jingle|title card|logo|b-roll|credits)\b[^[\]]*)\]$/i;

/** "[intro music 10 s]", in a recording: a pause so long, or nothing that is done; `null` for any other line. */
export function stagedIn(line: string): Reading | null {
  const [, told = ''] = line.length > 80 ? [] : (STAGED.exec(line) ?? []);
  if (told === '') return null;
  const { counts, rest } = findCounts(told);
  const [seconds] = counts.seconds ?? [];
  if (seconds === undefined) return reading('nothing', '', {}, true);
  return reading('pause', sentenceCase(rest), { seconds: [seconds, seconds, seconds] }, true);
}
