import { FORMS, MOVEMENT_LIMITS as LIMITS, type Form, type MovementContent } from '@/core/movement';
import { FADE_PRESETS } from '@/core/script';
import { FADE_WORDS, FORM_WORDS } from '@/messages/movement';
import { Choice } from '@/ui/parts/Choice';
import type { SetContent } from './set-content';

interface Props {
  readonly movement: MovementContent;
  readonly set: SetContent;
  /** The words are fitted as the class is edited: what is chosen here is held against it. */
  readonly keptFitted?: boolean;
}

const roundsTo = (last: number): number[] =>
  Array.from({ length: Math.min(last, LIMITS.fade) }, (_, index) => index + 1);

/** Which form is said on which round: one of the usual fades, and any round by itself. */
export function FadeFields({ movement, set, keptFitted = false }: Props) {
  const { fade, fadePins } = movement;
  const options = FORMS.map((value) => ({ value, label: FORM_WORDS[value] }));
  const usual = FADE_PRESETS.find((preset) => preset.fade.join() === fade.join())?.id ?? 'own';
  const hold = (round: number, held: boolean): void =>
    set('fadePins', held ? [...fadePins, round].sort((a, b) => a - b) : fadePins.filter((one) => one !== round));
  return (
    <fieldset className="my-2">
      <legend className="font-semibold">Form on each round</legend>
      <Choice
        label="Presets"
        value={usual}
        options={[
          ...FADE_PRESETS.map(({ id }) => ({ value: id, label: FADE_WORDS[id] })),
          { value: 'own', label: 'custom' },
        ]}
        onChange={(id) => {
          const preset = FADE_PRESETS.find((one) => one.id === id);
          if (!preset) return;
          set('fade', [...preset.fade]);
          if (keptFitted) set('fadePins', roundsTo(Math.max(preset.fade.length, movement.maxRounds)));
        }}
      />
      {fade.map((form, index) => (
        <div key={index} className="flex items-center gap-1">
          <div className="flex-1">
            <Choice
              label={index === fade.length - 1 ? `Round ${index + 1} and on` : `Round ${index + 1}`}
              value={form}
              options={options}
              onChange={(value: Form) => {
                set(
                  'fade',
                  fade.map((one, at) => (at === index ? value : one)),
                );
                if (keptFitted && !fadePins.includes(index + 1)) hold(index + 1, true);
              }}
            />
          </div>
          <button
            type="button"
            className={`btn btn-xs ${fadePins.includes(index + 1) ? 'btn-primary' : ''}`}
            aria-pressed={fadePins.includes(index + 1)}
            title="Fitting the words does not change a locked round"
            onClick={() => hold(index + 1, !fadePins.includes(index + 1))}
          >
            held<span className="sr-only">, round {index + 1}</span>
          </button>
        </div>
      ))}
      <div className="flex gap-1">
        <button
          type="button"
          className="btn btn-xs"
          disabled={fade.length >= LIMITS.fade}
          onClick={() => set('fade', [...fade, fade[fade.length - 1] ?? 'full'])}
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
