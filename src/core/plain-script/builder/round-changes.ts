import type { PhaseKind } from '@/core/breath';
import type { NewId } from '@/core/document';
import { makeDuring, makePhase, type DuringLine, type Phase } from '@/core/movement';
import { LIMITS, type MovementStep } from '@/core/plan';
import { ROUND_LINES } from '@/core/words';
import type { RoundChange } from '../lines/by-rounds';
import { cut } from '../model/line-words';
import type { Span } from '../phrases/spans';
import { lastOnes } from '../speech/names';

/* A movement with what changes in it on its rounds. */

/**
 * A breath in ordinary words: "arms rise" is an action, "Inhale, the arms rise." is what is said.
 * @param spoken How it is said, where its words are an action for certain.
 */
export function breathPhase(newId: NewId, kind: PhaseKind, words: string, spoken?: string): Phase {
  const word = { inhale: 'In', exhale: 'Out', hold: '', free: '' }[kind];
  const said = spoken === undefined && (SAYS_BREATH.test(words) || word === '');
  const done = said ? '' : words.replace(LEADS_ON, '');
  const action = cut(done, LIMITS.titleCharacters);
  const full = spoken ?? (said ? words : done === '' ? `${word}.` : `${word}, ${asGoesOn(done.replace(/[.!]$/, ''))}.`);
  return makePhase(newId, { kind, action, full: cut(full, LIMITS.lineCharacters) });
}

/** What says itself which breath it is. */
const SAYS_BREATH =
  /^(?:in|out|breathe)\b|\b(?:inhal\p{L}*|exhal\p{L}*|breath(?:e|es|ing) (?:in|out)|(?:in|out)-?breath)\b/iu;
const LEADS_ON = /^(?:(?:and|then|now),? )+(?=\p{L}{2})/iu;

/** "Your hands rise" behind "In,"; a name keeps its capitals. */
function asGoesOn(words: string): string {
  return /^\p{Lu}\p{Ll}/u.test(words) && !/\s\p{Lu}\p{Ll}/u.test(words) ? words.charAt(0).toLowerCase() + words.slice(1) : words; // prettier-ignore
}

/** "Last one.", said on the last round, is what that is called by; nobody says it twice. */
export function saysItIsLast({ on, number, text }: DuringLine, { lastRoundLine }: MovementStep): boolean {
  return on === 'last' && number === 1 && lastRoundLine === ROUND_LINES.last && lastOnes(text) === 1;
}

/** The movement with a change; `null` where its breath would have too many phases. */
export function withRoundChange(newId: NewId, step: MovementStep, { span, what }: RoundChange): MovementStep | null {
  if (what.kind === 'said') {
    const line = makeDuring(newId, cut(what.words, LIMITS.lineCharacters), { on: 'round', number: span.from, layer: what.layer }); // prettier-ignore
    return { ...step, during: [...step.during, line].slice(0, LIMITS.spokenLines) };
  }
  const usual = step.pattern.length > 0 ? step.pattern : [makePhase(newId, { kind: 'inhale' }), makePhase(newId, { kind: 'exhale' })]; // prettier-ignore
  const pattern = changed(newId, usual, span, what);
  return pattern.length > LIMITS.phases ? null : { ...step, pattern };
}

type Changed = Exclude<RoundChange['what'], { kind: 'said' }>;

function changed(newId: NewId, pattern: readonly Phase[], span: Span, what: Changed): readonly Phase[] {
  if (what.kind === 'hold') {
    const hold = makePhase(newId, { kind: 'hold', share: null, seconds: what.seconds, ...stretchOf(span) });
    const after = pattern.findLastIndex(({ kind }) => kind === (what.where === 'full' ? 'inhale' : 'exhale'));
    const at = after < 0 || what.where === 'here' ? pattern.length : after + 1;
    return [...pattern.slice(0, at), hold, ...pattern.slice(at)];
  }
  if (what.kind === 'breath') {
    const often = (kind: PhaseKind): number =>
      pattern.filter((phase) => phase.kind === kind && meets(phase, span)).length;
    const seconds = {
      inhale: what.breath[0] / Math.max(1, often('inhale')),
      exhale: what.breath[1] / Math.max(1, often('exhale')),
    };
    return pattern.flatMap((phase) => {
      const led = phase.kind === 'inhale' || phase.kind === 'exhale';
      if (!led || !meets(phase, span)) return phase;
      const within = { ...phase, ...inSpan(phase, span), id: newId(), seconds: seconds[phase.kind] };
      const [before, behind] = around(newId, phase, span);
      return [...before, within, ...behind];
    });
  }
  const first = pattern.findIndex((phase) => meets(phase, span));
  const made = what.phases.map(({ kind, words, said }) => ({
    ...breathPhase(newId, kind === 'exhale' ? 'exhale' : 'inhale', words, said),
    ...stretchOf(span),
  }));
  const kept = pattern.map((phase) => (meets(phase, span) ? around(newId, phase, span) : ([[phase], []] as const)));
  const before = kept.flatMap(([one]) => one);
  const behind = kept.flatMap(([, one]) => one);
  return first < 0 ? [...pattern, ...made] : [...before, ...made, ...behind];
}

const stretchOf = ({ from, to }: Span): Pick<Phase, 'fromRound' | 'toRound'> => ({ fromRound: from, toRound: to });
const endOf = (to: number | null): number => to ?? Infinity;

function meets({ fromRound, toRound }: Phase, { from, to }: Span): boolean {
  return fromRound <= endOf(to) && endOf(toRound) >= from;
}

/** The rounds of a phase that lie in a stretch. */
function inSpan({ fromRound, toRound }: Phase, { from, to }: Span): Pick<Phase, 'fromRound' | 'toRound'> {
  const last = Math.min(endOf(toRound), endOf(to));
  return { fromRound: Math.max(fromRound, from), toRound: last === Infinity ? null : last };
}

/** What is left of a phase before and behind a stretch. */
function around(newId: NewId, phase: Phase, { from, to }: Span): readonly [readonly Phase[], readonly Phase[]] {
  const before = phase.fromRound < from ? [{ ...phase, toRound: from - 1 }] : [];
  const behind = to !== null && endOf(phase.toRound) > to ? [{ ...phase, id: newId(), fromRound: to + 1 }] : [];
  return [before, behind];
}
