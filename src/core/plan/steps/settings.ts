import { escapeText, partOf, unescapeText } from '@/core/document';
import { PRIORITIES, STANCES, type Priority, type SpokenLine, type Stance } from '@/core/movement';
import { COMPANIONS, type Companion } from './companions';

/*
 * The settings of the plain script's tidy form: `key: value`, one a line. Each is written where it differs from what a
 * new thing has, and read back into the same field.
 */

/** A setting of one kind of thing. `write` gives the value as text; `read` the changed fields, `null` if it cannot. */
export interface Setting<Thing> {
  readonly key: string;
  readonly write: (thing: Thing) => string;
  readonly read: (value: string, thing: Thing) => Partial<Thing> | null;
}

/** Every number in a text, in order. */
export function numbersIn(value: string): number[] {
  return [...value.matchAll(/-?\d+(?:\.\d+)?(?:e[+-]?\d+)?/gi)].map(([number]) => Number(number));
}

/** Words that scripts written before document version 6 have for these. */
const OLDER_WORDS: ReadonlyMap<string, string> = new Map([
  ['quiet', 'silence'],
  ['in', 'inhale'],
  ['out', 'exhale'],
  ['rest', 'hold'],
  ['none', 'together'],
  ['alternate', 'alternating'],
  ['in-turn', 'one-then-other'],
  ['each-way', 'both-directions'],
  ['own', 'own-pace'],
  ['balance', 'balanced'],
  ['leave-out', 'skip-steps'],
]);

/** One of a few words, however it is capitalised, or by the word that older scripts have for it. */
export function wordOf<Value extends string>(values: readonly Value[], word: string): Value | null {
  const plain = word.trim().toLowerCase();
  const older = OLDER_WORDS.get(plain);
  return values.find((value) => value === plain) ?? values.find((value) => value === older) ?? null;
}

type KeysOf<Thing, Value> = { [Key in keyof Thing]: Thing[Key] extends Value ? Key : never }[keyof Thing];

export function textSetting<Thing>() {
  return <Key extends KeysOf<Thing, string>>(key: string, field: Key): Setting<Thing> => ({
    key,
    write: (thing) => escapeText(String(thing[field])),
    read: (value) => partOf<Thing, Key>([[field, unescapeText(value) as Thing[Key]]]),
  });
}

export function wordSetting<Thing, Key extends keyof Thing>(
  key: string,
  field: Key,
  values: readonly (Thing[Key] & string)[],
): Setting<Thing> {
  return {
    key,
    write: (thing) => String(thing[field]),
    read: (value) => {
      const found = wordOf(values, value);
      return found === null ? null : partOf<Thing, Key>([[field, found]]);
    },
  };
}

/** Numbers in a set order, with words around them that only help the reader. */
export function numbersSetting<Thing>(
  key: string,
  fields: readonly KeysOf<Thing, number>[],
  words: (values: readonly string[]) => string,
): Setting<Thing> {
  type Key = KeysOf<Thing, number>;
  return {
    key,
    write: (thing) => words(fields.map((field) => String(thing[field]))),
    read: (value) => {
      const found = numbersIn(value);
      if (found.length !== fields.length) return null;
      return partOf<Thing, Key>(fields.map((field, at) => [field, found[at] as Thing[Key]] as const));
    },
  };
}

/** `40 s, asked 40, 20 to 80`. */
export function timesInWords([now, asked, min, max]: readonly string[]): string {
  return `${now} s, asked ${asked}, ${min} to ${max}`;
}

interface Chosen {
  readonly pinned: boolean;
  readonly skipped: boolean;
}

/** The block it stands in, and what it stretches with. */
export function groupSettings<
  Thing extends { readonly blockId: string | null; readonly tieId: string | null },
>(): readonly Setting<Thing>[] {
  const group = (key: string, field: 'blockId' | 'tieId'): Setting<Thing> => ({
    key,
    write: (thing) => thing[field] ?? 'none',
    read: (value) =>
      ({ [field]: /^[A-Za-z0-9_-]{1,64}$/.test(value) && value !== 'none' ? value : null }) as Partial<Thing>,
  });
  return [group('block', 'blockId'), group('tied', 'tieId')];
}

/** Whether it is pinned or skipped. */
export function stateSetting<Thing extends Chosen>(): Setting<Thing> {
  return {
    key: 'state',
    write: ({ pinned, skipped }) =>
      [pinned ? 'pinned' : '', skipped ? 'skipped' : ''].filter(Boolean).join(', ') || 'free',
    read: (value) => {
      const chosen: Partial<Chosen> = { pinned: /pinned/i.test(value), skipped: /skipped|left out/i.test(value) };
      return chosen as Partial<Thing>;
    },
  };
}

/** A stance by its name, or any; `undefined` where the word is none. */
export function stanceOf(word: string): Stance | null | undefined {
  return /^any$/i.test(word.trim()) ? null : (wordOf(STANCES, word) ?? undefined);
}

export function stanceSetting<Thing extends { readonly stance: Stance | null }>(): Setting<Thing> {
  return {
    key: 'stance',
    write: (thing) => thing.stance ?? 'any',
    read: (value) => {
      const stance = stanceOf(value);
      return stance === undefined ? null : ({ stance } as Partial<Thing>);
    },
  };
}

export function prioritySetting<Thing extends { readonly priority: Priority }>(): Setting<Thing> {
  return wordSetting<Thing, 'priority'>('priority', 'priority', PRIORITIES);
}

/** The settings of what may go with a neighbour. */
export function accompanyingSettings<
  Thing extends Chosen & {
    readonly goesWith: Companion;
    readonly priority: Priority;
    readonly blockId: string | null;
    readonly tieId: string | null;
  },
>(): readonly Setting<Thing>[] {
  return [
    wordSetting<Thing, 'goesWith'>('goes with', 'goesWith', COMPANIONS),
    prioritySetting<Thing>(),
    stateSetting<Thing>(),
    ...groupSettings<Thing>(),
  ];
}

/** A line that is said, with its pause and its layer. */
export function spokenText(line: SpokenLine): string {
  const layer = line.layer === null ? '' : `, ${line.layer}`;
  return `> ${escapeText(line.text)} (pause ${line.pauseSeconds} s${layer})`;
}
