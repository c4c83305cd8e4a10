import type { NewId } from '@/core/document';
import { PHASE_LINES, ROUND_LINES } from '@/core/words';
import type { Seconds } from '@/core/units';
import type { DuringLine, Moments, Movement, MovementContent, Phase, Shorts, SpokenLine } from './schema';
import { MOVEMENT_FORMAT, MOVEMENT_VERSION } from './vocabulary';

export function makePhase(newId: NewId, part: Partial<Omit<Phase, 'id'>> & Pick<Phase, 'kind'>): Phase {
  const breath = PHASE_LINES[part.kind];
  const share = part.kind === 'hold' || part.kind === 'free' ? 0.1 : null;
  return {
    id: newId(),
    share,
    seconds: null,
    action: '',
    full: breath,
    short: breath,
    breath,
    leadSeconds: null,
    fromRound: 1,
    toRound: null,
    ...part,
  };
}

/** Spoken lines from texts, or from texts with the pause that follows (1.5 s when unset). */
export function spokenLines(newId: NewId, texts: readonly (string | readonly [string, number])[]): SpokenLine[] {
  return texts.map((entry) => {
    const [text, pauseSeconds] = typeof entry === 'string' ? [entry, 1.5] : entry;
    return { id: newId(), text, pauseSeconds, layer: null };
  });
}

/**
 * A line said while a movement runs: `anywhere` where no place is given.
 */
export function makeDuring(
  newId: NewId,
  text: string,
  part: Partial<Omit<DuringLine, 'id' | 'text'>> = {},
): DuringLine {
  const on = part.on ?? 'anywhere';
  return { id: newId(), text, on, number: 0, side: on === 'anywhere' ? 'first' : 'each', layer: null, ...part };
}

/** From the last word of a call back to the end, in seconds; common practice, no published source. */
export const CALL_BACK_LEAD: Seconds = 8;

/** Nothing said at any moment. */
export const NO_MOMENTS: Moments = { naming: '', caution: '', sending: '', roundsLeft: '', leaving: '' };

/** No line has a shorter wording. */
export const NO_SHORTS: Shorts = {
  naming: '',
  caution: '',
  sending: '',
  roundsLeft: '',
  lastRound: '',
  sideChange: '',
  leaving: '',
};

/** A movement of one breath, with the commonest numbers (three rounds; common practice, no published source). */
export function makeContent(newId: NewId, name: string, part: Partial<MovementContent> = {}): MovementContent {
  const preferred = part.preferredSeconds ?? 60;
  return {
    name,
    traditionalName: '',
    otherNames: [],
    stanceStart: null,
    stanceEnd: null,
    sides: 'together',
    startSide: 'left',
    pattern: [makePhase(newId, { kind: 'inhale' }), makePhase(newId, { kind: 'exhale' })],
    pacedBy: 'breath',
    preferredRounds: 3,
    minRounds: 2,
    maxRounds: 9,
    multiple: 1,
    preferredSeconds: preferred,
    minSeconds: Math.round(preferred / 2),
    maxSeconds: preferred * 2,
    paceMultiplier: 1,
    inhaleShare: null,
    teach: [],
    during: [],
    fade: ['full', 'short', 'breath'],
    fadePins: [],
    moments: NO_MOMENTS,
    shorts: NO_SHORTS,
    counting: null,
    breathWay: null,
    belly: null,
    outBreath: null,
    lastRoundLine: ROUND_LINES.last,
    sideChangeLine: ROUND_LINES.sideChange,
    wayChangeLine: ROUND_LINES.wayChange,
    callBackLeadSeconds: CALL_BACK_LEAD,
    sideChangeSeconds: 4,
    levels: [],
    cautions: [],
    seated: '',
    priority: 'middle',
    ...part,
  };
}

/** Every field of a movement's content. */
export const CONTENT_FIELDS = Object.keys(makeContent(() => '', '')) as readonly (keyof MovementContent)[];

/** The content alone of an entry or of a class's copy: the fields that both have, in the same order. */
export function contentOf(from: MovementContent): MovementContent {
  const content: Partial<Record<keyof MovementContent, unknown>> = {};
  for (const field of CONTENT_FIELDS) content[field] = from[field];
  return content as MovementContent;
}

/** A library entry. */
export function makeLibraryMovement(
  content: MovementContent,
  part: Partial<Pick<Movement, 'roles' | 'tags'>> = {},
): Movement {
  return { format: MOVEMENT_FORMAT, version: MOVEMENT_VERSION, ...content, roles: ['main'], tags: [], ...part };
}

/** The same content with new ids for its phases and lines. */
export function copyContent<Content extends MovementContent>(newId: NewId, content: Content): Content {
  return {
    ...content,
    pattern: content.pattern.map((phase) => ({ ...phase, id: newId() })),
    teach: content.teach.map((line) => ({ ...line, id: newId() })),
    during: content.during.map((line) => ({ ...line, id: newId() })),
  };
}
