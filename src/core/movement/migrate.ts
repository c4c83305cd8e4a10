import { asDoc, renamedFields, type Doc } from '@/core/document';
import { NO_MOMENTS, NO_SHORTS } from './make';
import type { Phase } from './schema';
import { MOVEMENT_FORMAT, MOVEMENT_VERSION, type SidePlan } from './vocabulary';

/**
 * An entry of an older version as this one writes it; anything else as it is. Version 1 had fewer moments for words,
 * version 2 one wording for each, version 3 other names for fields and values.
 */
export function movementUpToDate(raw: unknown): unknown {
  const document = asDoc(raw);
  const { format, version } = document;
  if (format !== MOVEMENT_FORMAT || (version !== 1 && version !== 2 && version !== 3)) return raw;
  const second = version === 1 ? contentSince2(document) : document;
  const third = version < 3 ? contentSince3(second) : second;
  return { ...contentSince4(third), version: MOVEMENT_VERSION };
}

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
