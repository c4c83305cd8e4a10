import type { Cue } from '@/core/timeline';
import type { Seconds } from '@/core/units';

interface Props {
  readonly now: string;
  /** When the line now is due, where it is shown before that: it is followed by ear, and was not said yet. */
  readonly dueSeconds?: Seconds | null;
  readonly next: Cue | null;
  readonly mode: 'ready' | 'running' | 'held' | 'done';
  readonly place: number;
}

/** Longer lines are smaller, so that the whole of them is seen. */
const LONG = 95;

/** Due sooner than this is now. */
const SOON: Seconds = 1;

/** The line now, and the next with the time until it. */
export function Lines({ now, dueSeconds = null, next, mode, place }: Props) {
  const wait = dueSeconds === null ? 0 : Math.ceil(dueSeconds - place - SOON);
  return (
    <>
      <p data-testid="line-now" data-long={now.length > LONG ? 'yes' : 'no'} className="prompter-now font-serif">
        {now}
        {wait > 0 && <span className="quiet-ink ml-4 font-sans text-xl">in {wait} s</span>}
      </p>
      <p data-testid="line-next" className="quiet-ink prompter-next line-clamp-2 min-h-10 font-serif">
        {next && (
          <>
            <span className="font-sans text-xl">
              {mode === 'ready' ? 'starts with ' : `in ${Math.max(0, Math.ceil(next.startSeconds - place))} s `}
            </span>
            {next.text}
          </>
        )}
      </p>
    </>
  );
}
