import { CheckBox } from '@/ui/parts/CheckBox';
import { Dialog } from '@/ui/parts/Dialog';
import { COUNTDOWNS, SIZES, type PrompterSettings } from './settings';

interface Props {
  readonly settings: PrompterSettings;
  readonly onChange: (part: Partial<PrompterSettings>) => void;
  /** The time of day at which the class should end, as `hh:mm`; empty where it is its target. */
  readonly endsAt: string;
  /** `null` where the class has begun. */
  readonly onEndsAt: ((time: string) => void) | null;
  readonly classId: string;
  readonly onClose: () => void;
}

const GROUNDS = [
  ['as the page', 'as the page'],
  ['light', 'light'],
  ['dark', 'dark'],
] as const;

const MOVES = [
  ['clock', 'by the clock'],
  ['hand', 'when I press (H)'],
  ['ear', 'when it hears the line (E)'],
] as const;

/** How the prompter looks and moves. */
export function Settings({ settings, onChange, endsAt, onEndsAt, classId, onClose }: Props) {
  const { size, mirror, countdown, landsByItself, moves, ground } = settings;
  return (
    <Dialog title="Prompter" onClose={onClose}>
      <div className="flex flex-col gap-3">
        <label className="flex items-center justify-between gap-3">
          Size of the words
          <span className="flex items-center gap-2">
            <input
              type="range"
              className="range range-sm"
              min={SIZES.min}
              max={SIZES.max}
              step={SIZES.step}
              value={size}
              onChange={(event) => onChange({ size: Number(event.target.value) })}
            />
            <span className="w-14 text-right">{size} %</span>
          </span>
        </label>
        <label className="flex items-center justify-between gap-3">
          Ground
          <select
            className="select select-sm w-40"
            value={ground}
            onChange={(event) => onChange({ ground: event.target.value as PrompterSettings['ground'] })}
          >
            {GROUNDS.map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <CheckBox
          label="Mirror, for a glass before the camera"
          checked={mirror}
          onChange={(on) => onChange({ mirror: on })}
        />
        <label className="flex items-center justify-between gap-3">
          Move on
          <select
            className="select select-sm w-56"
            value={moves}
            onChange={(event) => onChange({ moves: event.target.value as PrompterSettings['moves'] })}
          >
            {MOVES.map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {moves === 'ear' && (
          <p className="text-sm">
            The microphone is heard in this browser alone: nothing of it is sent or saved. Where it is uncertain, the
            clock goes on.
          </p>
        )}
        <CheckBox
          label="Adjust the remaining steps automatically, to end on time"
          checked={landsByItself}
          onChange={(on) => onChange({ landsByItself: on })}
        />
        <label className="flex items-center justify-between gap-3">
          Count down before the start
          <select
            className="select select-sm w-40"
            value={countdown}
            onChange={(event) => onChange({ countdown: Number(event.target.value) })}
          >
            {COUNTDOWNS.map((seconds) => (
              <option key={seconds} value={seconds}>
                {seconds === 0 ? 'no' : `${seconds} s`}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center justify-between gap-3">
          End at a time of day
          <input
            type="time"
            className="input input-sm w-40"
            value={endsAt}
            disabled={onEndsAt === null}
            onChange={(event) => onEndsAt?.(event.target.value)}
          />
        </label>
        <p className="text-sm">
          In this browser, in step with it: a{' '}
          <a className="link" href={`/classes/${classId}/stage`} target="_blank" rel="noreferrer">
            second screen
          </a>{' '}
          for the room, and the same{' '}
          <a className="link" href={`/classes/${classId}/stage?see-through`} target="_blank" rel="noreferrer">
            see-through
          </a>
          , to be laid over a picture.
        </p>
      </div>
    </Dialog>
  );
}
