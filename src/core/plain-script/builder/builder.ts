import { besides } from './besides';
import { itemAt } from '@/core/units';
import type { NewId } from '@/core/document';
import { blankStep, isMovement, isSilence, LIMITS, makeMovement, makeSection, type Setting, type Step } from '@/core/plan'; // prettier-ignore
import { aboveSteps } from './above-steps';
import { ClassParts } from './class-parts';
import { toldOfClass, withTarget } from './class-told';
import type { DoneAgain } from './done-again';
import type { ByRounds } from '../lines/by-rounds';
import type { Guided } from '../lines/guidance';
import { isDashed, isNumbered, roleOf } from '../line-kinds/headings';
import { markOf } from '../layout/heads';
import { indentOf, name } from '../model/line-words';
import type { Counts, LineKind, ReadLine, ReadScript } from '../model/model';
import { readNatural } from '../lines/natural';
import { otherKinds, correctedTo } from '../lines/corrected';
import { lengthOf } from '../tidy-form/plan-fields';
import { dismissedOf, themeOf } from '../tidy-form/plan-lists';
import { reading, worded, type Reading } from '../model/reading';
import { endPart } from './open-part';
import type { Standing } from '../model/standing';
import { counted, PAUSE_SECONDS, silenceOf, talkOfLine, transitionOf } from './steps-of-lines';
import { asWritten } from '../tokens/slips';
import { readTidy, type Tidy } from '../tidy-form/tidy';
import { isDated, isGreeting, isListed, mayNameClass, SHORTEST_CLASS, titleOf } from '../layout/title';
import { readAtTop } from './at-top';
import { toldInLine } from '../lines/told-in-line';

/** What the lines around one tell of it; the builder knows the rest. */
type Around = Omit<
  Standing,
  'under' | 'inset' | 'listed' | 'otherMark' | 'shouted' | 'wantsAmount' | 'uncounted' | 'spoken' | 'partName'
>;

interface LineAround extends Around {
  /** The line as it was pasted. */
  readonly written: string;
  /** Whether it is one of a list of how the step above is done. */
  readonly ofDetails: boolean;
  /** What it tells of steps that are done on both sides. */
  readonly again?: DoneAgain | undefined;
  /** What it tells in a class that is spoken word for word; `null` where it is read like any other. */
  readonly speech?: readonly Reading[] | null;
}

/** A sentence of a line heads nothing. */
const ALONE = { headsSpoken: false, underlined: false, opens: false, apart: false, stopsAlone: false, heads: false, named: false, partAbove: false, detailed: false, timedBelow: false, numbersOn: false, lastsSeconds: null } as const; // prettier-ignore

/** Labels that people write before what they say of a movement, and the tidy form before a name of it. */
const NO_SETTING: ReadonlySet<string> = new Set(['also', 'also called', 'library']);

/** A class being put together from lines; lives for one reading. */
export class ScriptBuilder {
  private readonly parts: ClassParts;
  private readonly read: ReadLine[] = [];
  private readonly lists: { readonly what: 'length' | 'theme' | 'dismissed'; readonly text: string }[] = [];
  private titled = false;
  private unreadFrom: number | null = null;
  /** How far in the line of the last step stands. */
  private stepIndent = 0;
  /** Whether the last step has a number before it. */
  private stepNumbered = false;
  /** What sets it off in a list; `null` where nothing does. */
  private stepMark: string | null = null;
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
    this.parts = new ClassParts(newId);
  }

  take(line: string, put: LineKind | null, around: LineAround): void {
    if (put === null && around.speech) return this.takeSpeech(around.written, around.speech);
    if (this.parts.blocks.isBelow(this.read.length)) this.parts.closeBlock('opened');
    const apart = put === null && !this.isTidy && around.again === undefined ? toldInLine(line) : null;
    const step = this.parts.current();
    const noted = this.read.length;
    this.takeLine(apart ? apart.head : line, put, around);
    if (!apart) return;
    const done = this.parts.current();
    const told = done !== step && (isMovement(done) || isSilence(done));
    const inset = ' '.repeat(this.stepIndent + 2);
    for (const one of apart.told)
      if (told) this.takeLine(inset + one, null, { ...around, ...ALONE, written: one });
      else this.parts.sayOrLeave(one, null);
    const [first, ...others] = this.read.splice(noted);
    if (first) this.read.push({ ...first, unsure: first.unsure || others.some(({ unsure }) => unsure) });
  }

  /** Takes what a line tells that is spoken; what is said is said over the rounds where it tells so. */
  private takeSpeech(written: string, readings: readonly Reading[]): void {
    const spelled = asWritten(written);
    const noted = this.read.length;
    for (const one of readings.map((found) => worded(found, spelled))) {
      const said = one.kind === 'said' && one.sets === undefined;
      if (!(said && this.isOfStepAbove(one.words, one.words, true, spelled))) this.takeNatural(one, false);
    }
    const [over] = this.read.splice(noted);
    const main =
      readings.find(({ kind }) => kind !== 'said' && kind !== 'pause') ??
      readings.find(({ kind }) => kind === 'said') ??
      readings[0] ??
      reading('setting', '');
    const unsure = readings.some((one) => one.unsure);
    const alone = readings.length === 1 && over ? { over: over.over } : {};
    const own =
      Object.keys(main.counts).length > 0 ? undefined : readings.find(({ kind }) => kind === 'setting')?.counts;
    this.note(written, main.kind, main.words, own ?? main.counts, unsure, {
      ...besides(readings, main),
      ...(alone.over ? { over: alone.over } : {}),
    });
  }

  private takeLine(line: string, put: LineKind | null, { written, again, ofDetails, ...below }: LineAround): void {
    const tidy = put === null ? readTidy(line, this.parts.current() ?? null, this.parts.sections.length > 0) : null;
    if (tidy && !this.isWrittenOtherwise(tidy) && (tidy.what !== 'title' || this.isTidy)) {
      this.takeTidy(line, tidy);
      return;
    }
    if (put === null && again && this.isOfBlock(again, indentOf(line))) return this.noteBlock(line, written, again);
    const inset = indentOf(line) > this.stepIndent;
    const spelled = asWritten(written);
    if (put === null && this.isOfStepAbove(line, written, inset, spelled)) return;
    const standing: Standing = {
      under: this.parts.current()?.kind ?? 'nothing',
      ...below,
      inset,
      listed: this.isListed(line),
      otherMark: ofDetails || (this.stepNumbered && isDashed(line)),
      shouted: this.shouted,
      wantsAmount: this.parts.wantsAmount(),
      uncounted: this.parts.isUncounted(),
      spoken: this.parts.isSpoken(),
      partName: this.parts.nameOfOpen(),
    };
    const found = this.readingsOf(line, standing);
    // A row of a table may stand under the part that its first column names.
    const main = found.find(({ kind }) => kind !== 'section') ?? itemAt(found, 0);
    const readings =
      put === null ? found.map((one) => worded(one, spelled)) : [worded(correctedTo(put, line, main), spelled)];
    for (const reading of readings)
      if (!this.isOpen(reading, readings)) this.takeNatural(reading, !isDated(line) && !isListed(line));
    if (readings.some(({ inLine }) => inLine)) endPart(this.parts.sections.at(-1));
    if (readings.some(({ kind }) => kind === 'movement' || kind === 'silence')) {
      this.stepIndent = indentOf(line);
      this.stepNumbered = isNumbered(line);
      this.stepMark = markOf(line);
      this.parts.blocks.number(line, this.parts.current());
    }
    // What stands further in than a part is in it.
    if (main.kind === 'section' && this.parts.isPart())
      [this.stepIndent, this.stepMark] = [indentOf(line), markOf(line)];
    const first = itemAt(readings, put === null ? found.indexOf(main) : 0);
    // A title is marked only where its length is rather that of a step.
    const long = (first.counts.seconds?.[0] ?? SHORTEST_CLASS) >= SHORTEST_CLASS;
    const unsure = !(this.titleKind !== null && long && readings.length === 1) && readings.some((one) => one.unsure);
    const heads = first.kind === 'section' || first.kind === 'said' || first.kind === 'setting';
    if (heads && /:\s*$/.test(line)) this.listIndent = indentOf(line);
    this.note(written, this.titleKind ?? first.kind, first.words, first.counts, unsure, besides(readings, first));
    this.titleKind = null;
  }

  /** Takes a line that is said into the silence above, changes its movement on a round, or is said over it. Whether it was. */
  private isOfStepAbove(line: string, written: string, inset: boolean, spelled: (words: string) => string): boolean {
    const listed = this.stepMark !== null && this.stepMark === markOf(line);
    const guided = this.parts.guidance(line, inset, listed, spelled);
    if (guided) this.noteGuided(written, guided);
    const over = guided ? null : this.parts.overRounds(line, inset);
    const changed = guided ? null : this.parts.byRounds(line, inset, over !== null, spelled);
    if (changed) this.noteChanged(written, changed);
    if (!over || changed) return guided !== null || changed !== null;
    const { on, number } = over.line;
    const text = spelled(over.line.text);
    this.parts.over({ ...over.line, text });
    this.note(written, 'said', text, {}, over.unsure, { over: { on, number } });
    return true;
  }

  private readingsOf(line: string, standing: Standing): readonly Reading[] {
    if (this.isAtTop()) return readAtTop(line, standing);
    const above = this.parts.sections.length === 0 ? aboveSteps(line) : null;
    return above ?? readNatural(line, standing);
  }

  /** Whether a row names the part of the class that is open already. */
  private isOpen({ kind, words }: Reading, readings: readonly Reading[]): boolean {
    return kind === 'section' && readings.length > 1 && this.parts.sections.at(-1)?.section.title === name(words);
  }

  private isListed(line: string): boolean {
    if (this.listIndent === null || line.trim() === '') return false;
    if (indentOf(line) <= this.listIndent) this.listIndent = null;
    return this.listIndent !== null;
  }

  /** "rounds: 5 each way", "belly: soft": a setting of the tidy form by its key, and not by its value. */
  private isWrittenOtherwise(tidy: Tidy): boolean {
    const step = this.parts.current();
    const section = this.parts.sections.at(-1)?.section;
    if (tidy.what === 'plan') return this.isOther(tidy.field, tidy.value, this.parts.plan);
    if (tidy.what === 'section-field') return section !== undefined && this.isOther(tidy.field, tidy.value, section);
    if (tidy.what === 'step-field') return step !== undefined && this.isOther(tidy.field, tidy.value, step);
    const isListed = tidy.what === 'length' || tidy.what === 'theme' || tidy.what === 'dismissed';
    return isListed && !this.isTidy && !tidy.text.includes('|');
  }

  /** Whether a value is none of its setting; outside the tidy form also where less of it is taken than is written. */
  private isOther<Thing>(field: Setting<Thing>, value: string, thing: Thing): boolean {
    const part = field.read(value, thing);
    if (part === null) return true;
    if (this.isTidy) return false;
    const taken = field.write({ ...thing, ...part }).toLowerCase();
    return NO_SETTING.has(field.key) || (value.toLowerCase().match(/\p{L}{3,}/gu) ?? []).some((word) => !taken.includes(word)); // prettier-ignore
  }

  /** Passes over a line, where the class is too long as it is. Whether it was. */
  passOver(written: string): boolean {
    if (this.parts.stepCount <= LIMITS.stepsInPlan) return false;
    this.unreadFrom ??= this.read.length + 1;
    this.note(written, 'nothing', '');
    return true;
  }

  /** Opens a group of steps or does one again; `false` where its steps are missing: the line is read like any other. */
  private isOfBlock(again: DoneAgain, indent: number): boolean {
    // "Do it all again", further in than its step, is that step alone.
    const ofAll = (again.what === 'again' || again.what === 'repeats') && again.of === 'all';
    if (ofAll && indent > this.stepIndent) return false;
    if (again.what === 'again') return this.parts.closeBlock(again.of);
    if (again.what === 'repeats') return this.parts.closeBlock(again.of, again.times);
    this.parts.openBlock(again);
    // What is listed below stands further in than no step.
    this.stepIndent = Infinity;
    if (again.what === 'opens' && again.stance !== null) this.parts.add(transitionOf(this.newId, again.stance, {}));
    return true;
  }

  private noteBlock(line: string, written: string, again: DoneAgain): void {
    if (/:\s*$/.test(line)) this.listIndent = indentOf(line);
    if (again.what === 'opens' && again.stance !== null) return this.note(written, 'transition', again.stance);
    if (again.what === 'repeats' || again.what === 'wraps-times') return this.note(written, 'setting', '', { rounds: again.times }, true); // prettier-ignore
    const counts: Counts = again.what === 'again' ? { sides: 'one-then-other' } : { startSide: again.side };
    return this.note(written, 'setting', '', counts, again.what === 'again' && again.of === 'all');
  }

  private noteChanged(written: string, { changes, unsure }: ByRounds): void {
    const { span, what } = itemAt(changes, 0);
    const over = { over: { on: 'round', number: span.from } as const };
    if (what.kind === 'said') return this.note(written, 'said', what.words, {}, unsure, over);
    const whole = span.from === 1 && span.to === null ? {} : over;
    this.note(written, what.kind === 'hold' ? 'hold' : 'setting', written.trim(), {}, unsure, whole);
  }

  private noteGuided(written: string, { told, pause, again, sets, unsure }: Guided): void {
    const [first] = told;
    if (pause !== undefined) return this.note(written, 'pause', '', { seconds: [pause, pause, pause] });
    if (sets) return this.note(written, 'setting', sets.callBackWords ?? written.trim());
    if (again) return this.note(written, 'said', again.words);
    if (!first) return this.note(written, 'nothing', '');
    const words = told.map((one) => one.words).join(' ');
    const over = first.at === null ? {} : { over: { on: 'time', number: first.at } as const };
    return this.note(written, 'said', words, {}, unsure, over);
  }

  done(): Omit<ReadScript, 'sentencesApart'> {
    const sections = this.parts.done(this.isTidy);
    const stepIds = sections.flatMap((section) => section.steps.map((step) => step.id));
    const listed = (what: 'length' | 'theme' | 'dismissed'): string[] =>
      this.lists.flatMap((one) => (one.what === what ? [one.text] : []));
    const lengths = listed('length').flatMap((value) => lengthOf(value, this.newId(), stepIds) ?? []);
    const themes = listed('theme').flatMap((value) => themeOf(value, this.newId()) ?? []);
    const dismissed = listed('dismissed').flatMap((value) => dismissedOf(value, stepIds) ?? []);
    const plan = withTarget({
      ...this.parts.plan,
      sections,
      lengths,
      themes: themes.map(({ theme }) => theme),
      themeId: themes.find(({ inUse }) => inUse)?.theme.id ?? null,
      dismissed,
    });
    return { lines: this.read, plan, unreadFrom: this.unreadFrom };
  }

  private titleKind: LineKind | null = null;

  private note(
    text: string,
    kind: LineKind,
    words: string,
    counts: Counts = {},
    unsure = false,
    more: Pick<ReadLine, 'steps' | 'also' | 'over'> = {},
  ): void {
    const read = { number: this.read.length + 1, text, kind, words, counts, unsure, ...more };
    this.read.push(unsure ? { ...read, others: otherKinds(read) } : read);
  }

  private takeTidy(line: string, tidy: Tidy): void {
    switch (tidy.what) {
      case 'title':
        this.parts.plan = { ...this.parts.plan, title: tidy.text };
        this.titled = true;
        return this.note(line, 'title', tidy.text);
      case 'section':
        this.parts.open({ ...makeSection(this.newId, tidy.role), title: tidy.text });
        return this.note(line, 'section', tidy.text);
      case 'step':
        this.parts.add(blankStep(this.newId, tidy.kind, tidy.text));
        return this.note(line, tidy.kind, tidy.text);
      case 'said':
        this.parts.say(tidy.text, tidy.pauseSeconds, tidy.layer);
        return this.note(line, 'said', tidy.text);
      case 'phase':
        this.parts.phase({ ...tidy.phase, id: this.newId() });
        return this.note(line, tidy.phase.kind === 'free' ? 'hold' : tidy.phase.kind, tidy.phase.action);
      case 'during':
        this.parts.over({ ...tidy.line, id: this.newId() });
        return this.note(line, 'said', tidy.line.text);
      case 'level':
        this.parts.level(tidy.level);
        return this.note(line, 'level', tidy.level.name);
      case 'length':
      case 'theme':
      case 'dismissed':
        this.lists.push(tidy);
        return this.note(line, 'setting', tidy.what);
      case 'plan': {
        const part = tidy.field.read(tidy.value, this.parts.plan);
        if (part) this.parts.plan = { ...this.parts.plan, ...part };
        return this.note(line, 'setting', tidy.field.key, {}, part === null);
      }
      case 'section-field': {
        const last = itemAt(this.parts.sections, this.parts.sections.length - 1);
        const part = tidy.field.read(tidy.value, last.section);
        if (part) last.section = { ...last.section, ...part };
        return this.note(line, 'setting', tidy.field.key, {}, part === null);
      }
      case 'step-field': {
        const step = this.parts.current();
        const part = step && tidy.field.read(tidy.value, step);
        if (step && part) this.parts.replace({ ...step, ...part } as Step);
        return this.note(line, 'setting', tidy.field.key, {}, !part);
      }
    }
  }

  private takeNatural(
    { kind, words, counts, unsure, about, sets, said, label, heads, marked, how }: Reading,
    mayTitle: boolean,
  ): void {
    if (sets?.each) this.parts.countEach(sets.each, counts);
    else if (sets) this.parts.set(sets);
    else if (about) this.parts.plan = toldOfClass(this.parts.plan, about, words, counts);
    else if (kind === 'title' || (mayTitle && counts.rounds === undefined && this.mayBeTitle(kind, words, unsure))) {
      const targetSeconds = counts.seconds?.[0] ?? this.parts.plan.targetSeconds;
      this.parts.plan = {
        ...this.parts.plan,
        title: titleOf(words) || this.parts.plan.title,
        targetSeconds,
      };
      this.titled = true;
      this.titleKind = 'title';
    } else if (kind === 'section')
      this.parts.open({ ...makeSection(this.newId, roleOf(words)), title: name(words) }, counts, marked);
    else if (kind === 'movement')
      this.parts.add(
        counted(this.newId, makeMovement(this.newId, name(words), { pattern: [] }), counts, this.parts.plan.pace),
        counts,
        heads,
      );
    else if (kind === 'talk') this.parts.add(talkOfLine(this.newId, words, counts, said));
    else if (kind === 'silence') this.parts.add(silenceOf(this.newId, words, counts, said), counts);
    else if (kind === 'transition') this.parts.add(transitionOf(this.newId, words, counts, said));
    else if (kind === 'said') this.parts.sayOrLeave(words, counts.seconds?.[0] ?? null, how);
    else if (kind === 'inhale' || kind === 'exhale' || kind === 'hold') this.parts.breathe(kind, words, counts, said);
    else if (kind === 'pause') this.parts.pause(words, counts.seconds?.[0] ?? PAUSE_SECONDS);
    else if (kind === 'caution' || kind === 'level' || kind === 'seated') this.parts.aside(kind, words, label);
    else if (kind === 'setting') this.parts.count(counts);
  }

  private isAtTop(): boolean {
    // Below the head of a table stand its rows.
    const blank = ({ kind, text }: ReadLine): boolean => kind === 'nothing' && !/[|\t]/.test(text);
    return !this.titled && this.read.every((one) => blank(one) || isGreeting(one.text));
  }

  private mayBeTitle(kind: LineKind, words: string, unsure: boolean): boolean {
    return !this.titled && this.parts.sections.length === 0 && mayNameClass(kind, words, unsure);
  }
}
