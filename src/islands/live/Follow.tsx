import type { LiveResponse } from '@/api/live';
import { shownAt } from '@/core/live';
import { formatClock } from '@/core/units';
import { FOLLOW_LINK_WORDS } from '@/messages/live';
import { FollowLook, useFollowLook } from './FollowLook';
import { ShownHeading } from './ShownHeading';
import { Tide } from './Tide';
import { useFollowed } from './use-followed';
import { usePlace } from './use-place';

interface Props {
  readonly live: LiveResponse;
}

/** The class for people at home: what to do now, the breath, what is said; nothing else of the plan. */
export function Follow({ live }: Props) {
  const { shown, state, link } = useFollowed(live);
  const [look, setLook] = useFollowLook();
  const place = usePlace(state, shown);
  const begun = state.mode === 'running' || state.mode === 'held';
  const now = shownAt(shown, begun ? place : -1);
  const over = link === 'over';
  return (
    <div
      className="bg-base-100 text-base-content fixed inset-0 overflow-hidden"
      data-testid="follow"
      data-mode={state.mode}
      data-theme={look.ground === 'as the page' ? undefined : look.ground}
      style={{ ['--prompter-size' as string]: look.size / 100 }}
    >
      {!over && <Tide timeline={shown} state={state} />}
      <div className="relative flex h-full flex-col overflow-y-auto p-6 motion-reduce:pr-12 max-md:p-4">
        <header className="flex flex-wrap items-start justify-between gap-3">
          <p className="text-lg font-semibold">{shown.title}</p>
          <FollowLook look={look} onChange={setLook} />
        </header>
        <main id="main" className="flex flex-1 flex-col justify-center gap-8 py-4">
          {over ? (
            <h1 className="prompter-told font-semibold">This live class is over.</h1>
          ) : begun ? (
            <>
              {state.mode === 'held' && (
                <p role="status" className="text-accent text-2xl font-semibold">
                  Paused
                </p>
              )}
              <ShownHeading shown={now} as="h1" />
              {look.words && <p className="prompter-next font-serif">{now.said}</p>}
            </>
          ) : (
            <h1 className="prompter-told font-semibold">
              {state.mode === 'done' ? 'Thank you.' : 'The class begins soon.'}
            </h1>
          )}
        </main>
        <footer className="flex flex-wrap justify-between gap-x-6 text-lg">
          <span role="status">{over ? '' : FOLLOW_LINK_WORDS[link]}</span>
          {begun && (
            <span>
              {now.next !== '' && `then ${now.next} · `}
              {formatClock(shown.runtimeSeconds - place)} left
            </span>
          )}
        </footer>
      </div>
    </div>
  );
}
