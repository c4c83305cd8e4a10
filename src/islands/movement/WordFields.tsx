import { FORMS, MOVEMENT_LIMITS as LIMITS, type Form, type MovementContent } from '@/core/movement';
import { TOKENS } from '@/core/words';
import { Choice } from '@/ui/parts/Choice';
import { NumberField } from '@/ui/parts/NumberField';
import { SpokenLines } from '@/ui/parts/SpokenLines';
import { TextField } from '@/ui/parts/TextField';
import { asJson, type SetContent } from './set-content';

interface Props {
  readonly movement: MovementContent;
  readonly teachTitle: string;
  readonly set: SetContent;
}

/** What is said around the rounds: teaching, how the words thin out, the last round, the change of side. */
export function WordFields({ movement, teachTitle, set }: Props) {
  const inTurn = movement.sides === 'in-turn' || movement.sides === 'each-way';
  return (
    <>
      <SpokenLines title={teachTitle} lines={movement.teach} onChange={(lines) => set('teach', asJson(lines))} />
      {movement.lead !== 'own' && <Fade fade={movement.fade} set={set} />}
      <TextField
        label={movement.lead === 'own' ? 'Said to call back at its end' : 'Said with the last round'}
        spoken
        value={movement.lastRoundLine}
        most={LIMITS.lineCharacters}
        onChange={(value) => set('lastRoundLine', value)}
      />
      {inTurn && (
        <>
          <TextField
            label="Said at the change of side"
            spoken
            value={movement.sideChangeLine}
            most={LIMITS.lineCharacters}
            onChange={(value) => set('sideChangeLine', value)}
          />
          <NumberField
            label="The change takes"
            unit="s"
            digits={1}
            step={0.5}
            value={movement.sideChangeSeconds}
            least={0}
            most={LIMITS.phaseSeconds.most}
            onChange={(value) => set('sideChangeSeconds', value)}
          />
        </>
      )}
      <details className="mt-2">
        <summary className="min-h-6 cursor-pointer text-sm">Words that fill themselves in</summary>
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

function Fade({ fade, set }: { readonly fade: readonly Form[]; readonly set: SetContent }) {
  const options = FORMS.map((value) => ({ value, label: value }));
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">Words thin out</legend>
      {fade.map((form, index) => (
        <Choice
          key={index}
          label={index === fade.length - 1 ? `Round ${index + 1} and on` : `Round ${index + 1}`}
          value={form}
          options={options}
          onChange={(value) =>
            set(
              'fade',
              fade.map((one, at) => (at === index ? value : one)),
            )
          }
        />
      ))}
      <div className="flex gap-1">
        <button
          type="button"
          className="btn btn-xs"
          disabled={fade.length >= LIMITS.fade}
          onClick={() => set('fade', [...fade, fade[fade.length - 1]])}
        >
          One round more
        </button>
        <button
          type="button"
          className="btn btn-xs"
          disabled={fade.length <= 1}
          onClick={() => set('fade', fade.slice(0, -1))}
        >
          One fewer
        </button>
      </div>
    </fieldset>
  );
}
