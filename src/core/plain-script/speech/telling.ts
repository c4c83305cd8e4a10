import { CALLS_BACK } from '../tokens/first-words';
import type { Counts } from '../model/model';
import { wordCount } from '../model/line-words';
import { reading, type Reading } from '../model/reading';
import { type SpokenAmount } from './amounts';
import { breathsIn } from './breaths';
import { countDownBelow, endsClass, isCountedAhead } from './lines';
import { saidInRounds } from './names';
import { isDone, isSided, onOther, type Turned } from './sides';
import { onLast, said, silenceFor, spokenOf, type DuringPlace, type Silence, type Spoken } from './state';
import { stillOf } from './steps';

/*
 * What is told of a class that is spoken word for word: the step that is spoken of, what each line told of it, and what
 * waits to be said.
 */

/** A class that is being told, line by line; lives for one reading. */
export class Telling {
  readonly out: (readonly Reading[] | null)[];
  protected movement: Spoken | null = null;
  /** Whether there is any step. */
  protected stepped = false;
  /** The last step, where it is a silence. */
  protected silence: Silence | null = null;
  /** Whether the pauses in it have filled it. */
  protected ended = false;
  protected paragraph = 0;
  /** The line that is read: where it stands, what it told, and what waits to be said. */
  protected at = 0;
  protected readings: Reading[] = [];
  protected pending: string[] = [];
  /** What was said last between both sides. */
  protected change: { readonly within: Reading[]; readonly at: number } = { within: [], at: 0 };

  constructor(protected readonly lines: readonly string[]) {
    this.out = lines.map(() => null);
  }

  protected begin(name: string, amount: Counts | null, headed = false): void {
    this.movement = spokenOf(name, amount, { paragraph: this.paragraph, line: this.at }, headed);
    [this.silence, this.stepped] = [null, true];
  }

  protected onRound(words: string, place: DuringPlace): void {
    this.flush();
    this.readings.push({ ...reading('said', words), sets: { during: words, place } });
  }

  protected callBack(words: string): void {
    this.flush();
    this.readings.push({ ...reading('setting', words), sets: { callBackWords: words } });
  }

  protected turn(sides: Turned, amount: SpokenAmount | null, text: string, movement: Spoken): void {
    const words = [...this.pending, text].join(' ');
    this.pending = [];
    this.readings.push(...onOther(sides, words, movement.amount ?? {}, amount));
    this.change = { within: this.readings, at: this.readings.length - 1 };
    [movement.to, movement.awaits] = [sides, amount === null];
  }

  /** "And reverse! Another twenty seconds.": how long the other side takes is said with it. */
  protected alsoOnOther(text: string, asMuch: boolean): void {
    const { within, at } = this.change;
    const change = within[at];
    if (!asMuch || !change || this.pending.length > 0) this.pending.push(text);
    else within[at] = { ...change, sets: { changeWords: `${change.sets?.changeWords ?? ''} ${text}` } };
  }

  protected count(movement: Spoken, amount: SpokenAmount, text: string): void {
    if (!amount.pure) this.pending.push(text);
    this.flush();
    movement.amount = amount.counts;
    movement.counted = this.paragraph;
    this.readings.push(reading('setting', '', amount.counts));
  }

  /** Whether something else is told already that is done. */
  protected isBegun(): boolean {
    return this.pending.some(isDone);
  }

  /** A movement that nothing names, and what is told of it. */
  protected doneSo(name: string, counts: Counts, words: readonly string[]): void {
    this.readings.push({ ...reading('movement', name, counts, true), heads: true });
    this.begin(name, counts);
    // "Arm swings, thirty seconds." is said as it is written, too: nothing else names it.
    if (words.length > 0) this.tell(words, true);
  }

  protected still({ counts, pure }: SpokenAmount, text: string, clause: string | null): void {
    const { words, told, unsure } = stillOf(text, pure, clause, this.pending);
    this.readings.push({ ...reading('silence', words, counts, unsure), ...(told === '' ? {} : { said: told }) });
    this.pending = [];
    [this.movement, this.stepped] = [null, true];
    this.silence = silenceFor(counts.seconds?.[0] ?? 0);
  }

  /** A pause between what is said into a silence is of it; where they fill it, what is said next is no more. */
  protected pauseWithin(silence: Silence, time: number): void {
    this.flush();
    silence.left -= time;
    this.ended = silence.left === 0;
    this.readings.push(reading('pause', '', { seconds: [time, time, time] }));
  }

  /** What waits is said. */
  protected flush(): void {
    const waiting = this.pending;
    this.pending = [];
    if (waiting.length === 0) return;
    if (this.movement?.amount && waiting.some((one) => isDone(one))) this.movement.over = true;
    const over = endsClass(waiting.join(' ')) || waiting.slice(1).some((one) => CALLS_BACK.test(one));
    if (this.silence) this.silence.fresh = false;
    const back = waiting.findIndex((one, at) => at > 0 && CALLS_BACK.test(one));
    // "Just listen to the rain. And slowly open your eyes."
    const first = waiting[0] ?? '';
    const within = this.silence && !this.ended && back > 0 && wordCount(first) > 2 && !endsClass(first) ? back : 0;
    if (within > 0) this.tell(waiting.splice(0, within), false);
    if (this.ended || (this.silence && over)) {
      [this.silence, this.ended] = [null, false];
      this.readings.push({ ...reading('talk', 'Talk'), said: waiting.join(' ') });
    } else this.tell(waiting, this.movement?.amount === null && this.movement.ways.size === 0);
  }

  /** What waits is said before the rounds. */
  protected tellBefore(): void {
    const waiting = this.pending;
    this.pending = [];
    if (waiting.length > 0) this.tell(waiting, true);
  }

  /** Sentences are said, or lead the breath of the movement. */
  protected tell(sentences: readonly string[], before: boolean): void {
    if (!this.movement && this.breathesAhead(sentences)) {
      this.readings.push(reading('movement', 'Breathing', {}, true));
      this.begin('Breathing', null);
    }
    if (this.movement && isSided(sentences)) this.movement.sided = true;
    if (this.movement?.amount && !before) return this.correct(sentences, this.movement);
    const breathed = this.movement ? breathsIn(sentences, this.movement.ways) : null;
    const words = breathed ? breathed.others : sentences.join(' ');
    if (words !== '') this.readings.push(said(words, before));
    this.readings.push(...(breathed?.breaths ?? []));
  }

  /** What is told behind an amount is said in its rounds, up to what ends them. */
  protected correct(sentences: readonly string[], movement: Spoken): void {
    const breathed = breathsIn(sentences, movement.ways);
    if (breathed) return void this.readings.push(...(breathed.others === '' ? [] : [said(breathed.others, false)]), ...breathed.breaths); // prettier-ignore
    const open = !movement.ended && movement.counted === this.paragraph;
    const within = open ? sentences.slice(0, saidInRounds(sentences, countDownBelow(this.lines, this.at))) : [];
    const after = sentences.slice(within.length);
    this.readings.push(
      ...within.map((one): Reading => ({ ...reading('said', one), sets: { during: one, place: onLast(one) } })),
    );
    if (after.length === 0) return;
    movement.ended = true;
    this.readings.push(said(after.join(' '), false));
  }

  /** Whether sentences lead a breath that is counted below: "Inhale: float up." */
  protected breathesAhead(sentences: readonly string[]): boolean {
    const only = sentences.every((one) => breathsIn([one], new Set())?.breaths.length);
    return only && isCountedAhead(this.lines, this.at, sentences.at(-1) ?? '');
  }
}
