import { itemAt } from '@/core/units';
import { isFarewell } from '../tokens/first-words';
import type { Counts } from '../model/model';
import { isUnder } from '../lines/over-words';
import { reading, type Reading } from '../model/reading';
import { amountInSpeech, amountOf, inSameUnit, isAsMuch, isLeft, type SpokenAmount } from './amounts';
import { breathsIn } from './breaths';
import { countedAloud, type Counted, type CountedAloud } from './counted-aloud';
import { directionIn, type Lasting } from './directions';
import {
  BRACKETED,
  headOf,
  isCountedAhead,
  isTitle,
  lengthIn,
  lengthSpoken,
  partOf,
  partsOf,
  stepsBelow,
} from './lines';
import { isNamedThing, namedInSpeech, nameOfClause } from './names';
import { goesOver, isSided, isVaried, movesSide, isMoved, soOften, turnedAbove, turnedInSpeech } from './sides';
import { said, type DuringPlace, type Spoken } from './state';
import {
  againOf,
  amountFirst,
  bestOf,
  countedIn,
  isNextThing,
  isSilent,
  keepsOn,
  rests,
  stepNamed,
  withOneDone,
} from './steps';
import { Telling } from './telling';
import { LINES_AT_LEAST, spokenLines, withoutStamp } from './word-for-word';

/*
 * A class that is spoken word for word, read sentence by sentence: each names a movement, counts it, goes to its other
 * side, rests, or is said. What is not plainly one of the first is said.
 */

/**
 * What each line of a script tells that is spoken word for word; `null` for a line that is read like any other. `heard`
 * where a machine wrote it down.
 */
export function readSpeech(written: readonly string[], heard: boolean): readonly (readonly Reading[] | null)[] {
  const lines = spokenLines(written, heard);
  if (!lines) return written.map(() => null);
  return heard ? readHeard(lines) : readLines(lines);
}

function readLines(lines: readonly string[]): readonly (readonly Reading[] | null)[] {
  const reader = new SpeechReader(lines);
  lines.forEach((_, at) => {
    reader.take(at);
  });
  return reader.out;
}

/** Who listens hears no empty lines, and of few long ones each sentence by itself. */
function readHeard(lines: readonly string[]): readonly (readonly Reading[] | null)[] {
  const written = lines.filter((line) => line.trim() !== '').length;
  const sentences = (line: string): readonly string[] => (written < LINES_AT_LEAST ? partsOf(line) : [line]);
  const heard = lines.flatMap((line, at) => (line.trim() === '' ? [] : sentences(line).map((text) => ({ at, text }))));
  const told = readLines(heard.map(({ text }) => text));
  const out = lines.map((): (readonly Reading[] | null)[] => []);
  for (const [index, { at, text }] of heard.entries()) {
    const readings = told[index] ?? null;
    itemAt(out, at).push(readings ?? (sentences(itemAt(lines, at)).length > 1 ? [reading('said', text)] : null));
  }
  return out.map((own) => (own.length < 2 ? (own[0] ?? null) : own.flatMap((readings) => readings ?? [])));
}

/** A longer sentence is said, whatever it tells. */
const LONGEST = 300;
/** So many lines above may tell what an amount by itself counts. */
const HELD_LINES = 2;
/** So long nobody pauses between two lines. Common practice, no published source. */
const SILENCE_FROM = 30;

class SpeechReader extends Telling {
  /** Lines above in the same paragraph that are only said. */
  private held: number[] = [];
  /** On which round the rest of the line is said, where a direction tells. */
  private on: DuringPlace | null = null;

  take(at: number): void {
    const body = withoutStamp(this.lines[at] ?? '');
    if (body === '') {
      this.held = [];
      this.paragraph++;
      return;
    }
    if (isTitle(this.lines, at)) return;
    const about = this.stepped ? null : lengthIn(this.lines, at);
    const part = partOf(body);
    const head = about !== null || part !== null ? null : headOf(this.lines, at);
    if (about) this.out[at] = [about];
    else if (part) this.open(at, part, 'part');
    else if (head !== null) this.open(at, head, stepsBelow(this.lines, at, head));
    else if (/^[-*•#>|]/.test(body)) this.close();
    else this.speak(at, body);
  }

  private speak(at: number, body: string): void {
    [this.readings, this.pending, this.at, this.on] = [[], [], at, null];
    const parts = partsOf(body);
    // "One. Two. Three. Keep going until ten.": three of ten.
    const isCountedBelow = this.movement?.amount === null && parts.some((one) => amountInSpeech(one) !== null);
    const counting = isCountedBelow ? null : countedAloud(parts, this.movement?.said ?? 0);
    for (const [index, part] of parts.entries()) {
      const direction = BRACKETED.exec(part)?.[1];
      const counted = counting?.parts[index];
      if (direction !== undefined) this.direction(direction, part);
      else if (this.isCounted(counting, counted ?? null, part, index)) continue;
      else if (this.on) this.onRound(part, this.on);
      else this.sentence(part);
    }
    this.flush();
    this.out[at] = this.readings;
    const onlySaid = this.readings.every(({ kind, sets }) => kind === 'said' && sets === undefined);
    this.held = onlySaid ? [...this.held, at].slice(-HELD_LINES) : [];
  }

  /** Takes what is counted aloud, and what is said between its counts. Whether it was that. */
  private isCounted(counting: CountedAloud | null, counted: Counted | null, part: string, index: number): boolean {
    if (!counting) return false;
    const { movement } = this;
    if (!counted) {
      const between = [counting.parts.slice(0, index), counting.parts.slice(index)];
      if (!movement || between.some((counts) => counts.every((one) => one === null))) return false;
      this.onRound(part, { on: 'round', number: movement.said });
      return true;
    }
    const { amount } = movement ?? {};
    const isNew = !amount || (counted.first <= 2 && (movement?.said ?? 0) >= (amount.rounds ?? 1));
    if (isNew) this.told(part, amountOf({ rounds: counting.rounds }));
    else if (movement?.said === 0) this.tellBefore();
    else this.flush();
    const { movement: done } = this;
    // What nothing names is said as it stands.
    if (!done?.amount) return true;
    if (done.said === 0) this.readings.push({ ...reading('setting', part), sets: { counting: counting.way } });
    const { rounds = counting.rounds } = done.amount;
    done.said = counting.way === 'up' ? counted.number : rounds - counted.number + 1;
    if (counted.beside !== '') this.onRound(counted.beside, { on: 'round', number: done.said });
    done.ended = done.said >= rounds;
    return true;
  }

  /** What stands below belongs to no movement above. */
  private close(): void {
    this.movement = null;
    this.held = [];
  }

  /** A line by itself opens a part or a movement, or is read like any other. */
  private open(at: number, name: string, as: 'part' | 'movement' | 'other'): void {
    this.close();
    if (as === 'part') this.out[at] = [reading('section', name)];
    if (as !== 'movement') return;
    this.begin(name, null, true);
    this.out[at] = [{ ...reading('movement', name), heads: true }];
  }

  private sentence(text: string): void {
    const lasts = this.stepped ? null : lengthSpoken(text);
    if (lasts) this.readings.push(lasts);
    if (lasts || text.length > LONGEST || isFarewell(text)) this.pending.push(text);
    else if (this.isNamed(text)) return;
    else if (isUnder(text)) this.pending.push(text);
    else this.told(text, amountInSpeech(text));
  }

  private told(text: string, found: SpokenAmount | null): void {
    const { movement } = this;
    const amount = found && movement?.amount ? inSameUnit(found, movement.amount) : found;
    if (amount && movement?.to === null && isLeft(amount, movement.amount)) return this.callBack(text);
    if (amount && isNextThing(text) && rests(amount, text, text)) return this.still(amount, text, text);
    if (movement?.amount && this.isOnOther(text, amount, movement, movement.amount)) return;
    const often = movement?.amount && amount ? soOften(text, movement.amount, amount) : null;
    if (often) this.readings.push(...often);
    if (often || !amount) this.pending.push(text);
    else if (movement?.amount === null && !this.isStillApart(movement, text)) this.count(movement, amount, text);
    else this.step(amount, text);
  }

  /** Takes the movement that a sentence names; one in small letters only where its amount follows. Whether it did. */
  private isNamed(text: string): boolean {
    const named = namedInSpeech(text);
    const { movement } = this;
    // One name waits for its amount: "Now we're trees. … Here comes the wind. Five winds."
    const waits = movement?.amount === null && (movement.headed || movement.begunAt === this.at);
    if (!named || (named.unsure && (waits || !isCountedAhead(this.lines, this.at, text)))) return false;
    const before = [...this.pending, text].join(' ');
    this.pending = [];
    this.readings.push({ ...reading('movement', named.name, {}, named.unsure), heads: true }, said(before, true));
    const amount = amountInSpeech(text);
    this.begin(named.name, amount?.counts ?? null);
    if (isSided([before]) && this.movement) this.movement.sided = true;
    if (amount) this.readings.push(reading('setting', '', amount.counts, true));
    return true;
  }

  /** Takes what goes to the other side, or the other way, of a movement that is counted. Whether it did. */
  private isOnOther(text: string, amount: SpokenAmount | null, movement: Spoken, counts: Counts): boolean {
    const asMuch = amount !== null && (amount.more || isAsMuch(amount.counts, counts));
    // "Then we swing a leg. Right leg, fifteen times.", behind ten of something else.
    if (amount && !asMuch && !goesOver(text) && this.isBegun()) return false;
    if ((movesSide(text) && !movement.sided && !asMuch) || isVaried(text)) return false;
    const turned = turnedInSpeech(text) ?? (asMuch ? turnedAbove(this.pending) : null);
    if (turned && movement.to === null && (amount !== null || !(movement.over || this.isBegun()))) {
      this.turn(turned, amount, text, movement);
      return true;
    }
    if (movement.to === 'both-directions' && turned === 'one-then-other' && !this.isBegun()) {
      movement.to = turned;
      this.pending.push(text);
      this.readings.push(reading('setting', '', { sides: 'both-directions-each-side' }, true));
      return true;
    }
    if (!movement.awaits || !(asMuch || turned)) return false;
    if (asMuch) movement.awaits = false;
    this.alsoOnOther(text, asMuch);
    return true;
  }

  /** "Now let everything settle. Stand in silence for one minute.", further down: of no movement above. */
  private isStillApart({ paragraph }: Spoken, text: string): boolean {
    return paragraph !== this.paragraph && isSilent(text);
  }

  /** An amount where no movement waits for one: of what is told beside it. */
  private step(amount: SpokenAmount, text: string): void {
    const above = this.pending.length > 0 ? this.pending : this.saidAbove();
    const bracketed = BRACKETED.test(text);
    const within = amount.pure || bracketed || keepsOn(text) || amountFirst(text) || nameOfClause(text) === null;
    const clause = within
      ? (bestOf(above, countedIn(text)) ?? (bracketed ? null : text))
      : (this.pending.find(isNamedThing) ?? text);
    if (rests(amount, text, clause)) return this.still(amount, text, clause);
    const again = againOf(amount, this.pending, this.movement?.name ?? null);
    const led = (): string | null => (breathsIn(this.pending, new Set()) ? 'Breathing' : null);
    const name = again ?? stepNamed(amount, text, clause, this.movement?.name ?? null) ?? led();
    if (name === null) {
      this.pending.push(text);
      return;
    }
    const counts = again === null ? withOneDone(amount.counts, text) : amount.counts;
    if (this.pending.length === 0 && amount.pure && this.isToldAbove(name, counts, clause)) return;
    const words = [...this.pending, ...(amount.pure ? [] : [text])];
    this.pending = [];
    this.doneSo(name, counts, words);
  }

  /** An amount by itself, of what the lines above tell: the movement begins there. Whether there are such lines. */
  private isToldAbove(name: string, counts: Counts, clause: string | null): boolean {
    const told = this.held.map((at) => ({ at, parts: partsOf(withoutStamp(this.lines[at] ?? '')) }));
    const from = told.findIndex(({ parts }) => clause !== null && parts.includes(clause));
    const [first, ...others] = told.slice(Math.max(0, from));
    if (!first) return false;
    const own = this.readings;
    this.readings = [];
    this.doneSo(name, counts, first.parts);
    this.out[first.at] = this.readings;
    for (const { at, parts } of others) {
      this.readings = [];
      this.tell(parts, true);
      this.out[at] = this.readings;
    }
    // The movement has it already; this line tells it.
    this.readings = [...own, { ...reading('setting', '', counts, true), sets: {} }];
    this.held = [];
    return true;
  }

  /** What the lines above say that are only said, in this paragraph. */
  private saidAbove(): readonly string[] {
    return this.held.flatMap((at) => partsOf(withoutStamp(this.lines[at] ?? '')));
  }

  /** "[pause 10s]", "[8 reps, alternating]", "(2 minutes)". */
  private direction(text: string, whole: string): void {
    const told = directionIn(text);
    if (told.what === 'heard') {
      this.flush();
      this.readings.push(reading('nothing', whole, {}, true));
    } else if (told.what === 'on' && this.movement?.amount) {
      this.flush();
      this.on = { on: told.place.on, number: told.place.number };
    } else if (told.what === 'rounds') this.often(told.counts, text, whole);
    else if (told.what === 'time') this.lasting(told, text, whole);
    else this.pending.push(whole);
  }

  /** "[8 reps]", "(x3)", "[pause 5 breaths]". */
  private often(counts: Counts, text: string, whole: string): void {
    const { movement } = this;
    if (movement?.amount && movement.amount.rounds === counts.rounds) return this.flush();
    if (movement?.amount === null) return this.count(movement, amountOf(counts), whole);
    const told = this.pending.length > 0 || this.held.length > 0;
    this.step(amountOf(counts, /breath/i.test(text) || !told), whole);
  }

  /** "[30 s]", "(continue for one minute)", "[silence 90 s]". */
  private lasting({ counts, seconds, quiet, bare, goesOn }: Lasting, text: string, whole: string): void {
    const { movement, silence } = this;
    const waits = movement?.amount === null ? movement : null;
    if (goesOn && !waits) return this.step(amountOf(counts), whole);
    if (silence?.fresh && silence.seconds === seconds) return this.flush();
    if (movement?.amount?.ownPace && seconds >= SILENCE_FROM) {
      this.flush();
      this.readings.push(reading('setting', '', { ...counts, ownPace: true }));
      return;
    }
    if (silence && silence.left >= seconds) return this.pauseWithin(silence, seconds);
    if (bare && !quiet && !waits && seconds >= SILENCE_FROM && isMoved(this.pending)) return this.step(amountOf(counts), whole); // prettier-ignore
    const still = quiet || (bare && !waits);
    if (waits && !still) return this.count(waits, amountOf(counts), whole);
    if (still && seconds >= SILENCE_FROM) return this.still(amountOf(counts), text, bestOf(this.pending));
    this.flush();
    this.readings.push(reading('pause', '', counts));
  }
}
