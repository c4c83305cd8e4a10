import type { NewId } from '@/core/document';
import { isMovement, isSilence, type Step } from '@/core/plan';
import type { Leg } from '@/core/words';
import type { DoneAgain } from './done-again';

/* Steps of one part that are done on one side and then on the other, as a script tells of them; for one reading. */

/** Where the steps of a script end so far: in which part, and behind how many of its steps. */
export interface EndOfSteps {
  readonly parts: number;
  readonly steps: readonly Step[];
}

const LINE_NUMBER = /^\s*(?:#|no\.? ?)?\(?(\d{1,2})(?:[.):]|\s*[–-])/i;

export class SideBlocks {
  private opened: { readonly side: Leg; readonly parts: number; readonly from: number } | null = null;
  /** The last line of a list under "On each side:". */
  private wrapsTo: number | null = null;
  /** Steps by the numbers that their lines have. */
  private readonly numbered = new Map<number, string>();

  constructor(private readonly newId: NewId) {}

  /** Keeps the number of a line that made a step. */
  number(line: string, step: Step | undefined): void {
    const mark = LINE_NUMBER.exec(line);
    if (mark && step) this.numbered.set(Number(mark[1]), step.id);
  }

  /** From here on steps are done again. */
  open(line: Exclude<DoneAgain, { what: 'again' }>, { parts, steps }: EndOfSteps): void {
    this.opened = { side: line.side, parts, from: steps.length };
    this.wrapsTo = line.what === 'wraps' ? line.to : null;
  }

  /** Whether the line at this place, from 0, stands below the list that is done on each side. */
  isBelow(at: number): boolean {
    return this.wrapsTo !== null && at > this.wrapsTo;
  }

  /** The steps of the part with those done again that are meant; `null` where they are not there. */
  close(of: Extract<DoneAgain, { what: 'again' }>['of'], end: EndOfSteps): readonly Step[] | null {
    const { steps } = end;
    const opened = this.opened;
    if (of === 'opened') {
      this.opened = this.wrapsTo = null;
      // What was opened above the first part stands in it.
      const same = opened !== null && (opened.parts === end.parts || (opened.parts === 0 && end.parts === 1));
      return same ? this.onBothSides(steps, opened.from, steps.length, opened.side) : null;
    }
    if (of === 'all') return this.onBothSides(steps, behindLastBlock(steps), steps.length, null);
    if (typeof of === 'number') {
      const from = fromLast(steps, of);
      return from === null ? null : this.onBothSides(steps, from, steps.length, null);
    }
    const [first, last] = of.map((number) => steps.findIndex(({ id }) => id === this.numbered.get(number)));
    if (first === undefined || last === undefined || first < 0 || last < first) return null;
    return this.onBothSides(steps, first, last + 1, null);
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

function behindLastBlock(steps: readonly Step[]): number {
  return steps.findLastIndex(({ blockId }) => blockId !== null) + 1;
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
