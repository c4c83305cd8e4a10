import type { Cut } from '@/core/reading';
import { formatExactClock, type Seconds } from '@/core/units';
import { CUT_NAMES } from '@/messages/cuts';
import { CheckBox } from '@/ui/parts/CheckBox';
import { ExactTime } from '../ExactTime';

interface Props {
  readonly cut: Cut;
  readonly playSeconds: Seconds;
  readonly onChange: (cut: Cut | null) => void;
}

/** Puts the chosen cut right: its ends, and whether it is made. */
export function CutDock({ cut, playSeconds, onChange }: Props) {
  const { startSeconds, endSeconds } = cut;
  const setStart = (seconds: Seconds): void => {
    if (seconds < endSeconds) onChange({ ...cut, startSeconds: seconds });
  };
  const setEnd = (seconds: Seconds): void => {
    if (seconds > startSeconds) onChange({ ...cut, endSeconds: seconds });
  };
  return (
    <section aria-label="The cut" className="py-3">
      <h2 className="font-semibold">Cut: {CUT_NAMES[cut.reason]}</h2>
      <CheckBox label="Cut it out" checked={cut.on} onChange={(on) => onChange({ ...cut, on })} />
      <div className="flex flex-col gap-2">
        <ExactTime label="From" seconds={startSeconds} onSet={setStart} />
        <ExactTime label="To" seconds={endSeconds} onSet={setEnd} />
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-sm"
          disabled={playSeconds >= endSeconds}
          onClick={() => setStart(playSeconds)}
        >
          Start at {formatExactClock(playSeconds)}
        </button>
        <button
          type="button"
          className="btn btn-sm"
          disabled={playSeconds <= startSeconds}
          onClick={() => setEnd(playSeconds)}
        >
          End at {formatExactClock(playSeconds)}
        </button>
        <button type="button" className="btn btn-sm" onClick={() => onChange(null)}>
          Remove the cut
        </button>
      </div>
    </section>
  );
}
