import { itemAt } from '@/core/units';
import type { PhaseKind } from '@/core/breath';
import type { NewId } from '@/core/document';
import { makeDuring, makePhase, type DuringLine, type Level, type Phase, type SpokenLine } from '@/core/movement';
import {
  contractOf,
  emptyPlan,
  isMovement,
  isSilence,
  LIMITS,
  makeMovement,
  makeSection,
  makeTalk,
  type ClassPlan,
  type MovementStep,
  type Section,
  type SilenceStep,
  type Step,
} from '@/core/plan';
import { NEW_NAMES } from '@/core/words';
import { breathOfClass } from '../phrases/breath-counts';
import { changeAs, changesByRound, layerOf, type ByRounds } from '../lines/by-rounds';
import { UNTOLD } from './class-told';
import type { DoneAgain, StepsMeant } from './done-again';
import { endsSilence, isFarewell } from '../tokens/first-words';
import { guidanceIn, guidedAs, type Guided } from '../lines/guidance';
import { cut, joined, unquoted } from '../model/line-words';
import { secondsFrom, type Counts, type LineKind } from '../model/model';
import { readOver, type Over } from '../lines/over-words';
import { partsAsLong } from './part-lengths';
import { isOver, nameOfEmpty, type OpenPart } from './open-part';
import { isRest } from '../line-kinds/pauses';
import { saysHow } from '../speech/names';
import { breathPhase, saysItIsLast, withRoundChange } from './round-changes';
import { SideBlocks } from './side-blocks';
import { SilenceWords } from '../lines/silence-words';
import type { LayerPart, StepSettings } from '../model/reading';
import {
  bothSides,
  counted,
  finished,
  lineOf,
  PAUSE_SECONDS,
  roundsOf,
  sidesInWords,
  withBothWays,
  silenceOf,
  twice,
  heldBelow,
  timedBelow,
  withAmount,
  withSettings,
} from './steps-of-lines';
import { isTalkedThrough, kindOfPart } from '../line-kinds/talks';

/** A length behind the first words that are said is that of the class, where it is no shorter; else of what is said. */
const CLASS_AT_LEAST = 300;

/** The parts of a class and their steps while they are put together; lives for one reading. */
export class ClassParts {
  plan: ClassPlan;
  readonly sections: OpenPart[] = [];
  readonly blocks: SideBlocks;
  /** Movements and silences that no amount was written of yet. */
  private readonly uncounted = new Set<string>();
  /** Movements that are named by themselves above what is spoken in them. */
  private readonly spoken = new Set<string>();
  /** Whether the first steps stand above any part that is named. */
  private unnamedFirst = false;
  /** The movement that is taught in layers, in how many rounds so far, and whether these count its own. */
  private layers: { readonly stepId: string; readonly rounds: number; readonly counts: boolean } | null = null;
  /** The last silence that was written as a rest or a pause. */
  private restId: string | null = null;
  private readonly silent: SilenceWords;

  constructor(private readonly newId: NewId) {
    this.blocks = new SideBlocks(newId);
    this.silent = new SilenceWords(newId);
    this.plan = { ...emptyPlan(newId, NEW_NAMES.class, UNTOLD), sections: [] };
  }

  get stepCount(): number {
    return this.sections.reduce((sum, { steps }) => sum + steps.length, 0);
  }

  /** The sections as they are, each as long as it is told to be, all movements with a breath: in ordinary writing both ways. */
  done(isTidy: boolean): readonly Section[] {
    if (this.blocks.isBelow(Infinity)) this.closeBlock('opened');
    this.nameOpening();
    const parts = this.sections.map(({ section, steps, counts }) => ({ section: { ...section, steps }, counts }));
    const sections = partsAsLong(this.newId, this.plan, parts, this.uncounted).map((section) => ({
      ...section,
      steps: section.steps.map((step) => finished(this.newId, isTidy ? step : withBothWays(this.newId, step))),
    }));
    return sections.length > 0 ? sections : [makeSection(this.newId, 'main')];
  }

  /** What a line sets of the movement above. A breath that is free leads none. */
  set(sets: StepSettings): void {
    const step = this.current();
    if (!isMovement(step)) return;
    if (sets.before !== undefined) {
      const teach = [...step.teach, lineOf(this.newId, sets.before)];
      return this.replace({ ...step, teach: teach.slice(0, LIMITS.spokenLines) });
    }
    if (sets.during !== undefined) {
      if (step.during.length >= LIMITS.spokenLines) return this.sayOrLeave(sets.during, null);
      return this.over(makeDuring(this.newId, cut(sets.during, LIMITS.lineCharacters), sets.place ?? {}));
    }
    this.replace(withSettings(this.newId, sets.layers ? this.layered(step, sets.layers) : step, sets, this.plan.pace));
  }

  /** A movement with layers that join one after the other; where nothing counts its rounds, they do. */
  private layered(step: MovementStep, layers: readonly LayerPart[]): MovementStep {
    const begun = this.layers?.stepId === step.id ? this.layers : { rounds: 0, counts: this.uncounted.has(step.id) };
    let { rounds } = begun;
    let next = step;
    for (const { words, rounds: often } of layers) {
      const span = { from: rounds + 1, to: null, how: 'from' } as const;
      const fits = begun.counts || rounds < step.preferredRounds;
      const what = { kind: 'said', words, layer: layerOf(words) } as const;
      next = (fits ? withRoundChange(this.newId, next, { span, what }) : null) ?? next;
      rounds += often ?? 1;
    }
    this.layers = { stepId: step.id, rounds, counts: begun.counts };
    if (!begun.counts) return next;
    this.uncounted.delete(step.id);
    return counted(this.newId, next, { rounds }, this.plan.pace);
  }

  /** Steps begin here that are done again on the other side. */
  openBlock(again: Exclude<DoneAgain, { what: 'again' | 'repeats' }>): void {
    this.blocks.open(again, { parts: this.sections.length, steps: this.sections.at(-1)?.steps ?? [] });
  }

  /** What is said above the first part that is named, is said for a welcome. */
  private nameOpening(): void {
    const [first, next] = this.sections;
    const opens = this.unnamedFirst && next !== undefined && first?.steps.every(({ kind }) => kind === 'talk');
    if (first && opens) first.section = makeSection(this.newId, 'welcome');
  }

  open(section: Section, counts: Counts = {}, marked = false): void {
    this.sections.push({ section, steps: [], counts, marked });
  }

  current(): Step | undefined {
    return this.sections.at(-1)?.steps.at(-1);
  }

  /** @param counts Where it may have amounts and has none, it is as long as its part gives it. */
  add(step: Step, counts?: Counts, heads = false): void {
    if (heads) this.spoken.add(step.id);
    if (counts && counts.rounds === undefined && counts.seconds === undefined) this.uncounted.add(step.id);
    if (isMovement(step) && isOver(this.sections.at(-1))) this.open(makeSection(this.newId, 'main'));
    if (this.sections.length === 0) {
      this.unnamedFirst = true;
      this.open(makeSection(this.newId, 'main'));
    }
    itemAt(this.sections, this.sections.length - 1).steps.push(step);
  }

  /** Whether the last step is a movement of which nothing but its name is written. */
  wantsAmount(): boolean {
    const step = this.current();
    return isMovement(step) && this.uncounted.has(step.id) && step.teach.length + step.pattern.length === 0;
  }

  /** Whether no amount is written of the movement above. */
  isUncounted(): boolean {
    const step = this.current();
    return isMovement(step) && this.uncounted.has(step.id);
  }

  /** The name of the part that is open, where it has no step and no time, and is no usual part of a class. */
  nameOfOpen(): string | null {
    return nameOfEmpty(this.sections.at(-1));
  }

  /** Whether what stands below the movement above is spoken in it. */
  isSpoken(): boolean {
    const step = this.current();
    return step !== undefined && this.spoken.has(step.id);
  }

  replace(step: Step): void {
    const steps = this.sections.at(-1)?.steps;
    if (steps && steps.length > 0) steps[steps.length - 1] = step;
  }

  /** A line that is said: in a talk or, taught, in a movement that has no breath yet; else in a new talk. */
  say(text: string, pauseSeconds: number, layer: SpokenLine['layer'] = null): void {
    const line = lineOf(this.newId, text, pauseSeconds, layer);
    const step = this.current();
    const longer = step && contractOf(step).withLine(step, line);
    if (longer) this.replace(longer);
    else this.add({ ...makeTalk(this.newId, 'Talk', []), lines: [line] });
  }

  /** Below a movement's breath: said after its rounds, or in them how it is done; below a silence: into it, while there is room. */
  sayOrLeave(text: string, pause: number | null, how = false): void {
    const pauseSeconds = pause ?? PAUSE_SECONDS;
    const silence = this.silence(text);
    if (silence) {
      const ends = text === '' || endsSilence(unquoted(text)) || silence.id === this.restId;
      const longer = ends
        ? null
        : this.silent.withMore(silence, { words: unquoted(text), at: null, pause }, this.plan.voice);
      if (longer) return this.replaceSilence(longer);
      if (isSilence(this.current())) this.add(makeTalk(this.newId, 'Talk', []));
    }
    // What takes leave is said behind all, and in no movement.
    const counts = isMovement(this.current()) && !this.isUncounted();
    if (counts && isFarewell(text)) this.add(makeTalk(this.newId, 'Talk', []));
    const step = this.current();
    const behind = isMovement(step) && (step.pattern.length > 0 || (counts && this.isSpoken()));
    if (!behind || text === '') return this.say(text, pauseSeconds);
    if (how || saysHow(unquoted(text))) return this.set({ during: text });
    const leaving = joined(step.moments.leaving, text);
    this.replace({ ...step, moments: { ...step.moments, leaving: cut(leaving, LIMITS.lineCharacters) } });
  }

  phase(phase: Phase): void {
    const step = this.current();
    if (!isMovement(step)) return;
    this.replace({ ...step, pattern: [...step.pattern, phase].slice(0, LIMITS.phases) });
  }

  /** A breath in ordinary words: `in: arms rise` is an action, "Inhale, the arms rise." is what is said. */
  breathe(kind: PhaseKind & LineKind, words: string, counts: Counts, said?: string): void {
    if (!isMovement(this.current())) this.add(makeMovement(this.newId, 'Breathing', { pattern: [] }));
    const [seconds] = counts.seconds ?? [];
    this.phase({ ...breathPhase(this.newId, kind, words, said), ...(seconds === undefined ? {} : { seconds }) });
    if (kind === 'exhale' && seconds !== undefined) this.breatheByCounts();
    if (counts.hold !== undefined) this.rest(counts.hold);
  }

  /** Where both ways have their seconds, they are the breath of the movement, which may be fitted. */
  private breatheByCounts(): void {
    const step = this.current();
    if (!isMovement(step) || step.pattern.length !== 2) return;
    const [inhale, exhale] = step.pattern.map(({ seconds }) => seconds);
    if (typeof inhale !== 'number' || typeof exhale !== 'number') return;
    this.replace({ ...step, pattern: step.pattern.map((phase) => ({ ...phase, seconds: null })) });
    this.count({ breath: [inhale, exhale] });
  }

  private rest(seconds: number): void {
    const { min, max } = LIMITS.phaseSeconds;
    const held = Math.min(max, Math.max(min, seconds));
    this.phase(makePhase(this.newId, { kind: 'hold', share: null, seconds: held }));
  }

  /** A pause behind what is said last; a rest, and a pause behind what is done, is a silence of its own. */
  pause(words: string, seconds: number): void {
    const step = this.current();
    const told = isSilence(step) && step.openingLine !== '' && !isRest(words, seconds) && seconds < step.seconds;
    if (told)
      return this.replace(this.silent.guided(step, { told: [], pause: seconds, unsure: false }, this.plan.voice));
    const said = step?.kind === 'talk' || (isMovement(step) && step.pattern.length === 0 && step.teach.length > 0);
    const paused = said && !isRest(words, seconds) ? contractOf(step).withPause(step, seconds) : null;
    if (paused) this.replace(paused);
    else this.rested(words, seconds);
  }

  /** A silence in which nothing is said: what is written below is said behind it. */
  private rested(words: string, seconds: number): void {
    const step = silenceOf(this.newId, words || NEW_NAMES.silence, { seconds: secondsFrom([seconds, seconds], 1) });
    this.restId = step.id;
    this.add(step);
  }

  /** What a label says of the movement it stands under; said where there is none. */
  aside(kind: 'caution' | 'level' | 'seated', words: string, label = words): void {
    const step = this.current();
    if (!isMovement(step)) return this.say(words, PAUSE_SECONDS);
    const line = cut(words, LIMITS.lineCharacters);
    if (kind === 'caution') {
      const caution = joined(step.moments.caution, line);
      return this.replace({ ...step, moments: { ...step.moments, caution: cut(caution, LIMITS.lineCharacters) } });
    }
    if (kind === 'seated') return this.replace({ ...step, seated: cut(words, LIMITS.noteCharacters) });
    this.level({ name: cut(label, LIMITS.titleCharacters), note: '', lines: [line] });
  }

  level(level: Level): void {
    const step = this.current();
    if (isMovement(step)) this.replace({ ...step, levels: [...step.levels, level].slice(0, LIMITS.levels) });
  }

  /** What a line below a silence tells of it; `null` where it tells of something else. */
  guidance(line: string, inset: boolean, listed: boolean, as: (words: string) => string): Guided | null {
    const step = this.silence(line);
    if (!step || step.id === this.restId) return null;
    const found = guidanceIn(line, { lasting: step.seconds, inset, listed, ofPart: !this.current() });
    const guided = found && guidedAs(found, as);
    if (guided) this.replaceSilence(this.silent.guided(step, guided, this.plan.voice));
    return guided;
  }

  /** The silence above; also that which a part is by its name and its time, where nothing stands in it yet. */
  private silence(told = ''): SilenceStep | null {
    const step = this.current();
    const part = this.sections.at(-1);
    if (step || !part) return isSilence(step) ? step : null;
    const { section, counts } = part;
    if (!counts.seconds || kindOfPart(section.title) !== 'silence' || isTalkedThrough(told)) return null;
    return silenceOf(this.newId, section.title, counts);
  }

  /** Whether the last line opened a part that is a silence as a whole. */
  isPart(): boolean {
    return this.current() === undefined && this.silence() !== null;
  }

  private replaceSilence(silence: SilenceStep): void {
    if (this.current()) this.replace(silence);
    // It has what its part leaves it.
    else this.add(silence, {});
  }

  /** A line over the rounds of the movement above, or over its silence, in ordinary words. */
  overRounds(line: string, inset: boolean): Over | null {
    const step = this.current();
    if (!isMovement(step) && !isSilence(step)) return null;
    const timed = !isMovement(step) || step.pacedBy !== 'breath';
    const over = readOver(this.newId, line, timed ? step.seconds : null, inset);
    const byRound = over !== null && over.line.on !== 'anywhere' && over.line.on !== 'time';
    return byRound && !isMovement(step) ? null : over;
  }

  /** What a line changes by the rounds of the movement above, if it is more than a line said `over` them; else `null`. */
  byRounds(line: string, inset: boolean, over: boolean, as: (words: string) => string): ByRounds | null {
    const step = this.current();
    if (!isMovement(step) || (step.pacedBy !== 'breath' && step.pacedBy !== 'breath-then-own-pace')) return null;
    const found = changesByRound(line, { rounds: step.preferredRounds, inset, breathes: step.pattern.length > 0 });
    const [only, other] = found?.changes ?? [];
    if (over && only?.what.kind === 'said' && only.span.how !== 'range' && !other) return null;
    const changes = (found?.changes ?? []).map((change) => changeAs(change, as));
    let next: MovementStep | null = step;
    for (const change of changes) next = next && withRoundChange(this.newId, next, change);
    if (!found || !next) return null;
    this.replace(next);
    return { ...found, changes };
  }

  over(line: DuringLine): void {
    const step = this.current();
    if (isMovement(step) && saysItIsLast(line, step)) this.replace({ ...step, lastRoundLine: line.text });
    else if (isMovement(step) || isSilence(step))
      this.replace({ ...step, during: [...step.during, line].slice(0, LIMITS.spokenLines) });
  }

  /** An amount for each of the steps written last that have none; of one alone it is its own. */
  countEach(each: Counts, ofOne: Counts): void {
    const steps = this.sections.at(-1)?.steps ?? [];
    const counted = steps.findLastIndex(({ id }) => !this.uncounted.has(id));
    const open = steps.slice(counted + 1);
    if (open.length < 2) return this.count(ofOne);
    steps.splice(counted + 1, open.length, ...open.map((step) => withAmount(this.newId, step, each, this.plan.pace)));
    for (const { id } of open) this.uncounted.delete(id);
  }

  count(counts: Counts): void {
    const step = this.current();
    if (step === undefined && counts.breath)
      this.plan = { ...this.plan, pace: breathOfClass(counts.breath, this.plan.pace) };
    const opening = this.sections.every(({ steps }) => steps.every(({ kind }) => kind === 'talk'));
    const [seconds = 0] = counts.seconds ?? [];
    if (seconds > 0 && (step === undefined || (opening && seconds >= CLASS_AT_LEAST)))
      this.plan = { ...this.plan, targetSeconds: seconds };
    const lasting = step && timedBelow(step, counts, this.uncounted.has(step.id));
    if (lasting) {
      this.uncounted.delete(lasting.id);
      this.replace(lasting);
    }
    if (!isMovement(step)) return;
    const isLed = step.pacedBy === 'breath' && !this.uncounted.has(step.id);
    if (isLed && counts.held && counts.rounds === undefined) {
      const { done, isNext } = heldBelow(this.newId, step, counts, this.plan.pace);
      return isNext ? this.add(done) : this.replace(done);
    }
    // What is led already goes on unled.
    if (isLed && counts.ownPace && seconds > 0 && counts.rounds === undefined)
      return this.replace(counted(this.newId, step, { ...counts, ...roundsOf(step) }, this.plan.pace));
    if (counts.rounds !== undefined || seconds > 0) this.uncounted.delete(step.id);
    const told = bothSides(step, counts) ?? { ...twice(step, counts), ...counts };
    this.replace(counted(this.newId, sidesInWords(step, told), told, this.plan.pace));
  }

  /** Whether steps that are meant are there, and done again now. */
  closeBlock(of: StepsMeant, times = 1): boolean {
    const part = this.sections.at(-1);
    const steps = this.blocks.close(of, { parts: this.sections.length, steps: part?.steps ?? [] }, times);
    if (!part || !steps) return false;
    part.steps = [...steps];
    return true;
  }
}
