import { useState } from 'react';
import {
  hasFreeTime,
  isCounted,
  MOVEMENT_LIMITS as LIMITS,
  SHORTENED,
  stretchCount,
  type Level,
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
import { DuringLines } from './DuringLines';
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
  const inTurn = stretchCount(movement.sides) > 1;
  const led = isCounted(movement.pacedBy);
  const free = hasFreeTime(movement.pacedBy);
  const goesOn = movement.pacedBy === 'breath-then-own-pace';
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
        <LevelLines
          key={index}
          level={level}
          onChange={(lines) =>
            set(
              'levels',
              movement.levels.map((one, at) => (at === index ? { ...one, lines } : one)),
            )
          }
        />
      ))}
      <DuringLines
        title={led ? 'During the rounds' : 'While it lasts'}
        led={led}
        sided={inTurn}
        lines={movement.during}
        onChange={(lines) => set('during', lines)}
      />
      {(goesOn || movement.pacedBy === 'own-pace') && moment('sending', 'Starting their own pace')}
      {led && <FadeFields movement={movement} set={set} keptFitted={keptFitted} />}
      {led && (
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
      {led && !goesOn && moment('roundsLeft', 'When two rounds are left')}
      <TextField
        label={free ? 'Call back at the end' : 'On the last round'}
        spoken
        value={movement.lastRoundLine}
        max={LIMITS.lineCharacters}
        onChange={(value) => set('lastRoundLine', value)}
      />
      {free && (
        <NumberField
          label="before the end"
          unit="s"
          value={movement.callBackLeadSeconds}
          {...LIMITS.callBackLeadSeconds}
          onChange={(value) => set('callBackLeadSeconds', value)}
        />
      )}
      {movement.sides === 'both-directions-each-side' && (
        <TextField
          label="At the change of direction"
          spoken
          value={movement.wayChangeLine}
          max={LIMITS.lineCharacters}
          onChange={(value) => set('wayChangeLine', value)}
        />
      )}
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

/** What is said to offer a level: as many lines as it needs, and room for one more. */
function LevelLines({ level, onChange }: { readonly level: Level; readonly onChange: (lines: string[]) => void }) {
  const room = level.lines.length < LIMITS.linesOfLevel && level.lines.at(-1) !== '';
  const shown = room ? [...level.lines, ''] : level.lines;
  const change = (at: number, text: string): void => {
    const lines = shown.map((line, index) => (index === at ? text : line));
    onChange(lines.slice(0, lines.findLastIndex((line) => line !== '') + 1));
  };
  return shown.map((line, at) => (
    <TextField
      key={at}
      label={at === 0 ? `Offering “${level.name}”` : `Offering “${level.name}”, line ${at + 1}`}
      hideLabel={at > 0}
      spoken
      placeholder={at === 0 ? 'nothing said' : 'one more line'}
      value={line}
      max={LIMITS.lineCharacters}
      onChange={(text) => change(at, text)}
    />
  ));
}

/** The lines of a movement that have a place to be said in it. */
function saidLines({ pacedBy, sides }: MovementContent): readonly Shortened[] {
  const goesOn = pacedBy === 'breath-then-own-pace';
  return SHORTENED.filter((line) => {
    if (line === 'sending') return goesOn || pacedBy === 'own-pace';
    if (line === 'roundsLeft' || line === 'lastRound') return isCounted(pacedBy) && !goesOn;
    return line !== 'sideChange' || stretchCount(sides) > 1;
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
