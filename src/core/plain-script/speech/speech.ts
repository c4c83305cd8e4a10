import { CALLS_BACK, isFarewell } from '../tokens/first-words';
import type { Counts } from '../model/model';
import { isUnder } from '../lines/over-words';
import { reading, type Reading } from '../model/reading';
import { amountInSpeech, amountOf, isAsMuch, isLeft, type SpokenAmount } from './amounts';
import { breathsIn } from './breaths';
import { directionIn, type Lasting } from './directions';
import {
  BRACKETED,
  countDownBelow,
  headOf,
  isCountedAhead,
  isTitle,
  lengthIn,
  lengthSpoken,
  partOf,
  partsOf,
  stepsBelow,
} from './lines';
import { lastOnes, saidInRounds, isNamedThing, isStillClause, namedInSpeech, nameOfClause } from './names';
import { goesOver, isDone, isMoved, onOther, soOften, turnedAbove, turnedInSpeech, type Turned } from './sides';
import { silenceFor, spokenOf, type Silence, type Spoken } from './state';
import { againOf, amountFirst, bestOf, countedIn, keepsOn, rests, stepNamed, stillOf } from './steps';
import { spokenLines, withoutStamp } from './word-for-word';

/*
 * A class that is spoken word for word, read sentence by sentence: each names a movement, counts it, goes to its other
 * side, rests, or is said. What is not plainly one of the first is said.
 */

/** What each line of a script tells that is spoken word for word; `null` for a line that is read like any other. */
export function readSpeech(written: readonly string[]): readonly (readonly Reading[] | null)[] {
  const lines = spokenLines(written);
  if (!lines) return written.map(() => null);
  const reader = new SpeechReader(lines);
  lines.forEach((_, at) => {
    reader.take(at);
  });
  return reader.out;
}

const SILENTLY = /\b(?:silen(?:ce|t)|quiet(?:ly)?|stillness|stand still)\b/i;
/** "The last thing is standing quietly for two minutes." */
const NEXT_THING = /^(?:(?:and|so|now|ok|okay)[,]? )*(?:the|our) (?:last|next|final) (?:thing|one|part|exercise) is\b/i;
/** A longer sentence is said, whatever it tells. */
const LONGEST = 300;
/** "Two more like that.": one was done as it was told. */
const MORE_AT_MOST = 6;
/** So many lines above may tell what an amount by itself counts. */
const HELD_LINES = 2;
/** So long nobody pauses between two lines. Common practice, no published source. */
const SILENCE_FROM = 30;
const ENDS_CLASS =
  /\b(?:thank(?:s| you)|good ?bye|bye|see you|good ?night|that['’]s (?:it|all)|that is (?:it|all)|well done|dismissed|have a (?:good|nice|lovely|calm)|how (?:does|do) (?:that|you) feel)\b/i;

class SpeechReader {
  readonly out: (readonly Reading[] | null)[];
  private movement: Spoken | null = null;
  /** Whether there is any step. */
  private stepped = false;
  /** The last step, where it is a silence. */
  private silence: Silence | null = null;
  /** Whether the pauses in it have filled it. */
  private ended = false;
  /** Lines above in the same paragraph that are only said. */
  private held: number[] = [];
  private paragraph = 0;
  /** The line that is read: where it stands, what it told, and what waits to be said. */
  private at = 0;
  private readings: Reading[] = [];
  private pending: string[] = [];
  /** What was said last between both sides. */
  private change: { readonly within: Reading[]; readonly at: number } = { within: [], at: 0 };

  constructor(private readonly lines: readonly string[]) {
    this.out = lines.map(() => null);
  }

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
    [this.readings, this.pending, this.at] = [[], [], at];
    for (const part of partsOf(body)) {
      const direction = BRACKETED.exec(part)?.[1];
      if (direction === undefined) this.sentence(part);
      else this.direction(direction, part);
    }
    this.flush();
    this.out[at] = this.readings;
    const onlySaid = this.readings.every(({ kind, sets }) => kind === 'said' && sets === undefined);
    this.held = onlySaid ? [...this.held, at].slice(-HELD_LINES) : [];
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

  private begin(name: string, amount: Counts | null, headed = false): void {
    this.movement = spokenOf(name, amount, this.paragraph, headed);
    [this.silence, this.stepped] = [null, true];
  }

  private sentence(text: string): void {
    const lasts = this.stepped ? null : lengthSpoken(text);
    if (lasts) this.readings.push(lasts);
    if (lasts || text.length > LONGEST || isFarewell(text)) this.pending.push(text);
    else if (this.isNamed(text)) return;
    else if (isUnder(text)) this.pending.push(text);
    else this.told(text, amountInSpeech(text));
  }

  private told(text: string, amount: SpokenAmount | null): void {
    const { movement } = this;
    if (amount && movement?.to === null && isLeft(amount, movement.amount)) return this.callBack(text);
    if (amount && NEXT_THING.test(text) && rests(amount, text, text)) return this.still(amount, text, text);
    if (movement?.amount && this.isOnOther(text, amount, movement, movement.amount)) return;
    const often = movement?.amount && amount ? soOften(text, movement.amount, amount) : null;
    if (often) this.readings.push(...often);
    if (often || !amount) this.pending.push(text);
    else if (movement?.amount === null && !this.isStillApart(movement, text)) this.count(movement, amount, text);
    else this.step(amount, text);
  }

  private callBack(words: string): void {
    this.flush();
    this.readings.push({ ...reading('setting', words), sets: { callBackWords: words } });
  }

  /** Takes the movement that a sentence names; one in small letters only where its amount follows. Whether it did. */
  private isNamed(text: string): boolean {
    const named = namedInSpeech(text);
    const waits = this.movement?.headed === true && this.movement.amount === null;
    if (!named || (named.unsure && (waits || !isCountedAhead(this.lines, this.at, text)))) return false;
    const before = [...this.pending, text].join(' ');
    this.pending = [];
    this.readings.push({ ...reading('movement', named.name, {}, named.unsure), heads: true }, said(before, true));
    const amount = amountInSpeech(text);
    this.begin(named.name, amount?.counts ?? null);
    if (amount) this.readings.push(reading('setting', '', amount.counts, true));
    return true;
  }

  /** Takes what goes to the other side, or the other way, of a movement that is counted. Whether it did. */
  private isOnOther(text: string, amount: SpokenAmount | null, movement: Spoken, counts: Counts): boolean {
    const asMuch = amount !== null && (amount.more || isAsMuch(amount.counts, counts));
    // "Then we swing a leg. Right leg, fifteen times.", behind ten of something else.
    if (amount && !asMuch && !goesOver(text) && this.isBegun()) return false;
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

  /** Whether something else is told already that is done. */
  private isBegun(): boolean {
    return this.pending.some(isDone);
  }

  private turn(sides: Turned, amount: SpokenAmount | null, text: string, movement: Spoken): void {
    const words = [...this.pending, text].join(' ');
    this.pending = [];
    this.readings.push(...onOther(sides, words, movement.amount ?? {}, amount));
    this.change = { within: this.readings, at: this.readings.length - 1 };
    [movement.to, movement.awaits] = [sides, amount === null];
  }

  /** "And reverse! Another twenty seconds.": how long the other side takes is said with it. */
  private alsoOnOther(text: string, asMuch: boolean): void {
    const { within, at } = this.change;
    const change = within[at];
    if (!asMuch || !change || this.pending.length > 0) this.pending.push(text);
    else within[at] = { ...change, sets: { changeWords: `${change.sets?.changeWords ?? ''} ${text}` } };
  }

  private count(movement: Spoken, amount: SpokenAmount, text: string): void {
    if (!amount.pure) this.pending.push(text);
    this.flush();
    movement.amount = amount.counts;
    movement.counted = this.paragraph;
    this.readings.push(reading('setting', '', amount.counts));
  }

  /** "Now let everything settle. Stand in silence for one minute.", further down: of no movement above. */
  private isStillApart({ paragraph }: Spoken, text: string): boolean {
    return paragraph !== this.paragraph && SILENTLY.test(text) && isStillClause(text);
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
    const { rounds = 0 } = amount.counts;
    const once =
      /\b(?:more|another)\b/i.test(text) && again === null && rounds > 0 && rounds <= MORE_AT_MOST
        ? { rounds: rounds + 1 }
        : {};
    const counts = { ...amount.counts, ...once };
    if (this.pending.length === 0 && amount.pure && this.isToldAbove(name, counts, clause)) return;
    const words = [...this.pending, ...(amount.pure ? [] : [text])];
    this.pending = [];
    this.doneSo(name, counts, words);
  }

  /** A movement that nothing names, and what is told of it. */
  private doneSo(name: string, counts: Counts, words: readonly string[]): void {
    this.readings.push({ ...reading('movement', name, counts, true), heads: true });
    this.begin(name, counts);
    // "Arm swings, thirty seconds." is said as it is written, too: nothing else names it.
    if (words.length > 0) this.tell(words, true);
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

  private still({ counts, pure }: SpokenAmount, text: string, clause: string | null): void {
    const { words, told, unsure } = stillOf(text, pure, clause, this.pending);
    this.readings.push({ ...reading('silence', words, counts, unsure), ...(told === '' ? {} : { said: told }) });
    this.pending = [];
    [this.movement, this.stepped] = [null, true];
    this.silence = silenceFor(counts.seconds?.[0] ?? 0);
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

  /** A pause between what is said into a silence is of it; where they fill it, what is said next is no more. */
  private pauseWithin(silence: Silence, time: number): void {
    this.flush();
    silence.left -= time;
    this.ended = silence.left === 0;
    this.readings.push(reading('pause', '', { seconds: [time, time, time] }));
  }

  /** What waits is said. */
  private flush(): void {
    const waiting = this.pending;
    this.pending = [];
    if (waiting.length === 0) return;
    if (this.movement?.amount && waiting.some((one) => isDone(one))) this.movement.over = true;
    const over = ENDS_CLASS.test(waiting.join(' ')) || waiting.slice(1).some((one) => CALLS_BACK.test(one));
    if (this.silence) this.silence.fresh = false;
    if (this.ended || (this.silence && over)) {
      [this.silence, this.ended] = [null, false];
      this.readings.push({ ...reading('talk', 'Talk'), said: waiting.join(' ') });
    } else this.tell(waiting, this.movement?.amount === null && this.movement.ways.size === 0);
  }

  /** Sentences are said, or lead the breath of the movement. */
  private tell(sentences: readonly string[], before: boolean): void {
    if (!this.movement && this.breathesAhead(sentences)) {
      this.readings.push(reading('movement', 'Breathing', {}, true));
      this.begin('Breathing', null);
    }
    if (this.movement?.amount && !before) return this.correct(sentences, this.movement);
    const breathed = this.movement ? breathsIn(sentences, this.movement.ways) : null;
    const words = breathed ? breathed.others : sentences.join(' ');
    if (words !== '') this.readings.push(said(words, before));
    this.readings.push(...(breathed?.breaths ?? []));
  }

  /** What is told behind an amount is said in its rounds, up to what ends them. */
  private correct(sentences: readonly string[], movement: Spoken): void {
    const breathed = breathsIn(sentences, movement.ways);
    if (breathed) return void this.readings.push(...(breathed.others === '' ? [] : [said(breathed.others, false)]), ...breathed.breaths); // prettier-ignore
    const open = !movement.ended && movement.counted === this.paragraph;
    const within = open ? sentences.slice(0, saidInRounds(sentences, countDownBelow(this.lines, this.at))) : [];
    const after = sentences.slice(within.length);
    this.readings.push(
      ...within.map((one): Reading => ({ ...reading('said', one), sets: { during: one, last: lastOnes(one) } })),
    );
    if (after.length === 0) return;
    movement.ended = true;
    this.readings.push(said(after.join(' '), false));
  }

  /** Whether sentences lead a breath that is counted below: "Inhale: float up." */
  private breathesAhead(sentences: readonly string[]): boolean {
    const only = sentences.every((one) => breathsIn([one], new Set())?.breaths.length);
    return only && isCountedAhead(this.lines, this.at, sentences.at(-1) ?? '');
  }
}

/** Said; before the rounds of a movement that has no amount yet. */
function said(words: string, before: boolean): Reading {
  return { ...reading('said', words), ...(before ? { sets: { before: words } } : {}) };
}
