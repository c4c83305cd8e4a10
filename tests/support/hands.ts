import { readdirSync, readFileSync } from 'node:fs';
import type { Counts, ReadLine } from '@/core/plain-script';
import { itemAt } from '@/core/units';

/*
 * Classes written down in many hands, with what is meant by each line: `tests/plain-script/hands`. Rules were found on
 * the tuned ones; those that are known were read once and then known when more rules were made; the kept ones are only
 * read, to see how far the rules carry. All by one writer.
 */

const FOLDER = new URL('../plain-script/hands/', import.meta.url);
/** Hands that rules may be found on, and hands written after them; the others were known. */
const TUNED: ReadonlySet<string> = new Set([
  'terse',
  'bulleted',
  'timed',
  'labelled',
  'typos',
  'message',
  'lessonplan',
  'coach',
  'pipes',
  'memo',
  'outline',
  'shorthand',
  'friend',
  'podcast',
  'parish',
  'ical',
  'diarist',
  'bullets2',
  'voicemail',
  'syllabus',
  'runsheet',
  'recipe',
  'physio',
  'cards',
  'checklist',
  'spoken',
  'arrows',
  'elder',
  'whatsapp',
  'yaml',
  'workshop',
  'nurse',
  'poet',
  'federation',
  'homeschool',
  'letterhead',
  'tabbed',
  'colon',
  'rambling',
  'bilingual',
  'plainprose',
  'emoji',
  'dancer',
  'handover',
  'trailing',
  'dictation2',
  'grid',
  'allotment',
  'minutes',
  'letter2',
  'slides',
  'swim',
  'evening',
  'seatedcare',
  'setbook',
  'bullets3',
  'sonotes',
  'teacherly',
  'sheetA',
  'longhand',
  'compactB',
  'copied',
  'trainer',
  'relief',
  'studybook',
]);
const KEPT: ReadonlySet<string> = new Set(['caller', 'retired', 'deputy', 'planner', 'journal']);
/** Written after all rules, and not read by anybody who made one. */
const UNREAD: ReadonlySet<string> = new Set([
  'librarian',
  'fisher',
  'yardteam',
  'grandniece',
  'ward',
  'substack',
  'assistant',
]);
/**
 * Usual forms in four rows of hands: those at the dock taught rules; those at the quay were only read meanwhile; those at
 * the pier were written after both, those at the jetty later still, and are only read. Those at the
 * mole and the wharf came last, were read once (128 of 140 and 142 of 154 lines as meant), and taught rules then.
 */
const TAUGHT =
  /^(?:dock|mole|reef|wharf)-|^stern-(?:terse|bulleted|times|labels|email)$|^(?:sand|moor)-(?:terse|bulleted|times|labels|email)$|^slip-(?:wordy|numbered|ranges|capitals|typos)$/;
const USUAL = /^pier-/;
const LATER = /^jetty-/;
/** Half of the last row, written after all rules of its time, and only read; the other half was read once. */
const LAST = /^sand-(?:wordy|numbered|ranges|capitals|typos)$/;
/** Half of a row written later still, and only read; its other half was read once, too. */
const NEWEST = /^moor-(?:wordy|numbered|ranges|capitals|typos)$/;
/** Half of the row that came last; its other half was read once (60 of 71 lines as meant), and taught rules then. */
const FINAL = /^slip-(?:terse|bulleted|times|labels|email)$/;
/** Half of a row of the usual forms that came after all of those, and only read; its other half was read once, too. */
const AFTER_ALL = /^stern-(?:wordy|numbered|ranges|capitals|typos)$/;
export type Half =
  'tuned' | 'known' | 'kept' | 'unread' | 'usual' | 'later' | 'last' | 'newest' | 'final' | 'after-all';

/** One way to mean a line: what it is, the name it gives, and its amounts. */
export interface Meaning {
  readonly kind: string;
  readonly name: string | null;
  readonly rounds: readonly [number, number] | null;
  readonly seconds: readonly [number, number] | null;
  readonly sides: string | null;
  readonly start: string | null;
  readonly own: boolean;
}

export interface HandLine {
  readonly text: string;
  /** Any of these is right. */
  readonly meanings: readonly Meaning[];
}

export interface Hand {
  readonly name: string;
  readonly half: Half;
  readonly lines: readonly HandLine[];
}

/** "4", "3-5". */
function rangeIn(part: string | undefined): readonly [number, number] | null {
  const match = part === undefined ? null : /([\d.]+)(?:-([\d.]+))?/.exec(part);
  if (!match) return null;
  const min = Number(match[1]);
  return [min, match[2] === undefined ? min : Number(match[2])];
}

function meaningOf(written: string): Meaning {
  const [head = '', ...rest] = written.split(';').map((part) => part.trim());
  const [, kind = '', name, amount] = /^([\w+-]+)(?:: (.*))?(?: ([\d.-]+))?$/.exec(head) ?? [];
  const find = (key: string): string | undefined => rest.find((part) => part.startsWith(`${key} `));
  return {
    kind,
    name: name ?? null,
    rounds: rangeIn(find('rounds')),
    seconds: rangeIn(amount ?? find('seconds') ?? find('target') ?? find('pause')),
    sides: find('sides')?.slice('sides '.length) ?? null,
    start: find('start')?.slice('start '.length) ?? null,
    own: rest.includes('own'),
  };
}

export function hands(): Hand[] {
  return readdirSync(FOLDER)
    .filter((file) => file.endsWith('.txt'))
    .map((file) => {
      const name = file.replace(/\.txt$/, '');
      const lines = readFileSync(new URL(file, FOLDER), 'utf8')
        .trimEnd()
        .split('\n')
        .map((line): HandLine => {
          const at = line.lastIndexOf(' => ');
          return {
            text: line.slice(0, at).trimEnd(),
            meanings: line
              .slice(at + 4)
              .split(' | ')
              .map(meaningOf),
          };
        });
      return { name, half: halfOf(name), lines };
    });
}

function halfOf(name: string): Half {
  if (TUNED.has(name) || TAUGHT.test(name)) return 'tuned';
  if (USUAL.test(name)) return 'usual';
  if (LATER.test(name)) return 'later';
  if (LAST.test(name)) return 'last';
  if (NEWEST.test(name)) return 'newest';
  if (FINAL.test(name)) return 'final';
  if (AFTER_ALL.test(name)) return 'after-all';
  return KEPT.has(name) ? 'kept' : UNREAD.has(name) ? 'unread' : 'known';
}

/** The first of the kinds that one line may start; an exhale after an inhale is looked for in the plan. */
const firstOf = (kind: string): string => itemAt(kind.split('+'), 0);

function sameRange(wanted: readonly [number, number] | null, min?: number, max?: number): boolean {
  if (wanted === null) return true;
  return min !== undefined && Math.abs(min - wanted[0]) < 0.6 && Math.abs((max ?? min) - wanted[1]) < 0.6;
}

/** Turns that are counted in all are counted turn by turn: "10 in total, alternating" is ten, and not ten on each side. */
function sidesMeant(text: string, sides: string): string {
  const inAll = /\b(?:in all|in total|total|altogether|all told)\b/i.test(text);
  return sides === 'alternating' && inAll && !/\b(?:each side|per|a side|ea)\b|\//i.test(text) ? 'turn-by-turn' : sides;
}

/** A still hold is a movement that is held; its time is for both sides together. */
function isStillHold(meant: Meaning, read: ReadLine): boolean {
  const [asked, min, max] = read.counts.seconds ?? [];
  if (read.kind !== 'movement' || meant.seconds === null || asked === undefined) return false;
  const times = meant.sides === null ? 1 : 2;
  const wanted = [meant.seconds[0] * times, meant.seconds[1] * times] as const;
  return wanted[0] === wanted[1] ? sameRange(wanted, asked) : sameRange(wanted, min, max);
}

/** Whether a line was understood as one of the things it may mean: kind, name and every amount. */
export function isAsMeant({ meanings, text }: HandLine, read: ReadLine): boolean {
  return meanings.some((meant) => {
    const { rounds, roundsWithin, sides, startSide, ownPace, seconds }: Counts = read.counts;
    if (meant.kind === 'still') return isStillHold(meant, read);
    if (firstOf(meant.kind) !== read.kind && !(meant.kind === 'said' && read.kind === 'talk')) return false;
    if (meant.name !== null && meant.name.toLowerCase() !== read.words.toLowerCase()) return false;
    if (meant.kind === 'movement' && meant.own !== (ownPace === true)) return false;
    if (meant.sides !== null && sidesMeant(text, meant.sides) !== (sides ?? 'together')) return false;
    if (meant.start !== null && meant.start !== startSide) return false;
    if (
      meant.rounds === null
        ? meant.kind === 'movement' && rounds !== undefined
        : !sameRange(meant.rounds, roundsWithin?.[0] ?? rounds, roundsWithin?.[1])
    )
      return false;
    if (meant.seconds === null) return true;
    const [asked, min, max] = seconds ?? [];
    if (asked === undefined) return false;
    const single = meant.seconds[0] === meant.seconds[1];
    return single ? sameRange(meant.seconds, asked) : sameRange(meant.seconds, min, max);
  });
}
