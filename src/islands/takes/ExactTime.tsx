import { useState } from 'react';
import { formatExactClock, parseClock, type Seconds } from '@/core/units';

const LONGEST_TAKE_SECONDS = 14_400;

interface Props {
  readonly label: string;
  readonly seconds: Seconds;
  readonly onSet: (seconds: Seconds) => void;
}

/**
 * A time in the take, typed to the tenth and set by a button or Enter. What is being typed stays, whatever the time
 * becomes meanwhile: by what an earlier page left, say.
 */
export function ExactTime({ label, seconds, onSet }: Props) {
  const [typed, setTyped] = useState<{ readonly text: string; readonly isSet: boolean } | null>(null);
  const [shown, setShown] = useState(seconds);
  if (shown !== seconds) {
    setShown(seconds);
    if (typed?.isSet) setTyped(null);
  }
  const text = typed?.text ?? formatExactClock(seconds);
  const read = readExact(text);
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (read === null) return;
        setTyped({ text, isSet: true });
        onSet(read);
      }}
    >
      <label className="flex items-center gap-2">
        {label}
        <input
          className="input input-sm w-24 text-right"
          value={text}
          aria-invalid={read === null}
          onChange={(event) => setTyped({ text: event.target.value, isSet: false })}
        />
      </label>
      <button type="submit" className="btn btn-sm btn-primary" disabled={read === null}>
        Set<span className="sr-only"> {label}</span>
      </button>
      {read === null && (
        <span role="alert" className="text-error text-sm">
          As m:ss.t, up to 4 hours
        </span>
      )}
    </form>
  );
}

function readExact(text: string): Seconds | null {
  const seconds = text.includes(':') ? parseClock(text) : null;
  return seconds !== null && seconds <= LONGEST_TAKE_SECONDS ? seconds : null;
}
