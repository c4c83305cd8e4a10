import { sameDocument } from '@/core/document';
import { CONTENT_FIELDS } from './make';
import type { Movement, MovementContent } from './schema';
import { type Caution, type Pacing, type SectionRole, type SidePlan, type Stance } from './vocabulary';

/** What a list of movements shows and searches of one. */
export interface MovementSummary {
  readonly name: string;
  readonly traditionalName: string;
  readonly otherNames: readonly string[];
  readonly roles: readonly SectionRole[];
  readonly tags: readonly string[];
  readonly stanceStart: Stance | null;
  readonly stanceEnd: Stance | null;
  readonly sides: SidePlan;
  readonly pacedBy: Pacing;
  readonly rounds: number;
  readonly seconds: number;
  readonly levels: number;
  readonly cautions: readonly Caution[];
  /** Whether there is a seated version, or it is done seated anyway. */
  readonly seated: boolean;
}

export function summaryOf(movement: Movement): MovementSummary {
  const { name, traditionalName, otherNames, roles, tags, stanceStart, stanceEnd, sides, pacedBy, cautions } = movement;
  return {
    name,
    traditionalName,
    otherNames,
    roles,
    tags,
    stanceStart,
    stanceEnd,
    sides,
    pacedBy,
    rounds: movement.preferredRounds,
    seconds: movement.preferredSeconds,
    levels: Math.max(1, movement.levels.length),
    cautions,
    seated: movement.seated.trim() !== '' || stanceStart === 'seated',
  };
}

/** What a list of movements is narrowed by; a part that is unset narrows nothing. */
export interface MovementFilter {
  readonly role?: SectionRole;
  /** At its start or its end. */
  readonly stance?: Stance;
  readonly sides?: SidePlan;
  /** Only those with this caution. */
  readonly caution?: Caution;
  /** Only those without any caution. */
  readonly noCaution?: boolean;
  /** At least so many levels. */
  readonly levels?: number;
  readonly posture?: 'standing' | 'seated';
  readonly tag?: string;
}

/** Whether a movement passes a filter. A movement that may be any stance passes every stance. */
export function passes(summary: MovementSummary, filter: MovementFilter): boolean {
  const { role, stance, sides, caution, noCaution, levels, posture, tag } = filter;
  if (role !== undefined && !summary.roles.includes(role)) return false;
  const fits = (at: Stance | null): boolean => at === null || at === stance;
  if (stance !== undefined && !fits(summary.stanceStart) && !fits(summary.stanceEnd)) return false;
  if (sides !== undefined && summary.sides !== sides) return false;
  if (caution !== undefined && !summary.cautions.includes(caution)) return false;
  if (noCaution && summary.cautions.length > 0) return false;
  if (levels !== undefined && summary.levels < levels) return false;
  if (posture === 'seated' && !summary.seated) return false;
  if (posture === 'standing' && (summary.stanceStart === 'seated' || summary.stanceStart === 'lying')) return false;
  return tag === undefined || summary.tags.includes(tag);
}

/** The fields in which a class's copy differs from the library's entry as it is now. */
export function differingFields(copy: MovementContent, entry: MovementContent): (keyof MovementContent)[] {
  return CONTENT_FIELDS.filter((field) => !sameDocument(plain(copy[field]), plain(entry[field])));
}

/** A field without the ids of its phases and lines, which every copy has of its own. */
function plain(value: unknown): unknown {
  if (!Array.isArray(value)) return value;
  return value.map((item: unknown) => (typeof item === 'object' && item !== null ? { ...item, id: undefined } : item));
}
