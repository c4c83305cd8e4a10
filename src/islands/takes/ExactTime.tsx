import { useState } from 'react';
import { formatExactClock, parseClock, type Seconds } from '@/core/units';

const LONGEST_TAKE_SECONDS = 14_400;

interface Props {
  readonly label: string;
  readonly seconds: Seconds;
  readonly onSet: (seconds: Seconds) => void;
}

/** What a field holds by itself: `held` from when it is entered, `typed` from the first key, `set` once it was sent on. */
interface Own {
  readonly text: string;
  readonly since: 'held' | 'typed' | 'set';
}

/**
 * A time in the take, typed to the tenth and set by a button or Enter. What is being typed, or chosen to be typed over,
 * stays whatever the time becomes meanwhile: by what an earlier page left, say. A value that changed under a selection
 * would take it away, and what is then typed would land behind the old text.
 */
export function ExactTime({ label, seconds, onSet }: Props) {
  const [own, setOwn] = useState<Own | null>(null);
  const [shown, setShown] = useState(seconds);
  if (shown !== seconds) {
    setShown(seconds);
    if (own?.since === 'set') setOwn(null);
  }
  const text = own?.text ?? formatExactClock(seconds);
  const read = readExact(text);
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (read === null) return;
        setOwn({ text, since: 'set' });
        onSet(read);
      }}
    >
      <label className="flex items-center gap-2">
        {label}
        <input
          className="input input-sm w-24 text-right"
          value={text}
          aria-invalid={read === null}
          onFocus={() => setOwn((now) => now ?? { text, since: 'held' })}
          onBlur={() => setOwn((now) => (now?.since === 'held' ? null : now))}
          onChange={(event) => setOwn({ text: event.target.value, since: 'typed' })}
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
