import type { Cue } from '@/core/timeline';

interface Props {
  readonly now: string;
  readonly next: Cue | null;
  readonly mode: 'ready' | 'running' | 'held' | 'done';
  readonly place: number;
}

/** Longer lines are smaller, so that the whole of them is seen. */
const LONG = 95;

/** The line now, and the next with the time until it. */
export function Lines({ now, next, mode, place }: Props) {
  return (
    <>
      <p data-testid="line-now" data-long={now.length > LONG ? 'yes' : 'no'} className="prompter-now font-serif">
        {now}
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
