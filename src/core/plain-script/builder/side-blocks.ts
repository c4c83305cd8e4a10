import type { NewId } from '@/core/document';
import { copyStep, isMovement, isSilence, LIMITS, type Step } from '@/core/plan';
import type { Leg } from '@/core/words';
import type { DoneAgain, StepsMeant } from './done-again';

/*
 * Steps of one part that are done on one side and then on the other, or several times over, as a script tells of them;
 * for one reading.
 */

/** Where the steps of a script end so far: in which part, and behind how many of its steps. */
interface EndOfSteps {
  readonly parts: number;
  readonly steps: readonly Step[];
}

const LINE_NUMBER = /^\s*(?:#|no\.? ?)?\(?(\d{1,2})(?:[.):]|\s*[–-])/i;

/** "A. Rowing", "b) Bow". */
const LINE_LETTER = /^\s*([a-h])[.)]\s/i;

export class SideBlocks {
  private opened: {
    readonly side: Leg | null;
    readonly times: number;
    readonly parts: number;
    readonly from: number;
  } | null = null;
  /** The last line of a list under "On each side:". */
  private wrapsTo: number | null = null;
  /** Steps by the numbers that their lines have. */
  private readonly numbered = new Map<number, string>();

  constructor(private readonly newId: NewId) {}

  /** Keeps the number of a line that made a step. */
  number(line: string, step: Step | undefined): void {
    const mark = LINE_NUMBER.exec(line);
    if (mark && step) this.numbered.set(Number(mark[1]), step.id);
    const letter = LINE_LETTER.exec(line)?.[1];
    if (letter && step) this.numbered.set(letter.toLowerCase().charCodeAt(0) - 'a'.charCodeAt(0) + 1, step.id);
  }

  /** From here on steps are done again. */
  open(line: Exclude<DoneAgain, { what: 'again' | 'repeats' }>, { parts, steps }: EndOfSteps): void {
    const often = line.what === 'wraps-times' ? { side: null, times: line.times } : { side: line.side, times: 1 };
    this.opened = { ...often, parts, from: steps.length };
    this.wrapsTo = line.what === 'opens' ? null : line.to;
  }

  /** Whether the line at this place, from 0, stands below the list that is done on each side. */
  isBelow(at: number): boolean {
    return this.wrapsTo !== null && at > this.wrapsTo;
  }

  /**
   * The steps of the part with those done again that are meant, on the other side or, where `times` is more than once,
   * so often; `null` where they are not there.
   */
  close(of: StepsMeant, { parts, steps }: EndOfSteps, times = 1): readonly Step[] | null {
    const opened = this.opened;
    if (of === 'opened') this.opened = this.wrapsTo = null;
    const [from, to] = this.meant(of, opened, { parts, steps });
    if (from < 0 || to <= from) return null;
    const often = of === 'opened' ? (opened?.times ?? 1) : times;
    if (often > 1) return this.timesOver(steps, from, to, often);
    return this.onBothSides(steps, from, to, of === 'opened' ? (opened?.side ?? null) : null);
  }

  /** From which step to behind which; -1 where they are not there. */
  private meant(
    of: StepsMeant,
    opened: typeof this.opened,
    { parts, steps }: EndOfSteps,
  ): readonly [from: number, to: number] {
    const to = steps.length;
    // What was opened above the first part stands in it.
    if (of === 'opened') return opened && (opened.parts === parts || (opened.parts === 0 && parts === 1)) ? [opened.from, to] : [-1, to]; // prettier-ignore
    if (of === 'all') return [fromFirst(steps), to];
    if (typeof of === 'number') return [fromLast(steps, of) ?? -1, to];
    const [first = -1, last = -1] = of.map((number) => steps.findIndex(({ id }) => id === this.numbered.get(number)));
    return [first, last + 1];
  }

  private timesOver(steps: readonly Step[], from: number, to: number, times: number): readonly Step[] | null {
    const meant = steps.slice(from, to);
    if (!meant.some(isDone) || steps.length + (times - 1) * meant.length > LIMITS.stepsInSection) return null;
    const copies = Array.from({ length: times - 1 }, () => meant.map((step) => copyStep(this.newId, step))).flat();
    return [...steps, ...copies];
  }

  private onBothSides(steps: readonly Step[], from: number, to: number, side: Leg | null): readonly Step[] | null {
    const meant = steps.slice(from, to);
    if (!meant.some(isDone) || meant.some(({ blockId }) => blockId !== null)) return null;
    const sided = (step: Step): Step => (isMovement(step) && side !== null ? { ...step, startSide: side } : step);
    const [only] = meant;
    const blockId = this.newId();
    const both = meant.map((step) =>
      meant.length === 1 && only && isMovement(only)
        ? ({ ...sided(step), sides: 'one-then-other' } as Step)
        : { ...sided(step), blockId },
    );
    return [...steps.slice(0, from), ...both, ...steps.slice(to)];
  }
}

/** What people do, and what they do not only hear. */
const isDone = (step: Step): boolean => isMovement(step) || isSilence(step);

/** Where all of a part begins to be done, behind what is a block already: nobody is greeted twice. */
function fromFirst(steps: readonly Step[]): number {
  const from = steps.findLastIndex(({ blockId }) => blockId !== null) + 1;
  const moved = steps.findIndex((step, at) => at >= from && isDone(step));
  return moved < 0 ? from : moved;
}

/** Where the last so many steps begin that are done; `null` where there are not as many. */
function fromLast(steps: readonly Step[], count: number): number | null {
  let left = count;
  for (let at = steps.length - 1; at >= 0; at--) {
    const step = steps[at];
    if (step && isDone(step) && --left === 0) return at;
  }
  return null;
}
