import { useRef } from 'react';
import { type Step, type CueSource } from '@/core/plan';
import { formatClock } from '@/core/units';
import { SIDE_NAMES } from '@/messages/sides';
import { TextField } from '@/ui/parts/TextField';
import { LINE_LIMIT, setSourceText, sourceText } from './cue-text';
import { emptiedEdit } from './during-edit';
import type { PlacedCue, StepColumns } from './layout';
import { useDeskStore } from '../use-desk';

/** One line at its place on the strip, written where it stands. */
export function CueLine({
  placed,
  step,
  columns,
  writing,
  onWrite,
}: {
  readonly placed: PlacedCue;
  readonly step: Step;
  readonly columns: StepColumns;
  /** The text being written; `null` while it is only read. */
  readonly writing: CueSource | null;
  readonly onWrite: (on: boolean) => void;
}) {
  const desk = useDeskStore();
  const button = useRef<HTMLButtonElement>(null);
  const byKey = useRef(false);
  const { cue, y, barHeight, late } = placed;
  const left = columns.clock + columns.breath + columns.round + 12;
  const narrow = columns.after === 0;
  const lasts = cue.endSeconds - cue.startSeconds;
  const tooLong = `${lasts.toFixed(1)} s, has ${Math.max(0, cue.dueSeconds - cue.startSeconds).toFixed(1)}`;
  return (
    <li className={`absolute flex items-start gap-2 ${writing ? 'z-10' : ''}`} style={{ top: y, left, right: 0 }}>
      <span
        aria-hidden
        className={`w-1 shrink-0 rounded-sm ${late ? 'bg-error' : ''}`}
        style={{ height: barHeight, background: late ? undefined : 'var(--said-bar)' }}
      />
      {writing ? (
        <div
          style={{ width: columns.text }}
          onKeyDownCapture={(event) => {
            byKey.current = event.key === 'Enter' || event.key === 'Escape';
          }}
        >
          <TextField
            label={`Line at ${formatClock(cue.startSeconds)}`}
            hideLabel
            spoken
            startFocused
            className="text-lg leading-6"
            max={LINE_LIMIT}
            value={sourceText(step, writing)}
            onDone={() => {
              onWrite(false);
              const emptied = emptiedEdit(step, writing);
              if (emptied) desk.edit(emptied, `line ${cue.id}`);
              // Left by a key, the line keeps the focus; left by a press elsewhere, it does not.
              if (byKey.current) requestAnimationFrame(() => button.current?.focus());
              byKey.current = false;
            }}
            onChange={(text) => {
              const edit = setSourceText(step, writing, text);
              if (edit) desk.edit(edit, `line ${cue.id}`);
            }}
          />
        </div>
      ) : (
        <button
          ref={button}
          type="button"
          className="hover:bg-base-200 -mt-0.5 rounded px-1 text-left font-serif text-lg leading-6"
          style={{ maxWidth: columns.text }}
          title="Change this line"
          onClick={() => onWrite(true)}
        >
          {cue.text}
          {narrow && late && (
            <span className="text-error block h-4 font-sans text-xs leading-4 font-semibold">{tooLong}</span>
          )}
        </button>
      )}
      {!narrow && (
        <span className={`ml-auto shrink-0 pr-1 pt-0.5 text-xs ${late ? 'text-error font-semibold' : 'quiet-ink'}`}>
          {late ? tooLong : asideOf(cue, timelineSide(cue.side))}
        </span>
      )}
    </li>
  );
}

function timelineSide(side: PlacedCue['cue']['side']): string {
  if (side === null) return '';
  return SIDE_NAMES[side];
}

const PART_WORDS: ReadonlyMap<string, string> = new Map([
  ['teach', 'teach'],
  ['during', 'during'],
]);

/** Beside a cue: which side, which form, and how long saying it takes. */
function asideOf(cue: PlacedCue['cue'], side: string): string {
  const form = cue.source.part === 'phase' ? cue.source.form : (PART_WORDS.get(cue.source.part) ?? '');
  return [side, form, `${(cue.endSeconds - cue.startSeconds).toFixed(1)} s`].filter(Boolean).join(' · ');
}
