import { asDoc, renamedFields, type Doc } from '@/core/document';
import { ROUND_LINES } from '@/core/words';
import { CALL_BACK_LEAD, NO_MOMENTS, NO_SHORTS } from './make';
import type { Phase } from './schema';
import { MOVEMENT_FORMAT, MOVEMENT_VERSION, type SidePlan } from './vocabulary';

/**
 * An entry of an older version as this one writes it; anything else as it is. Version 1 had fewer moments for words,
 * version 2 one wording for each, version 3 other names for fields and values,
 * version 4 no words while the rounds run.
 */
export function movementUpToDate(raw: unknown): unknown {
  const document = asDoc(raw);
  const { format, version } = document;
  if (format !== MOVEMENT_FORMAT || !OLDER.has(version)) return raw;
  const second = version === 1 ? contentSince2(document) : document;
  const third = version === 1 || version === 2 ? contentSince3(second) : second;
  const fourth = version === 4 ? third : contentSince4(third);
  return { ...contentSince5(fourth), version: MOVEMENT_VERSION };
}

const OLDER: ReadonlySet<unknown> = new Set([1, 2, 3, 4]);

const NAMES_BEFORE_4: ReadonlyMap<string, string> = new Map([
  ['lead', 'pacedBy'],
  ['inShare', 'inhaleShare'],
  ['leastRounds', 'minRounds'],
  ['mostRounds', 'maxRounds'],
  ['leastSeconds', 'minSeconds'],
  ['mostSeconds', 'maxSeconds'],
]);
const SIDES_BEFORE_4: ReadonlyMap<unknown, SidePlan> = new Map([
  ['none', 'together'],
  ['alternate', 'alternating'],
  ['in-turn', 'one-then-other'],
  ['each-way', 'both-directions'],
]);
const PHASES_BEFORE_4: ReadonlyMap<unknown, Phase['kind']> = new Map([
  ['in', 'inhale'],
  ['out', 'exhale'],
  ['rest', 'hold'],
]);

/** A movement's content from before fields and values had the words of the screens. */
export function contentSince4(content: Doc): Doc {
  const { sides, pacedBy, pattern, ...rest } = renamedFields(content, NAMES_BEFORE_4);
  return {
    ...rest,
    ...(sides === undefined ? {} : { sides: SIDES_BEFORE_4.get(sides) ?? sides }),
    ...(pacedBy === undefined ? {} : { pacedBy: pacedBy === 'own' ? 'own-pace' : pacedBy }),
    pattern: Array.isArray(pattern) ? pattern.map(phaseSince4) : pattern,
  };
}

/** A movement's content from before words while the rounds run, patterns that change, and several lines of a level. */
export function contentSince5(content: Doc): Doc {
  return {
    during: [],
    breathWay: null,
    belly: null,
    outBreath: null,
    wayChangeLine: ROUND_LINES.wayChange,
    callBackLeadSeconds: CALL_BACK_LEAD,
    ...content,
    pattern: eachOf(content.pattern, { fromRound: 1, toRound: null }),
    levels: Array.isArray(content.levels) ? content.levels.map(levelSince5) : content.levels,
  };
}

function levelSince5(level: unknown): unknown {
  const { line, ...rest } = asDoc(level);
  return typeof line === 'string' ? { ...rest, lines: line === '' ? [] : [line] } : level;
}

function phaseSince4(phase: unknown): unknown {
  const { kind, ...rest } = asDoc(phase);
  return kind === undefined ? phase : { ...rest, kind: PHASES_BEFORE_4.get(kind) ?? kind };
}

/** A movement's content from before shorter wordings of the lines that belong to no phase. */
export function contentSince3(content: Doc): Doc {
  return { shorts: NO_SHORTS, ...content };
}

/** A movement's content from before moments, layers, leads of single lines and held forms. */
export function contentSince2(content: Doc): Doc {
  return {
    fadePins: [],
    moments: NO_MOMENTS,
    counting: null,
    ...content,
    pattern: eachOf(content.pattern, { leadSeconds: null }),
    teach: eachOf(content.teach, { layer: null }),
    levels: eachOf(content.levels, { line: '' }),
  };
}

function eachOf(items: unknown, added: Readonly<Record<string, unknown>>): unknown {
  return Array.isArray(items) ? items.map((item: unknown) => ({ ...added, ...asDoc(item) })) : items;
}
