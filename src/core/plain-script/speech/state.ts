import type { Counts } from '../model/model';
import { reading, type Reading, type StepSettings } from '../model/reading';
import { lastOnes } from './names';
import type { Turned } from './sides';

/* What is known of the step that is spoken of, in a class that is spoken word for word. */

/** The movement that is spoken of. */
export interface Spoken {
  readonly name: string;
  /** Whether a line by itself names it. */
  readonly headed: boolean;
  /** The paragraph in which it is named. */
  readonly paragraph: number;
  /** The line that names it. */
  readonly begunAt: number;
  /** `null` where nothing has counted it yet. */
  amount: Counts | null;
  /** The ways of its breath that are told. */
  readonly ways: Set<string>;
  /** To which other side or way it went, and whether no amount was told of that yet. */
  to: Turned | null;
  awaits: boolean;
  /** Whether something else was told since it was counted. */
  over: boolean;
  /** The paragraph in which it was counted, and whether it was ended since. */
  counted: number;
  ended: boolean;
  /** Whether it was told on which side. */
  sided: boolean;
  /** The round that was counted aloud last, 0 where none was. */
  said: number;
}

/** The silence that is spoken into. */
export interface Silence {
  readonly seconds: number;
  /** Seconds that no pause takes; where it is too short to be guided, none. */
  left: number;
  /** Whether nothing was said since it began. */
  fresh: boolean;
}

export function spokenOf(
  name: string,
  amount: Counts | null,
  at: { readonly paragraph: number; readonly line: number },
  headed: boolean,
): Spoken {
  const { paragraph } = at;
  return {
    name,
    headed,
    paragraph,
    begunAt: at.line,
    amount,
    ways: new Set(),
    to: null,
    awaits: false,
    over: false,
    counted: paragraph,
    ended: false,
    sided: false,
    said: 0,
  };
}

/** A shorter silence is not guided. Common practice, no published source. */
const GUIDED_FROM = 120;

export function silenceFor(seconds: number): Silence {
  return { seconds, left: seconds >= GUIDED_FROM ? seconds : 0, fresh: true };
}

/** On which rounds something is said. */
export type DuringPlace = NonNullable<StepSettings['place']>;

/** "Last two.": on these; `null` for what is said anywhere. */
export function onLast(sentence: string): DuringPlace | null {
  const number = lastOnes(sentence);
  return number === null ? null : { on: 'last', number };
}

/** Said; before the rounds of a movement that has no amount yet. */
export function said(words: string, before: boolean): Reading {
  return { ...reading('said', words), ...(before ? { sets: { before: words } } : {}) };
}
