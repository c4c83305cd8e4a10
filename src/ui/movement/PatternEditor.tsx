import { itemAt } from '@/core/units';
import { useState, type KeyboardEvent } from 'react';
import {
  patternBreathsPerMinute,
  patternNotes,
  phaseSeconds,
  PRESET_IDS,
  type Pace,
  type PhaseKind,
} from '@/core/breath';
import {
  addPhase,
  joinPhases,
  lengthenPhase,
  MOVEMENT_LIMITS as LIMITS,
  moveBorder,
  movePhase,
  presetPattern,
  removePhase,
  splitPhase,
  type Phase,
} from '@/core/movement';
import { patternNoteWords, PRESET_WORDS, PHASE_WORDS } from '@/messages/movement';
import { PatternCurve } from './PatternCurve';
import { PhaseFields } from './PhaseFields';

interface Props {
  readonly pattern: readonly Phase[];
  /** The breath that leads here. */
  readonly pace: Pace;
  readonly onChange: (pattern: readonly Phase[]) => void;
}

const newId = (): string => crypto.randomUUID();
const KINDS: readonly PhaseKind[] = ['inhale', 'exhale', 'hold', 'free'];

/**
 * The breath pattern of one round: its lung curve, phases to add, split, join, move and lengthen by pointer and by
 * keys, ready-made patterns to start from, and remarks on the breath it makes.
 */
export function PatternEditor({ pattern, pace, onChange }: Props) {
  const [chosenId, setChosenId] = useState<string | null>(null);
  const found = pattern.findIndex((phase) => phase.id === chosenId);
  const chosen = found < 0 ? 0 : found;
  const phase = pattern[chosen];
  const round = pattern.reduce((total, one) => total + phaseSeconds(one, pace), 0);
  const take = (next: readonly Phase[], at = chosen): void => {
    onChange(next);
    setChosenId(next[Math.min(at, next.length - 1)]?.id ?? null);
  };
  const keys = (event: KeyboardEvent): void => {
    const action = keyAction(event, pattern, chosen, pace);
    if (!action) return;
    event.preventDefault();
    event.stopPropagation();
    if (action.pattern === pattern) setChosenId(pattern[action.at]?.id ?? null);
    else take(action.pattern, action.at);
    requestAnimationFrame(() => document.getElementById(`phase-${action.at}`)?.focus());
  };
  const perMinute = patternBreathsPerMinute(pattern, pace);
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">One round, {round.toFixed(1)} s</legend>
      <label className="flex min-h-8 items-center justify-between gap-2">
        Start from
        <select
          className="select select-sm w-auto max-w-44"
          value=""
          onChange={(event) => {
            const preset = PRESET_IDS.find((id) => id === event.target.value);
            if (preset) take(presetPattern(newId, preset, pattern), 0);
          }}
        >
          <option value="">a preset</option>
          {PRESET_IDS.map((id) => (
            <option key={id} value={id}>
              {PRESET_WORDS[id]}
            </option>
          ))}
        </select>
      </label>
      <PatternCurve
        pattern={pattern}
        pace={pace}
        chosen={chosen}
        onChoose={(index) => setChosenId(itemAt(pattern, index).id)}
        onBorder={(index, seconds) => onChange(moveBorder(pattern, index, seconds, pace))}
      />
      <ol className="flex flex-wrap gap-1" aria-label="Phases of one round" onKeyDown={keys}>
        {pattern.map((one, index) => (
          <li key={one.id}>
            <button
              id={`phase-${index}`}
              type="button"
              className={`btn btn-xs ${index === chosen ? 'btn-primary' : ''}`}
              aria-pressed={index === chosen}
              aria-keyshortcuts="ArrowUp ArrowDown Alt+ArrowUp Alt+ArrowDown + - Delete"
              tabIndex={index === chosen ? 0 : -1}
              onClick={() => setChosenId(one.id)}
            >
              {PHASE_WORDS[one.kind]} {phaseSeconds(one, pace).toFixed(1)} s
            </button>
          </li>
        ))}
      </ol>
      <PhaseButtons pattern={pattern} pace={pace} chosen={chosen} take={take} />
      <p className="quiet-ink mt-1 text-xs">
        On a phase: up and down choose, with Alt they move it; + and − change its length; Delete removes it.
      </p>
      {perMinute > 0 && <p className="mt-1 text-sm">{perMinute.toFixed(1)} breaths a minute here</p>}
      <ul className="text-sm">
        {patternNotes(pattern, pace).map((note) => (
          <li key={`${note.code} ${note.code === 'long-rest' ? note.index : ''}`} className="text-warning">
            {patternNoteWords(note)}
          </li>
        ))}
      </ul>
      {phase && (
        <PhaseFields
          key={phase.id}
          phase={phase}
          place={chosen + 1}
          seconds={phaseSeconds(phase, pace)}
          breathSeconds={pace.breathSeconds}
          onChange={(part) => onChange(pattern.map((one) => (one.id === phase.id ? { ...one, ...part } : one)))}
        />
      )}
    </fieldset>
  );
}

interface ButtonProps {
  readonly pattern: readonly Phase[];
  readonly pace: Pace;
  readonly chosen: number;
  /** Takes a pattern over, and chooses a phase of it; the same one where none is given. */
  readonly take: (next: readonly Phase[], at?: number) => void;
}

/** What can be done with the chosen phase, and what can be added after it. */
function PhaseButtons({ pattern, pace, chosen, take }: ButtonProps) {
  return (
    <>
      <div className="mt-1 flex flex-wrap gap-1" role="group" aria-label="Edit the phases">
        <button type="button" className="btn btn-xs" onClick={() => take(splitPhase(newId, pattern, chosen, pace))}>
          Split
        </button>
        <button
          type="button"
          className="btn btn-xs"
          disabled={chosen >= pattern.length - 1}
          onClick={() => take(joinPhases(pattern, chosen, pace))}
        >
          Join next
        </button>
        <button
          type="button"
          className="btn btn-xs"
          disabled={chosen === 0}
          onClick={() => take(movePhase(pattern, chosen, -1), chosen - 1)}
        >
          Earlier
        </button>
        <button
          type="button"
          className="btn btn-xs"
          disabled={chosen >= pattern.length - 1}
          onClick={() => take(movePhase(pattern, chosen, 1), chosen + 1)}
        >
          Later
        </button>
        <button
          type="button"
          className="btn btn-xs"
          disabled={pattern.length < 2}
          onClick={() => take(removePhase(pattern, chosen))}
        >
          Remove phase
        </button>
      </div>
      <div className="mt-1 flex flex-wrap items-center gap-1" role="group" aria-label="Add a phase">
        <span className="text-sm">Add after this one</span>
        {KINDS.map((kind) => (
          <button
            key={kind}
            type="button"
            className="btn btn-xs"
            disabled={pattern.length >= LIMITS.phases}
            onClick={() => take(addPhase(newId, pattern, kind, chosen), chosen + 1)}
          >
            {PHASE_WORDS[kind]}
          </button>
        ))}
      </div>
    </>
  );
}

/** What a key does on a phase: the pattern then, and which phase is chosen; `null` for keys that do nothing here. */
function keyAction(
  event: KeyboardEvent,
  pattern: readonly Phase[],
  chosen: number,
  pace: Pace,
): { readonly pattern: readonly Phase[]; readonly at: number } | null {
  const by = event.key === 'ArrowUp' || event.key === 'ArrowLeft' ? -1 : 1;
  if (/^Arrow/.test(event.key)) {
    const to = Math.min(pattern.length - 1, Math.max(0, chosen + by));
    return { pattern: event.altKey ? movePhase(pattern, chosen, by) : pattern, at: to };
  }
  if (event.key === '+' || event.key === '=') return { pattern: lengthenPhase(pattern, chosen, 0.2, pace), at: chosen };
  if (event.key === '-') return { pattern: lengthenPhase(pattern, chosen, -0.2, pace), at: chosen };
  if (event.key === 'Delete') {
    const next = removePhase(pattern, chosen);
    return { pattern: next, at: Math.min(chosen, next.length - 1) };
  }
  return null;
}
