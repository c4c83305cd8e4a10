import { itemAt } from '@/core/units';
import type { PhaseKind } from '@/core/breath';
import type { NewId } from '@/core/document';
import { makePhase, type DuringLine, type Level, type Phase, type SpokenLine } from '@/core/movement';
import {
  blankStep,
  contractOf,
  emptyPlan,
  isMovement,
  isSilence,
  LIMITS,
  makeMovement,
  makeSection,
  makeTalk,
  type ClassPlan,
  type Section,
  type Step,
} from '@/core/plan';
import { NEW_NAMES } from '@/core/words';
import { breathOfClass } from './breath-counts';
import { secondsFrom } from './counts';
import type { Counts, LineKind, ReadLine, ReadScript } from './model';
import { readOver, type Over } from './over-words';
import { endsSilence } from './first-words';
import { isRest } from './pauses';
import { isDashed, isNumbered, roleOf } from './headings';
import { toldOfClass, USUAL_SECONDS } from './class-told';
import { readNatural, type Standing } from './natural';
import type { Reading } from './reading';
import { partsAsLong } from './part-lengths';
import { lengthOf } from './plan-fields';
import { dismissedOf, themeOf } from './plan-lists';
import { cut, indentOf, name, wordsFor } from './line-words';
import { counted, finished, silenceOf, talkOfLine, transitionOf, twice } from './steps-of-lines';
import { readTidy, type Tidy } from './tidy';
import { isDated, isGreeting, mayNameClass, titled } from './title';

const PAUSE_SECONDS = 1.5;
/** A length behind the first words that are said is that of the class, where it is no shorter; else of what is said. */
const CLASS_AT_LEAST = 300;

/** What the lines around one tell of it; the builder knows the rest. */
type Around = Omit<Standing, 'under' | 'inset' | 'listed' | 'otherMark' | 'shouted'>;

/** A class being put together from lines; lives for one reading. */
export class ScriptBuilder {
  private plan: ClassPlan;
  private readonly sections: { section: Section; steps: Step[]; counts: Counts }[] = [];
  /** Movements and silences that no amount was written of yet. */
  private readonly uncounted = new Set<string>();
  private readonly read: ReadLine[] = [];
  private readonly lists: { readonly what: 'length' | 'theme' | 'dismissed'; readonly text: string }[] = [];
  private titled = false;
  private steps = 0;
  private unreadFrom: number | null = null;
  /** Whether the first steps stand above any part that is named. */
  private unnamedFirst = false;
  /** The last silence that was written as a rest or a pause. */
  private restId: string | null = null;
  /** How far in the line of the last step stands. */
  private stepIndent = 0;
  /** Whether the last step has a number before it. */
  private stepNumbered = false;
  /** How far in the line stands that ends in a colon over a list; `null` where none does. */
  private listIndent: number | null = null;

  /**
   * @param shouted Whether the script is written in capitals, which then mark no headings.
   * @param isTidy Whether it is in the tidy form, where a title holds no length.
   */
  constructor(
    private readonly newId: NewId,
    private readonly shouted = false,
    private readonly isTidy = true,
  ) {
    this.plan = { ...emptyPlan(newId, NEW_NAMES.class, USUAL_SECONDS), sections: [] };
  }

  take(line: string, put: LineKind | null, { written, ...below }: Around & { readonly written: string }): void {
    const tidy = put === null ? readTidy(line, this.current() ?? null, this.sections.length > 0) : null;
    if (tidy && !this.isWrittenOtherwise(tidy) && (tidy.what !== 'title' || this.isTidy)) {
      this.takeTidy(line, tidy);
      return;
    }
    const over = put === null ? this.overRounds(line) : null;
    if (over) {
      const { on, number, text } = over.line;
      this.over(over.line);
      return this.note(written, 'said', text, {}, over.unsure, { over: { on, number } });
    }
    const inset = indentOf(line) > this.stepIndent;
    const standing: Standing = {
      under: this.current()?.kind ?? 'nothing',
      ...below,
      inset,
      listed: this.isListed(line),
      otherMark: this.stepNumbered && isDashed(line),
      shouted: this.shouted,
    };
    const found = this.isAtTop() ? titled(readNatural(line, standing), line, below.alone) : readNatural(line, standing);
    // A row of a table may stand under the part that its first column names.
    const main = found.find(({ kind }) => kind !== 'section') ?? itemAt(found, 0);
    const readings = put === null ? found : [{ ...main, kind: put, words: wordsFor(put, line, main), unsure: false }];
    for (const reading of readings) if (!this.isOpen(reading, readings)) this.takeNatural(reading, !isDated(line));
    if (readings.some(({ kind }) => kind === 'movement' || kind === 'silence')) {
      this.stepIndent = indentOf(line);
      this.stepNumbered = isNumbered(line);
    }
    const first = put === null ? main : itemAt(readings, 0);
    const unsure = this.titleKind === null && readings.some((one) => one.unsure);
    const heads = first.kind === 'section' || first.kind === 'said' || first.kind === 'setting';
    if (heads && /:\s*$/.test(line)) this.listIndent = indentOf(line);
    const steps = readings.filter(({ kind }) => kind === 'movement' || kind === 'silence').length;
    this.note(written, this.titleKind ?? first.kind, first.words, first.counts, unsure, steps > 1 ? { steps } : {});
    this.titleKind = null;
  }

  /** Whether a row names the part of the class that is open already. */
  private isOpen({ kind, words }: Reading, readings: readonly Reading[]): boolean {
    return kind === 'section' && readings.length > 1 && this.sections.at(-1)?.section.title === name(words);
  }

  private isListed(line: string): boolean {
    if (this.listIndent === null || line.trim() === '') return false;
    if (indentOf(line) <= this.listIndent) this.listIndent = null;
    return this.listIndent !== null;
  }

  /** "rounds: 5 each way": a setting of the tidy form by its key, and not by its value. */
  private isWrittenOtherwise(tidy: Tidy): boolean {
    const step = this.current();
    if (tidy.what === 'plan') return tidy.field.read(tidy.value, this.plan) === null;
    return tidy.what === 'step-field' && step !== undefined && tidy.field.read(tidy.value, step) === null;
  }

  /** Passes over a line, where the class is too long as it is. Whether it was. */
  passOver(written: string): boolean {
    if (this.steps <= LIMITS.stepsInPlan) return false;
    this.unreadFrom ??= this.read.length + 1;
    this.note(written, 'nothing', '');
    return true;
  }

  done(): ReadScript {
    this.nameOpening();
    const parts = this.sections.map(({ section, steps, counts }) => ({ section: { ...section, steps }, counts }));
    const sections = partsAsLong(this.newId, this.plan, parts, this.uncounted).map((section) => ({
      ...section,
      steps: section.steps.map((step) => finished(this.newId, step)),
    }));
    const stepIds = sections.flatMap((section) => section.steps.map((step) => step.id));
    const listed = (what: 'length' | 'theme' | 'dismissed'): string[] =>
      this.lists.flatMap((one) => (one.what === what ? [one.text] : []));
    const lengths = listed('length').flatMap((value) => lengthOf(value, this.newId(), stepIds) ?? []);
    const themes = listed('theme').flatMap((value) => themeOf(value, this.newId()) ?? []);
    const dismissed = listed('dismissed').flatMap((value) => dismissedOf(value, stepIds) ?? []);
    const plan = {
      ...this.plan,
      sections: sections.length > 0 ? sections : [makeSection(this.newId, 'main')],
      lengths,
      themes: themes.map(({ theme }) => theme),
      themeId: themes.find(({ inUse }) => inUse)?.theme.id ?? null,
      dismissed,
    };
    return { lines: this.read, plan, unreadFrom: this.unreadFrom };
  }

  /** What is said above the first part that is named, is said for a welcome. */
  private nameOpening(): void {
    const [first, next] = this.sections;
    const opens = this.unnamedFirst && next !== undefined && first?.steps.every(({ kind }) => kind === 'talk');
    if (first && opens) first.section = makeSection(this.newId, 'welcome');
  }

  private titleKind: LineKind | null = null;

  private note(
    text: string,
    kind: LineKind,
    words: string,
    counts: Counts = {},
    unsure = false,
    more: Pick<ReadLine, 'steps' | 'over'> = {},
  ): void {
    this.read.push({ number: this.read.length + 1, text, kind, words, counts, unsure, ...more });
  }

  private takeTidy(line: string, tidy: Tidy): void {
    switch (tidy.what) {
      case 'title':
        this.plan = { ...this.plan, title: tidy.text };
        this.titled = true;
        return this.note(line, 'title', tidy.text);
      case 'section':
        this.open({ ...makeSection(this.newId, tidy.role), title: tidy.text });
        return this.note(line, 'section', tidy.text);
      case 'step':
        this.add(blankStep(this.newId, tidy.kind, tidy.text));
        return this.note(line, tidy.kind, tidy.text);
      case 'said':
        this.say(tidy.text, tidy.pauseSeconds, tidy.layer);
        return this.note(line, 'said', tidy.text);
      case 'phase':
        this.phase({ ...tidy.phase, id: this.newId() });
        return this.note(line, tidy.phase.kind === 'free' ? 'hold' : tidy.phase.kind, tidy.phase.action);
      case 'during':
        this.over({ ...tidy.line, id: this.newId() });
        return this.note(line, 'said', tidy.line.text);
      case 'level':
        this.level(tidy.level);
        return this.note(line, 'level', tidy.level.name);
      case 'length':
      case 'theme':
      case 'dismissed':
        this.lists.push(tidy);
        return this.note(line, 'setting', tidy.what);
      case 'plan': {
        const part = tidy.field.read(tidy.value, this.plan);
        if (part) this.plan = { ...this.plan, ...part };
        return this.note(line, 'setting', tidy.field.key, {}, part === null);
      }
      case 'section-field': {
        const last = itemAt(this.sections, this.sections.length - 1);
        const part = tidy.field.read(tidy.value, last.section);
        if (part) last.section = { ...last.section, ...part };
        return this.note(line, 'setting', tidy.field.key, {}, part === null);
      }
      case 'step-field': {
        const step = this.current();
        const part = step && tidy.field.read(tidy.value, step);
        if (step && part) this.replace({ ...step, ...part } as Step);
        return this.note(line, 'setting', tidy.field.key, {}, !part);
      }
    }
  }

  private takeNatural({ kind, words, counts, unsure, about }: Reading, mayTitle: boolean): void {
    if (about) this.plan = toldOfClass(this.plan, about, words, counts);
    else if (kind === 'title' || (mayTitle && counts.rounds === undefined && this.mayBeTitle(kind, words, unsure))) {
      const targetSeconds = counts.seconds?.[0] ?? this.plan.targetSeconds;
      this.plan = { ...this.plan, title: cut(words, LIMITS.titleCharacters) || this.plan.title, targetSeconds };
      this.titled = true;
      this.titleKind = 'title';
    } else if (kind === 'section') this.open({ ...makeSection(this.newId, roleOf(words)), title: name(words) }, counts);
    else if (kind === 'movement')
      this.add(
        counted(this.newId, makeMovement(this.newId, name(words), { pattern: [] }), counts, this.plan.pace),
        counts,
      );
    else if (kind === 'talk') this.add(talkOfLine(this.newId, words, counts));
    else if (kind === 'silence') this.add(silenceOf(this.newId, words, counts), counts);
    else if (kind === 'transition') this.add(transitionOf(this.newId, words, counts));
    else if (kind === 'said') this.sayOrLeave(words, counts.seconds?.[0] ?? PAUSE_SECONDS);
    else if (kind === 'inhale' || kind === 'exhale' || kind === 'hold') this.breathe(kind, words, counts);
    else if (kind === 'pause') this.pause(words, counts.seconds?.[0] ?? PAUSE_SECONDS);
    else if (kind === 'caution' || kind === 'level' || kind === 'seated') this.aside(kind, words);
    else if (kind === 'setting') this.count(counts);
  }

  private isAtTop(): boolean {
    // Below the head of a table stand its rows.
    const blank = ({ kind, text }: ReadLine): boolean => kind === 'nothing' && !/[|\t]/.test(text);
    return !this.titled && this.read.every((one) => blank(one) || isGreeting(one.text));
  }

  private mayBeTitle(kind: LineKind, words: string, unsure: boolean): boolean {
    return !this.titled && this.sections.length === 0 && mayNameClass(kind, words, unsure);
  }

  private open(section: Section, counts: Counts = {}): void {
    this.sections.push({ section, steps: [], counts });
  }

  private current(): Step | undefined {
    return this.sections.at(-1)?.steps.at(-1);
  }

  /** @param counts Where it may have amounts and has none, it is as long as its part gives it. */
  private add(step: Step, counts?: Counts): void {
    if (counts && counts.rounds === undefined && counts.seconds === undefined) this.uncounted.add(step.id);
    if (this.sections.length === 0) {
      this.unnamedFirst = true;
      this.open(makeSection(this.newId, 'main'));
    }
    itemAt(this.sections, this.sections.length - 1).steps.push(step);
    this.steps++;
  }

  private replace(step: Step): void {
    const steps = this.sections.at(-1)?.steps;
    if (steps && steps.length > 0) steps[steps.length - 1] = step;
  }

  /** A line that is said: in a talk or, taught, in a movement that has no breath yet; else in a new talk. */
  private say(text: string, pauseSeconds: number, layer: SpokenLine['layer'] = null): void {
    const line: SpokenLine = { id: this.newId(), text: cut(text, LIMITS.lineCharacters), pauseSeconds, layer };
    const step = this.current();
    const longer = step && contractOf(step).withLine(step, line);
    if (longer) this.replace(longer);
    else this.add({ ...makeTalk(this.newId, 'Talk', []), lines: [line] });
  }

  /** What is written below a movement's breath is said after its rounds. */
  private sayOrLeave(text: string, pauseSeconds: number): void {
    const step = this.current();
    if (isSilence(step) && (endsSilence(text) || step.id === this.restId)) this.add(makeTalk(this.newId, 'Talk', []));
    if (!isMovement(step) || step.pattern.length === 0 || text === '') return this.say(text, pauseSeconds);
    const leaving = [step.moments.leaving, text].filter((one) => one !== '').join(' ');
    this.replace({ ...step, moments: { ...step.moments, leaving: cut(leaving, LIMITS.lineCharacters) } });
  }

  private phase(phase: Phase): void {
    const step = this.current();
    if (!isMovement(step)) return;
    this.replace({ ...step, pattern: [...step.pattern, phase].slice(0, LIMITS.phases) });
  }

  /** A breath in ordinary words: `in: arms rise` is an action, "Inhale, the arms rise." is what is said. */
  private breathe(kind: PhaseKind & LineKind, words: string, counts: Counts): void {
    if (!isMovement(this.current())) this.add(makeMovement(this.newId, 'Breathing', { pattern: [] }));
    const word = { inhale: 'In', exhale: 'Out', hold: '', free: '' }[kind];
    const said = /^(?:inhale|exhale|breathe|in\b|out\b|and |then |now )/i.test(words) || word === '';
    const action = cut(said ? '' : words, LIMITS.titleCharacters);
    const full = said ? words : words === '' ? `${word}.` : `${word}, ${words.replace(/[.!]$/, '')}.`;
    this.phase(makePhase(this.newId, { kind, action, full: cut(full, LIMITS.lineCharacters) }));
    if (counts.hold !== undefined) this.rest(counts.hold);
  }

  private rest(seconds: number): void {
    const { min, max } = LIMITS.phaseSeconds;
    const held = Math.min(max, Math.max(min, seconds));
    this.phase(makePhase(this.newId, { kind: 'hold', share: null, seconds: held }));
  }

  /** A pause behind what is said last; a rest, and a pause behind what is done, is a silence of its own. */
  private pause(words: string, seconds: number): void {
    const step = this.current();
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
  private aside(kind: 'caution' | 'level' | 'seated', words: string): void {
    const step = this.current();
    if (!isMovement(step)) return this.say(words, PAUSE_SECONDS);
    const line = cut(words, LIMITS.lineCharacters);
    if (kind === 'caution') {
      const caution = [step.moments.caution, line].filter((one) => one !== '').join(' ');
      return this.replace({ ...step, moments: { ...step.moments, caution: cut(caution, LIMITS.lineCharacters) } });
    }
    if (kind === 'seated') return this.replace({ ...step, seated: cut(words, LIMITS.noteCharacters) });
    this.level({ name: cut(words, LIMITS.titleCharacters), note: '', lines: [line] });
  }

  private level(level: Level): void {
    const step = this.current();
    if (isMovement(step)) this.replace({ ...step, levels: [...step.levels, level].slice(0, LIMITS.levels) });
  }

  /** A line over the rounds of the movement above, or over its silence, in ordinary words. */
  private overRounds(line: string): Over | null {
    const step = this.current();
    if (!isMovement(step) && !isSilence(step)) return null;
    const timed = !isMovement(step) || step.pacedBy === 'clock' || step.pacedBy === 'held';
    const over = readOver(this.newId, line, timed ? step.seconds : null, indentOf(line) > this.stepIndent);
    const byRound = over !== null && over.line.on !== 'anywhere' && over.line.on !== 'time';
    return byRound && !isMovement(step) ? null : over;
  }

  private over(line: DuringLine): void {
    const step = this.current();
    if (isMovement(step) || isSilence(step))
      this.replace({ ...step, during: [...step.during, line].slice(0, LIMITS.spokenLines) });
  }

  private count(counts: Counts): void {
    const step = this.current();
    if (step === undefined && counts.breath) {
      this.plan = { ...this.plan, pace: breathOfClass(counts.breath, this.plan.pace) };
    }
    const opening = this.sections.every(({ steps }) => steps.every(({ kind }) => kind === 'talk'));
    const [seconds = 0] = counts.seconds ?? [];
    if (seconds > 0 && (step === undefined || (opening && seconds >= CLASS_AT_LEAST))) {
      this.plan = { ...this.plan, targetSeconds: seconds };
    }
    if (isMovement(step) && (counts.rounds !== undefined || seconds > 0)) this.uncounted.delete(step.id);
    if (isMovement(step))
      this.replace(counted(this.newId, step, { ...twice(step, counts), ...counts }, this.plan.pace));
  }
}
