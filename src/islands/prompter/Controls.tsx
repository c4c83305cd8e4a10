import {
  ChevronLeft,
  ChevronRight,
  Minus,
  Pause,
  Play,
  Plus,
  Radio,
  SlidersHorizontal,
  SkipBack,
  SkipForward,
  Video,
  VideoOff,
  type LucideIcon,
} from 'lucide-react';

interface Props {
  readonly mode: 'ready' | 'running' | 'held' | 'done';
  readonly counting: boolean;
  readonly onToggle: () => void;
  readonly send: (kind: 'next-line' | 'line-back' | 'next-step' | 'step-back') => void;
  readonly onRound: (by: 1 | -1) => void;
  readonly onMark: () => void;
  readonly onSaveLog: () => void;
  readonly onSettings: () => void;
  readonly onShare: () => void;
  readonly recording: boolean;
  readonly onRecord: () => void;
  /** Whether others see the class. */
  readonly shown: boolean;
}

const BIG = 'btn h-14 min-w-14 text-xl max-md:min-w-11 max-md:px-3 max-md:text-lg';
/** On a phone the second row has room for six, one of them in words. */
const WORDS = `${BIG} max-sm:px-2 max-sm:text-sm`;

/** Everything that is done while performing; each has a key, too. */
export function Controls(props: Props) {
  const {
    mode,
    counting,
    onToggle,
    send,
    onRound,
    onMark,
    onSaveLog,
    onSettings,
    onShare,
    shown,
    recording,
    onRecord,
  } = props;
  const off = mode === 'ready' || mode === 'done';
  const main = counting
    ? 'Stop the countdown'
    : { ready: 'Start', running: 'Pause', held: 'Resume', done: 'Start again' }[mode];
  return (
    <footer>
      <div
        className="flex flex-wrap items-center justify-center gap-3 max-md:gap-2 max-sm:gap-1.5"
        role="group"
        aria-label="Performing"
      >
        <IconButton
          icon={SkipBack}
          label="Previous movement"
          keys="Page up"
          off={off}
          onClick={() => send('step-back')}
        />
        <IconButton icon={ChevronLeft} label="Previous line" keys="←" off={off} onClick={() => send('line-back')} />
        <button
          type="button"
          className={`${BIG} btn-primary min-w-40 max-md:min-w-28 max-md:flex-1`}
          onClick={onToggle}
          title={`${main} (Space)`}
        >
          {mode === 'running' || counting ? <Pause aria-hidden /> : <Play aria-hidden />}
          {main}
        </button>
        <IconButton icon={ChevronRight} label="Next line" keys="→" off={off} onClick={() => send('next-line')} />
        <IconButton
          icon={SkipForward}
          label="Next movement"
          keys="Page down"
          off={off}
          onClick={() => send('next-step')}
        />
        <span className="mx-2 max-md:hidden" />
        <IconButton icon={Minus} label="One round fewer" keys="−" off={off} onClick={() => onRound(-1)} />
        <IconButton icon={Plus} label="One round more" keys="+" off={off} onClick={() => onRound(1)} />
        <span className="mx-2 max-md:hidden" />
        {mode === 'running' ? (
          <button type="button" className={WORDS} onClick={onMark} title="Three tones, to be found in a recording">
            Sync mark
          </button>
        ) : (
          <button type="button" className={WORDS} disabled={mode === 'ready'} onClick={onSaveLog}>
            Save log
          </button>
        )}
        <IconButton
          icon={recording ? VideoOff : Video}
          label={recording ? 'Stop recording' : 'Record here'}
          keys=""
          off={false}
          lit={recording}
          onClick={onRecord}
        />
        <IconButton
          icon={Radio}
          label={shown ? 'Shown to others' : 'Show to others'}
          keys=""
          off={false}
          lit={shown}
          onClick={onShare}
        />
        <IconButton
          icon={SlidersHorizontal}
          label="Settings of the prompter"
          keys=""
          off={false}
          onClick={onSettings}
        />
      </div>
    </footer>
  );
}

interface IconProps {
  readonly icon: LucideIcon;
  readonly label: string;
  readonly keys: string;
  readonly off: boolean;
  readonly lit?: boolean;
  readonly onClick: () => void;
}

function IconButton({ icon: Icon, label, keys, off, lit = false, onClick }: IconProps) {
  const title = keys === '' ? label : `${label} (${keys})`;
  return (
    <button
      type="button"
      className={`${BIG} ${lit ? 'btn-accent' : ''}`}
      disabled={off}
      onClick={onClick}
      aria-label={label}
      title={title}
    >
      <Icon aria-hidden />
    </button>
  );
}
