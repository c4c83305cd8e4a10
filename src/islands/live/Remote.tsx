import { useRef, useState } from 'react';
import { send } from '@/api/client';
import type { LiveResponse } from '@/api/live';
import { shownAt, COMMAND_MILLISECONDS, type Command } from '@/core/live';
import { formatClock } from '@/core/units';
import { COMMAND_WORDS, REMOTE_LINK_WORDS } from '@/messages/live';
import { ShownHeading } from './ShownHeading';
import { useFollowed } from './use-followed';
import { usePlace } from './use-place';

interface Props {
  readonly live: LiveResponse;
}

const AGAIN_MILLISECONDS = 1_000;

/** Sends a press until it is taken, or too late to be meant. */
async function press(code: string, command: Command, at: number): Promise<boolean> {
  const body = { id: crypto.randomUUID(), command, at };
  const began = performance.now();
  for (;;) {
    const answer = await send('POST', `/api/live/${code}/commands`, body);
    if (answer.ok || !answer.away || performance.now() - began > COMMAND_MILLISECONDS) return answer.ok;
    await new Promise((done) => setTimeout(done, AGAIN_MILLISECONDS));
  }
}

/** A phone in the hand that moves the class on: five large buttons, and what is shown now. */
export function Remote({ live }: Props) {
  const { shown, state, link, sharedNow } = useFollowed(live);
  const [trouble, setTrouble] = useState('');
  const presses = useRef(0);
  const place = usePlace(state, shown);
  const begun = state.mode === 'running' || state.mode === 'held';
  const now = shownAt(shown, begun ? place : -1);
  const off = link === 'over';
  const pressed = async (command: Command): Promise<void> => {
    const one = ++presses.current;
    setTrouble('');
    const at = await sharedNow();
    const taken = at !== null && (await press(live.code, command, at));
    if (!taken && one === presses.current) setTrouble(`“${COMMAND_WORDS[command]}” did not reach the prompter.`);
  };
  const button = (command: Command, words: string = COMMAND_WORDS[command], looks = '', disabled = off || !begun) => (
    <button
      type="button"
      className={`btn h-full min-h-20 w-full text-2xl ${looks}`}
      disabled={disabled}
      onClick={() => void pressed(command)}
    >
      {words}
    </button>
  );
  const main = state.mode === 'running' ? 'hold' : 'go';
  const mainWords = { ready: 'Start', running: 'Pause', held: 'Resume', done: 'Start again' }[state.mode];
  return (
    <div className="bg-base-100 flex min-h-dvh flex-col gap-3 p-4" data-testid="remote" data-mode={state.mode}>
      <header className="flex justify-between gap-3">
        <h1 className="min-w-0 truncate text-lg font-semibold">{shown.title}</h1>
        <span className="text-lg">{begun ? `${formatClock(shown.runtimeSeconds - place)} left` : ''}</span>
      </header>
      <section aria-label="Now" className="remote-now min-h-28">
        {state.mode === 'held' && <p className="text-accent text-2xl font-semibold">Paused</p>}
        {begun && <ShownHeading shown={now} />}
        {begun && <p className="line-clamp-2 font-serif text-lg">{now.said}</p>}
      </section>
      <p role="status" className={link === 'open' ? 'quiet-ink' : 'text-error font-semibold'}>
        {REMOTE_LINK_WORDS[link]}
      </p>
      {trouble !== '' && (
        <p role="alert" className="text-error font-semibold">
          {trouble}
        </p>
      )}
      <main
        id="main"
        aria-label="Move the class on"
        className="grid flex-1 grid-cols-2 gap-3 [grid-template-rows:1.4fr_1fr_1fr]"
      >
        <div className="col-span-2">{button(main, mainWords, 'btn-primary', off)}</div>
        {button('line-back')}
        {button('next-line')}
        {button('stay', state.by === 'hand' ? 'Go by the clock' : COMMAND_WORDS.stay)}
        {button('next-step')}
      </main>
    </div>
  );
}
