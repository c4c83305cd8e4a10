import { ISSUES_AT_MOST, judge, readJson } from '@/core/document';
import { failed, ok, type Issue, type Result } from '@/core/units';
import { MOVEMENT_LIMITS } from './limits';
import { NO_MOMENTS, NO_SHORTS } from './make';
import { checkContent } from './relations';
import { contentFields, movementSchema, type Movement, type MovementContent, type Phase } from './schema';
import { MOVEMENT_FORMAT, MOVEMENT_VERSION, type SidePlan } from './vocabulary';

type Doc = Readonly<Record<string, unknown>>;

/** The door for library entries: any value in, a valid movement out, or every problem at its place. */
export function readMovement(raw: unknown): Result<Movement, readonly Issue[]> {
  const wrong = notOurs(raw);
  if (wrong) return failed([wrong]);
  const judged = judge(movementUpToDate(raw), movementSchema);
  if (!judged.ok) return judged;
  const movement = judged.value as Movement;
  const issues: Issue[] = [];
  const seen = new Set<string>();
  const once = (id: string, at: string): void => {
    if (seen.has(id)) issues.push({ code: 'id-twice', at: `${at}.id`, facts: { id } });
    seen.add(id);
  };
  issues.push(...checkContent(movement, '', once));
  return issues.length > 0 ? failed(issues.slice(0, ISSUES_AT_MOST)) : ok(movement);
}

/** The same from the text of a file. */
export function readMovementText(text: string): Result<Movement, readonly Issue[]> {
  const json = readJson(text, MOVEMENT_LIMITS.movementBytes);
  return json.ok ? readMovement(json.value) : failed([json.problem]);
}

function notOurs(raw: unknown): Issue | null {
  const document = typeof raw === 'object' && raw !== null ? (raw as Record<string, unknown>) : {};
  if (document.format !== MOVEMENT_FORMAT) return { code: 'not-a-movement', at: '', facts: {} };
  const { version } = document;
  if (typeof version === 'number' && version > MOVEMENT_VERSION) {
    return { code: 'newer-version', at: 'version', facts: { version, known: MOVEMENT_VERSION } };
  }
  return typeof version === 'number' && Number.isInteger(version) && version >= 1
    ? null
    : { code: 'no-version', at: 'version', facts: {} };
}

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

/** A document with some of its fields under other names; what has none of the older ones stays as it is. */
export function renamedFields(document: Doc, names: ReadonlyMap<string, string>): Doc {
  return Object.fromEntries(Object.entries(document).map(([key, value]) => [names.get(key) ?? key, value]));
}

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

function asDoc(value: unknown): Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {};
}

/** The content alone of an entry or of a class's copy: the fields that both have, in the same order. */
export function contentOf(from: MovementContent): MovementContent {
  const content: Partial<Record<keyof MovementContent, unknown>> = {};
  for (const field of CONTENT_FIELDS) content[field] = from[field];
  return content as MovementContent;
}

/** Every field of a movement's content. */
export const CONTENT_FIELDS = Object.keys(contentFields) as readonly (keyof MovementContent)[];
