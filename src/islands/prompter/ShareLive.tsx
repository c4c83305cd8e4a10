import { useState } from 'react';
import { Dialog } from '@/ui/parts/Dialog';
import { SHARE_STATE_WORDS } from '@/messages/live';
import { QrPicture } from './QrPicture';
import type { Live } from './use-live';

interface Props {
  readonly live: Live;
  readonly onClose: () => void;
}

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);

/** Shows the class to others: people at home, a phone in the hand, a second screen, a streaming program. */
export function ShareLive({ live, onClose }: Props) {
  const { codes, state, trouble, another, start, end } = live;
  const lost = state === 'over' || state === 'another';
  return (
    <Dialog title="Show this class to others" wide onClose={onClose}>
      {trouble !== '' && !another && (
        <p role="alert" className="text-error mb-3 font-semibold">
          {trouble}
        </p>
      )}
      {codes && !lost ? (
        <Shared codes={codes} state={state} onEnd={end} />
      ) : (
        <div className="flex flex-col gap-4">
          {codes && lost && (
            <p role="alert" className="text-error font-semibold">
              {SHARE_STATE_WORDS[state]}
            </p>
          )}
          <p>
            Those who have the code see the movement, its side and round, the breath and what is said, in step with you.
            They see nothing else of the plan. The code ends with the class, or when you stop.
          </p>
          {another ? (
            <p role="alert" className="flex flex-wrap items-center gap-3">
              Another window or device shows this class already.
              <button type="button" className="btn btn-primary" onClick={() => void start(true)}>
                Lead it from here
              </button>
            </p>
          ) : (
            <button
              type="button"
              data-first
              className="btn btn-primary h-14 self-start text-xl"
              onClick={() => void start(state === 'another')}
            >
              {state === 'another' ? 'Lead it from here' : 'Show it'}
            </button>
          )}
        </div>
      )}
    </Dialog>
  );
}

interface SharedProps {
  readonly codes: NonNullable<Live['codes']>;
  readonly state: Live['state'];
  readonly onEnd: Live['end'];
}

function Shared({ codes, state, onEnd }: SharedProps) {
  const { origin, hostname } = location;
  const follow = `${origin}/live/${codes.code}`;
  const remote = `${origin}/live/${codes.remoteCode}/remote`;
  const overlay = `${follow}/stage?see-through`;
  return (
    <div className="flex flex-col gap-4">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p role="status">{SHARE_STATE_WORDS[state]}</p>
        <button type="button" className="btn" onClick={() => void onEnd()}>
          Stop showing it
        </button>
      </div>
      <div className="grid gap-4 sm:grid-cols-2">
        <Way title="To follow, at home or in the room" address={follow} picture>
          Code <strong className="font-mono text-xl">{spaced(codes.code)}</strong>
        </Way>
        <Way title="Remote, for your own phone" address={remote} picture>
          Whoever has this address moves the class on.
        </Way>
        <Way title="Second screen" address={`${follow}/stage`} />
        <Way title="Overlay, for a streaming program" address={overlay}>
          1920 × 1080, see-through. Add <code>&amp;parts=caption,movement,breath</code> to choose.
        </Way>
      </div>
      {LOOPBACK.has(hostname) && (
        <p className="quiet-ink text-sm">
          These addresses work on this computer. For phones and people at home the application has to be served under a
          name of its own; the README says how (CALM_ORIGIN).
        </p>
      )}
    </div>
  );
}

/** A code in groups of four, as it is read out. */
function spaced(code: string): string {
  return code.replace(/(.{4})(?=.)/g, '$1 ');
}

interface WayProps {
  readonly title: string;
  readonly address: string;
  readonly picture?: boolean;
  readonly children?: React.ReactNode;
}

function Way({ title, address, picture, children }: WayProps) {
  const [copied, setCopied] = useState(false);
  const copy = (): void => {
    void navigator.clipboard.writeText(address).then(
      () => setCopied(true),
      () => undefined,
    );
  };
  return (
    <section aria-label={title} className="border-base-300 rounded-box flex flex-col gap-2 border p-3">
      <h3 className="font-semibold">{title}</h3>
      {picture && <QrPicture text={address} label={`${title}: the address as a picture to scan`} />}
      {children && <p>{children}</p>}
      <p className="flex flex-wrap items-center gap-2">
        <a className="link min-w-0 text-sm break-all" href={address} target="_blank" rel="noreferrer">
          {address}
        </a>
        <button type="button" className="btn btn-sm" onClick={copy}>
          {copied ? 'Copied' : 'Copy'}
        </button>
      </p>
    </section>
  );
}
