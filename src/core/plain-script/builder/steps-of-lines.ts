import { makePhase, sideCount, type Phase, type SpokenLine } from '@/core/movement';
import {
  makeMovement,
  isMovement,
  isSilence,
  LIMITS,
  makeSilence,
  makeTalk,
  makeTransition,
  roundsAsked,
  type ClassPlan,
  type MovementStep,
  type SilenceStep,
  type Step,
} from '@/core/plan';
import type { NewId } from '@/core/document';
import { ROUND_LINES } from '@/core/words';
import { breathOfStep, type BreathRests } from '../phrases/breath-counts';
import { cut, name } from '../model/line-words';
import { CLASS_FROM, POSTURE_FROM, secondsFrom, type Counts } from '../model/model';
import type { StepSettings } from '../model/reading';

/* The steps that lines of ordinary writing make, with their amounts. */

/** Between two lines that are said, in seconds. */
export const PAUSE_SECONDS = 1.5;

/** A line that is said. */
export function lineOf(
  newId: NewId,
  text: string,
  pauseSeconds = PAUSE_SECONDS,
  layer: SpokenLine['layer'] = null,
): SpokenLine {
  return { id: newId(), text: cut(text, LIMITS.lineCharacters), pauseSeconds, layer };
}

/** A movement with the amounts that are written of it. */
export function counted(newId: NewId, step: MovementStep, counts: Counts, pace: ClassPlan['pace']): MovementStep {
  const { rounds, roundsWithin, sides, startSide, seconds, ownPace, held, hold, breath, rests } = counts;
  let next = { ...step, sides: sides ?? step.sides, startSide: startSide ?? step.startSide };
  // Between two directions nobody changes sides.
  if (sides === 'both-directions' && step.sideChangeLine === ROUND_LINES.sideChange)
    next = { ...next, sideChangeLine: ROUND_LINES.wayChange };
  if (breath) next = { ...next, ...breathOfStep(breath, pace) };
  if (rounds !== undefined) next = { ...next, ...roundsAsked(next, rounds) };
  if (seconds === undefined && isInRounds(step, rounds)) next = { ...next, pacedBy: 'breath' };
  if (roundsWithin) next = { ...next, minRounds: roundsWithin[0], maxRounds: roundsWithin[1] };
  if (seconds !== undefined && (rounds === undefined || ownPace)) {
    const [asked, minSeconds, maxSeconds] = seconds;
    // A time below "own pace" is how long they have.
    const pacedBy = held || POSTURE.test(step.name) ? 'held' : step.pacedBy === 'own-pace' ? 'own-pace' : 'clock';
    next = { ...next, pacedBy, seconds: asked, preferredSeconds: asked, minSeconds, maxSeconds };
  }
  if (ownPace && rounds !== undefined && seconds === undefined) next = ownRounds(newId, next, rounds, pace);
  else if (ownPace) next = { ...next, pacedBy: rounds === undefined ? 'own-pace' : 'breath-then-own-pace' };
  if (rests) return { ...next, pattern: restedBreath(newId, rests) };
  if (hold === undefined) return next;
  const rest = makePhase(newId, { kind: 'hold', share: null, seconds: hold });
  return {
    ...next,
    pattern: [makePhase(newId, { kind: 'inhale' }), rest, makePhase(newId, { kind: 'exhale' })],
  };
}

/** "Lifting the lantern (3 min)" over "repeat 8 times": rounds that may well take that time are led, each with a breath. */
function isInRounds(step: MovementStep, rounds = 0): boolean {
  const { min, max } = ROUND_SECONDS;
  const once = step.seconds / (rounds * sideCount(step.sides));
  return step.pacedBy === 'clock' && rounds > 1 && once >= min && once <= max;
}

/** A round takes about as long as a breath or two. */
const ROUND_SECONDS = { min: 5, max: 30 } as const;

/** "x4, own pace": as long as so many rounds take when they are led; how many is said. */
function ownRounds(newId: NewId, step: MovementStep, rounds: number, pace: ClassPlan['pace']): MovementStep {
  const sides = sideCount(step.sides);
  const all = Math.ceil((rounds * sides * step.paceMultiplier * pace.breathSeconds) / 5) * 5;
  const [preferredSeconds, minSeconds, maxSeconds] = secondsFrom([all, all], 1);
  const often = lineOf(
    newId,
    `${rounds === 1 ? 'Once' : `${rounds} times`}${sides > 1 ? ' each' : ''}, at your own pace.`,
  );
  // What is shown is done by nobody else.
  const teach = SHOWN.test(step.name) ? step.teach : [...step.teach, often].slice(0, LIMITS.spokenLines);
  return { ...step, pacedBy: 'own-pace', seconds: preferredSeconds, preferredSeconds, minSeconds, maxSeconds, teach };
}

const SHOWN = /^(?:demo|show|watch)/i;

/** "Horse stance", "Tree pose", "Standing post", "Stand like a tree": for some time, it is held. Common practice, no published source. */
const POSTURE =
  /^(?!.*\b(?:on|of|about|your|the|check|correct\p{L}*|feel|find|fix|notes?)\b)\p{L}.* (?:stance|posture|pose)$|^stand(?:ing)? (?:post|pillar|tree|pole|stake|pile|mountain|column|pine)$|^(?:tree|post|pillar|pole|stake|pile|mountain|zhan zhuang) (?:standing|stance)$|^stand(?:ing)? (?:still )?(?:like|as) (?:a|an|the) \p{L}+$|^(?:hug(?:ging)?|embrac(?:e|ing)) (?:the |a )?(?:tree|post)$|^zhan zhuang$/iu;

/** A movement with what a line below it sets. */
export function withSettings(
  newId: NewId,
  step: MovementStep,
  sets: StepSettings,
  pace: ClassPlan['pace'],
): MovementStep {
  const { breath, breathWay, callBackSeconds, callBackWords, changeWords, counting } = sets;
  const free = breath === 'free' && step.pattern.length === 0;
  return {
    ...step,
    ...(free ? { pattern: [makePhase(newId, { kind: 'free', share: null, seconds: pace.breathSeconds })] } : {}),
    ...(breathWay ? { breathWay } : {}),
    ...(counting ? { counting } : {}),
    ...(callBackSeconds === undefined
      ? {}
      : { callBackLeadSeconds: Math.min(LIMITS.callBackLeadSeconds.max, callBackSeconds) }),
    ...(changeWords === undefined
      ? {}
      : {
          sideChangeLine: cut(changeWords, LIMITS.lineCharacters),
          startSide: beforeChange(changeWords) ?? step.startSide,
        }),
    ...(callBackWords === undefined ? {} : calledBack(step, cut(callBackWords, LIMITS.lineCharacters))),
  };
}

/** "Two more, then hands down": where rounds are counted, two are left then. */
function calledBack(step: MovementStep, words: string): Partial<MovementStep> {
  const counted = step.pacedBy === 'breath' && /^(?:and |now )?(?:two|2) more\b/i.test(words);
  return counted ? { moments: { ...step.moments, roundsLeft: words } } : { lastRoundLine: words };
}

/** The side that was done before “And the left leg, thirty seconds.”; `null` where it names none, or both. */
function beforeChange(words: string): 'left' | 'right' | null {
  const [left, right] = [NAMES_LEFT.test(words), NAMES_RIGHT.test(words)];
  return left === right ? null : left ? 'right' : 'left';
}

/** “All right, thirty seconds left” names no side. */
const namesSide = (side: string): RegExp =>
  new RegExp(
    `(?:\\b(?:the|your|to|on|with) |^(?:and |now |then |okay,? |so,? )*)${side}\\b(?! (?:away|now|place|time|of|over|out|behind)\\b)|(?<!\\ball )\\b${side} (?=sides?|legs?|foot|feet|arm|hand|palm|knee|hip|heel|elbow|shoulder|ankle|wrist|one)`,
    'i',
  );
const [NAMES_LEFT, NAMES_RIGHT] = [namesSide('left'), namesSide('right')];

/** One breath that rests where it is full, where it is empty, or both. */
function restedBreath(newId: NewId, [full, empty]: BreathRests): Phase[] {
  const rest = (seconds: number): Phase[] =>
    seconds > 0 ? [makePhase(newId, { kind: 'hold', share: null, seconds })] : [];
  return [makePhase(newId, { kind: 'inhale' }), ...rest(full), makePhase(newId, { kind: 'exhale' }), ...rest(empty)];
}

/** A silence by its words, as long as is written. */
export function silenceOf(newId: NewId, words: string, { seconds }: Counts, said?: string): SilenceStep {
  const eyesClosed = /eyes (?:closed|shut)|(?:clos(?:e|ing)|shut(?:ting)?) (?:(?:your|the|our|their) )?eyes/i.test(
    words,
  );
  const [preferredSeconds, minSeconds, maxSeconds] = seconds ?? [40, 20, 80];
  return makeSilence(newId, name(words), {
    seconds: preferredSeconds,
    preferredSeconds,
    minSeconds,
    maxSeconds,
    eyesClosed,
    ...(said === undefined ? {} : { openingLine: cut(said, LIMITS.lineCharacters) }),
  });
}

/** A talk by what it is about, as long as is written. */
export function talkOfLine(newId: NewId, words: string, { seconds }: Counts, said?: string): Step {
  const lines = said === undefined ? [] : [cut(said, LIMITS.lineCharacters)];
  const talk = makeTalk(newId, name(words), lines);
  if (seconds === undefined) return talk;
  const [asked, minSeconds, maxSeconds] = seconds;
  return { ...talk, timed: true, seconds: asked, preferredSeconds: asked, minSeconds, maxSeconds };
}

/** A change of place by its words. */
export function transitionOf(newId: NewId, words: string, { seconds }: Counts, said?: string): Step {
  const line = said ?? (/[.!?]$/.test(words) ? words : `${words}.`);
  return makeTransition(newId, name(words), seconds?.[0] ?? 5, cut(line, LIMITS.lineCharacters));
}

/** A movement that was given no breath has one in and one out. */
export function finished(newId: NewId, step: Step): Step {
  if (!isMovement(step) || step.pattern.length > 0) return step;
  return { ...step, pattern: [makePhase(newId, { kind: 'inhale' }), makePhase(newId, { kind: 'exhale' })] };
}

/** A movement of which only the way out is told breathes in as well, before it; of which only the way in, out behind it. */
export function withBothWays(newId: NewId, step: Step): Step {
  if (!isMovement(step) || step.pattern.length !== 1) return step;
  const [only] = step.pattern;
  if (only?.kind === 'exhale') return { ...step, pattern: [makePhase(newId, { kind: 'inhale' }), only] };
  return only?.kind === 'inhale' ? { ...step, pattern: [only, makePhase(newId, { kind: 'exhale' })] } : step;
}

/** "x6 right" and "x6 left" below one name: both sides, the one first that is written first; `null` for anything else. */
export function bothSides(step: MovementStep, { sides, startSide, seconds, rounds }: Counts): Counts | null {
  if (step.sides !== 'one-side' || sides !== 'one-side' || (startSide ?? 'left') === step.startSide) return null;
  const both = { sides: 'one-then-other', startSide: step.startSide } as const;
  if (rounds !== undefined) return rounds === step.rounds ? { ...both, rounds } : null;
  if (seconds === undefined || seconds[0] !== step.preferredSeconds) return null;
  return { ...both, ...twice({ ...step, sides: 'together' }, { sides: 'one-then-other' }) };
}

/** "Right leg forward", told of a step that is done on the other side as well, is said of each side. */
export function sidesInWords(step: MovementStep, { sides, startSide }: Counts): MovementStep {
  if (sides !== 'one-then-other' || startSide === undefined) return step;
  const first = startSide === 'right' ? /^(?:right|r) (?=(?:leg|foot|arm|hand)\b)/i : /^(?:left|l) (?=(?:leg|foot|arm|hand)\b)/i; // prettier-ignore
  return { ...step, teach: step.teach.map((line) => ({ ...line, text: line.text.replace(first, '{side} ') })) };
}

/** The rounds that a movement has, as they are written. */
export function roundsOf({
  preferredRounds,
  minRounds,
  maxRounds,
}: MovementStep): Pick<Counts, 'rounds' | 'roundsWithin'> {
  return { rounds: preferredRounds, roundsWithin: [minRounds, maxRounds] };
}

/** A step that no amount was written of, with the amount of each in its list. */
export function withAmount(newId: NewId, step: Step, counts: Counts, pace: ClassPlan['pace']): Step {
  if (isMovement(step)) return counted(newId, step, counts, pace);
  if (!isSilence(step) || !counts.seconds) return step;
  return timedBelow(step, { seconds: counts.seconds }, true) ?? step;
}

/** A hold below rounds that are counted: in each of them where it is short, else a posture behind them, which is a step of its own. */
export function heldBelow(
  newId: NewId,
  step: MovementStep,
  counts: Counts,
  pace: ClassPlan['pace'],
): { readonly done: MovementStep; readonly isNext: boolean } {
  const { held: _, seconds: [all = 0] = [], ...others } = counts;
  // The time of a hold is that of both sides.
  const hold = counts.sides === 'one-then-other' ? all / 2 : all;
  if (hold >= POSTURE_FROM) return { done: counted(newId, makeMovement(newId, step.name, { pattern: [] }), counts, pace), isNext: true }; // prettier-ignore
  if (step.pattern.length === 0) return { done: counted(newId, step, { ...others, hold }, pace), isNext: false };
  const rest = makePhase(newId, { kind: 'hold', share: null, seconds: hold });
  return { done: { ...counted(newId, step, others, pace), pattern: [...step.pattern, rest] }, isNext: false };
}

/** A silence or a talk without a time, as long as a line below it tells; `null` for any other step, and where none does. */
export function timedBelow(step: Step, { seconds, rounds }: Counts, isOpen: boolean): Step | null {
  const [asked, minSeconds, maxSeconds] = seconds ?? [];
  if (asked === undefined || minSeconds === undefined || maxSeconds === undefined || rounds !== undefined) return null;
  const times = { seconds: asked, preferredSeconds: asked, minSeconds, maxSeconds };
  if (isSilence(step)) return isOpen ? { ...step, ...times } : null;
  return step.kind === 'talk' && !step.timed && asked < CLASS_FROM ? { ...step, ...times, timed: true } : null;
}

/** A step by time that is done on the other side as well takes as long again; its time is that of both. */
export function twice(step: MovementStep, { sides, seconds, rounds }: Counts): Pick<Counts, 'seconds' | 'held'> {
  const timed = step.pacedBy === 'clock' || step.pacedBy === 'held';
  const once = sides === 'one-then-other' && step.sides === 'together' && seconds === undefined;
  if (!timed || !once || rounds !== undefined) return {};
  const both = (one: number): number => Math.min(LIMITS.countedSeconds.max, 2 * one);
  const all = [both(step.preferredSeconds), both(step.minSeconds), both(step.maxSeconds)] as const;
  return { seconds: all, held: step.pacedBy === 'held' };
}
