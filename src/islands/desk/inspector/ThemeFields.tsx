import { Plus, Trash2 } from 'lucide-react';
import { isMovement, setPlan, LIMITS, stepsInOrder } from '@/core/plan';
import type { Theme } from '@/core/words';
import { Choice } from '@/ui/parts/Choice';
import { TextField } from '@/ui/parts/TextField';
import { useDesk, useDeskStore } from '../use-desk';

/** Themed names and pictures of the class, swapped as one. */
export function ThemeFields() {
  const desk = useDeskStore();
  const themes = useDesk((state) => state.plan.themes);
  const themeId = useDesk((state) => state.plan.themeId);
  const used = themes.find((theme) => theme.id === themeId) ?? null;
  const use = (id: string | null): void => {
    desk.edit(setPlan('themeId', id));
  };
  const add = (): void => {
    const names = stepsInOrder(desk.getState().plan).flatMap(({ step }) => (isMovement(step) ? [step.name] : []));
    const words = [...new Set(names)].slice(0, LIMITS.themeWords).map((plain) => ({ plain, themed: '' }));
    const theme: Theme = { id: crypto.randomUUID(), name: `Theme ${themes.length + 1}`, words };
    desk.edit({
      kind: 'together',
      edits: [setPlan('themes', [...themes, theme]), setPlan('themeId', theme.id)],
    });
  };
  const change = (theme: Theme, part: Partial<Theme>): void => {
    const next = themes.map((one) => (one.id === theme.id ? { ...one, ...part } : one));
    desk.edit(setPlan('themes', next), `theme ${theme.id} ${Object.keys(part).join()}`);
  };
  const remove = (theme: Theme): void => {
    desk.edit({
      kind: 'together',
      edits: [
        setPlan('themeId', null),
        setPlan(
          'themes',
          themes.filter((one) => one.id !== theme.id),
        ),
      ],
    });
  };
  return (
    <>
      <h3 className="mt-2 font-semibold">Theme</h3>
      {themes.length > 0 && (
        <Choice
          label="Names and pictures"
          value={themeId ?? ''}
          options={[{ value: '', label: 'plain' }, ...themes.map(({ id, name }) => ({ value: id, label: name }))]}
          onChange={(id) => use(id === '' ? null : id)}
        />
      )}
      {used && (
        <ThemeWords key={used.id} theme={used} onChange={(part) => change(used, part)} onRemove={() => remove(used)} />
      )}
      <button type="button" className="btn btn-xs self-start" disabled={themes.length >= LIMITS.themes} onClick={add}>
        <Plus size={12} aria-hidden />
        Add a theme
      </button>
    </>
  );
}

interface WordsProps {
  readonly theme: Theme;
  readonly onChange: (part: Partial<Theme>) => void;
  readonly onRemove: () => void;
}

function ThemeWords({ theme, onChange, onRemove }: WordsProps) {
  const { words } = theme;
  const set = (index: number, part: object): void =>
    onChange({ words: words.map((word, at) => (at === index ? { ...word, ...part } : word)) });
  return (
    <details className="mb-1">
      <summary className="min-h-6 cursor-pointer text-sm">What “{theme.name}” calls things</summary>
      <TextField
        label="The theme’s name"
        needed
        value={theme.name}
        max={LIMITS.titleCharacters}
        onChange={(name) => onChange({ name })}
      />
      {words.map((word, index) => (
        <div key={index} className="border-base-300 border-b py-1">
          <TextField
            label={`Plain name ${index + 1}`}
            hideLabel
            needed
            className="quiet-ink text-sm"
            value={word.plain}
            max={LIMITS.titleCharacters}
            onChange={(plain) => set(index, { plain })}
          />
          <TextField
            label={`${word.plain} is called`}
            hideLabel
            spoken
            placeholder="as it is"
            value={word.themed}
            max={LIMITS.titleCharacters}
            onChange={(themed) => set(index, { themed })}
          />
        </div>
      ))}
      <p className="quiet-ink text-sm">
        A picture is named in a line as {'{picture wave}'}, with “wave” as its plain name.
      </p>
      <div className="flex gap-1">
        <button
          type="button"
          className="btn btn-xs"
          disabled={words.length >= LIMITS.themeWords}
          onClick={() => onChange({ words: [...words, { plain: 'wave', themed: '' }] })}
        >
          <Plus size={12} aria-hidden />A picture
        </button>
        <button type="button" className="btn btn-xs text-error" onClick={onRemove}>
          <Trash2 size={12} aria-hidden />
          Remove the theme
        </button>
      </div>
    </details>
  );
}
