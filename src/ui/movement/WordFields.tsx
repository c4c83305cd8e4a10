import { useState } from 'react';
import {
  MOVEMENT_LIMITS as LIMITS,
  SHORTENED,
  type Moments,
  type MovementContent,
  type Shortened,
} from '@/core/movement';
import { COUNTINGS, TOKENS } from '@/core/words';
import { SHORTENED_WORDS } from '@/messages/movement';
import { COUNTING_WORDS } from '@/messages/teaching-style';
import { Choice } from '@/ui/parts/Choice';
import { NumberField } from '@/ui/parts/NumberField';
import { SpokenLines } from '@/ui/parts/SpokenLines';
import { TextField } from '@/ui/parts/TextField';
import { FadeFields } from './FadeFields';
import type { SetContent } from './set-content';

interface Props {
  readonly movement: MovementContent;
  readonly teachTitle: string;
  readonly set: SetContent;
  readonly keptFitted?: boolean;
}

/** What is said around the rounds: naming, caution, teaching, how the words thin out, counts, the change of side. */
export function WordFields({ movement, teachTitle, set, keptFitted }: Props) {
  const inTurn = movement.sides === 'one-then-other' || movement.sides === 'both-directions';
  const own = movement.pacedBy === 'own-pace';
  const moment = (name: keyof Moments, label: string) => (
    <TextField
      label={label}
      spoken
      placeholder="nothing said"
      value={movement.moments[name]}
      max={LIMITS.lineCharacters}
      onChange={(value) => set('moments', { ...movement.moments, [name]: value })}
    />
  );
  return (
    <>
      <fieldset className="mt-2">
        <legend className="font-semibold">Before it begins</legend>
        {moment('naming', 'Naming line')}
        {moment('caution', 'A caution')}
      </fieldset>
      <SpokenLines title={teachTitle} layered lines={movement.teach} onChange={(lines) => set('teach', lines)} />
      {movement.levels.map((level, index) => (
        <TextField
          key={index}
          label={`Offering “${level.name}”`}
          spoken
          placeholder="nothing said"
          value={level.line}
          max={LIMITS.lineCharacters}
          onChange={(line) =>
            set(
              'levels',
              movement.levels.map((one, at) => (at === index ? { ...one, line } : one)),
            )
          }
        />
      ))}
      {own && moment('sending', 'Starting their own pace')}
      {!own && <FadeFields movement={movement} set={set} keptFitted={keptFitted} />}
      {!own && (
        <Choice
          label="Counting"
          value={movement.counting ?? 'class'}
          options={[
            { value: 'class', label: 'as the class does' },
            ...COUNTINGS.map((value) => ({ value: value, label: COUNTING_WORDS[value] })),
          ]}
          onChange={(value) => set('counting', value === 'class' ? null : value)}
        />
      )}
      {!own && moment('roundsLeft', 'When two rounds are left')}
      <TextField
        label={own ? 'Call back at the end' : 'On the last round'}
        spoken
        value={movement.lastRoundLine}
        max={LIMITS.lineCharacters}
        onChange={(value) => set('lastRoundLine', value)}
      />
      {inTurn && (
        <>
          <TextField
            label="At the change of side"
            spoken
            value={movement.sideChangeLine}
            max={LIMITS.lineCharacters}
            onChange={(value) => set('sideChangeLine', value)}
          />
          <NumberField
            label="The change takes"
            unit="s"
            digits={1}
            step={0.5}
            value={movement.sideChangeSeconds}
            min={0}
            max={LIMITS.phaseSeconds.max}
            onChange={(value) => set('sideChangeSeconds', value)}
          />
        </>
      )}
      {moment('leaving', 'Ending line')}
      <ShortFields movement={movement} lines={saidLines(movement)} set={set} />
      <details className="mt-2">
        <summary className="min-h-6 cursor-pointer text-sm">Placeholders</summary>
        <dl className="text-sm">
          {TOKENS.map(({ token, stands }) => (
            <div key={token} className="flex gap-2">
              <dt className="font-serif">{token}</dt>
              <dd className="quiet-ink">{stands}</dd>
            </div>
          ))}
        </dl>
      </details>
    </>
  );
}

/** The lines of a movement that have a place to be said in it. */
function saidLines({ pacedBy, sides }: MovementContent): readonly Shortened[] {
  const own = pacedBy === 'own-pace';
  return SHORTENED.filter((line) => {
    if (line === 'sending') return own;
    if (line === 'roundsLeft' || line === 'lastRound') return !own;
    return line !== 'sideChange' || sides === 'one-then-other' || sides === 'both-directions';
  });
}

/** The shorter wordings of lines that belong to no phase. */
function ShortFields({
  movement,
  lines,
  set,
}: Omit<Props, 'teachTitle' | 'keptFitted'> & { readonly lines: readonly Shortened[] }) {
  const [open, setOpen] = useState(false);
  const kept = lines.filter((line) => movement.shorts[line].trim() !== '').length;
  return (
    <details className="mt-2" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-6 cursor-pointer font-semibold">
        Shorter wordings{kept > 0 && <span className="font-normal">, {kept}</span>}
      </summary>
      <p className="quiet-ink text-sm">
        Rounds are told in short where their words are not full; the change of side, where the full line is longer than
        the change.
      </p>
      {(open ? lines : []).map((line) => (
        <TextField
          key={line}
          label={`${SHORTENED_WORDS[line]}, in short`}
          spoken
          placeholder="as in full"
          value={movement.shorts[line]}
          max={LIMITS.lineCharacters}
          onChange={(value) => set('shorts', { ...movement.shorts, [line]: value })}
        />
      ))}
    </details>
  );
}
