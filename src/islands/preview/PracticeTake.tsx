import { itemAt } from '@/core/units';
import { useEffect, useRef, useState } from 'react';
import { BACKGROUNDS, type Background, type PracticeRecipe } from '@/core/practice';
import type { ClassPlan } from '@/core/plan';
import { fileNameFor } from '@/core/publish';
import { Choice } from '@/ui/parts/Choice';
import { NumberField } from '@/ui/parts/NumberField';
import { saveFile } from '@/ui/parts/save-file';
import { Waiting } from '@/ui/parts/Waiting';
import { PlainSpeaker } from '@/workers/plain-speaker/client';

const BEHIND: Readonly<Record<Background, string>> = {
  clean: 'a quiet room',
  birds: 'birds',
  music: 'music',
  surf: 'surf',
};
const TEMPI = [
  { value: 'steady', label: 'a little slow, steady' },
  { value: 'wandering', label: 'wandering, interrupted' },
] as const;

/** Makes a recording of the class as somebody might give it, to try a reading on, with the truth about it beside it. */
export function PracticeTake({ plan }: { readonly plan: ClassPlan }) {
  const [tempo, setTempo] = useState<PracticeRecipe['tempo']>('steady');
  const [background, setBackground] = useState<Background>('clean');
  const [seed, setSeed] = useState(1);
  const [share, setShare] = useState<number | null>(null);
  const [failed, setFailed] = useState(false);
  const [saved, setSaved] = useState<readonly string[] | null>(null);
  const speaker = useRef<PlainSpeaker | null>(null);
  useEffect(() => () => speaker.current?.end(), []);
  const make = async (): Promise<void> => {
    setFailed(false);
    setSaved(null);
    setShare(0);
    const voice = new PlainSpeaker();
    speaker.current = voice;
    const made = await voice.practice({ plan, tempo, background, seed }, (now) => {
      if (speaker.current === voice) setShare(now);
    });
    voice.end();
    // Cancelled, or begun again since.
    if (speaker.current !== voice) return undefined;
    speaker.current = null;
    setShare(null);
    if (!made) return setFailed(true);
    const names = [fileNameFor(plan.title, '.practice.wav'), fileNameFor(plan.title, '.practice.json')];
    saveFile(itemAt(names, 0), made.wav, made.wav.type);
    saveFile(itemAt(names, 1), `${JSON.stringify(made.truth, null, 2)}\n`, 'application/json');
    return setSaved(names);
  };
  const cancel = (): void => {
    speaker.current?.end();
    speaker.current = null;
    setShare(null);
  };
  return (
    <section aria-label="Practice take" className="bg-base-100 border-base-300 mt-6 rounded border p-5">
      <h2 className="text-lg font-semibold">Practice take</h2>
      <p className="mb-2">
        A recording of this class as somebody might give it: some lines skipped or worded differently, with ad-libs. Add
        it as a take to try the analysis; a second file says what was really said.
      </p>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1">
        <Choice label="Tempo" value={tempo} options={TEMPI} onChange={setTempo} />
        <Choice
          label="Background"
          value={background}
          options={BACKGROUNDS.map((value) => ({ value, label: BEHIND[value] }))}
          onChange={setBackground}
        />
        <NumberField label="Variant" value={seed} min={1} max={9999} onChange={setSeed} />
        {share === null ? (
          <button type="button" className="btn btn-sm btn-primary" onClick={() => void make()}>
            Create practice take
          </button>
        ) : (
          <Waiting doing="Creating the practice take" share={share} onCancel={cancel} />
        )}
        {saved && (
          <span role="status">Saved by your browser, usually in the folder for downloads: {saved.join(' and ')}</span>
        )}
        {failed && (
          <span role="alert" className="text-error font-semibold">
            The practice take could not be created: the voice could not be loaded. Reload the page and try again.
          </span>
        )}
      </div>
    </section>
  );
}
