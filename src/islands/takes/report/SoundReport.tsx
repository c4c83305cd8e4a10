import type { SoundFigures } from '@/core/signal';

/** How the recording sounds, in figures and in words where something is heard. */
export function SoundReport({ figures }: { readonly figures: SoundFigures }) {
  const { integrated, shortTermMost, truePeak, noiseFloor, clippedShare, hum } = figures;
  const level = (value: number | null, unit: string): string =>
    value === null ? 'silent' : `${value.toFixed(1)} ${unit}`;
  const heard = [
    clippedShare > 0.0001 && `${(clippedShare * 100).toFixed(2)} % of it is at full scale: it crackles there.`,
    truePeak !== null && truePeak > -1 && 'Its peaks are above −1 dBTP: a player may crackle.',
    hum !== null && `A hum of ${hum.hertz} Hz stands ${hum.overDecibels} dB over the sound about it.`,
  ].filter((one) => one !== false);
  return (
    <section aria-label="The sound" className="mt-6">
      <h2 className="font-semibold">The sound</h2>
      <dl className="grid grid-cols-[1fr_auto] gap-x-4">
        <dt>Loudness of the whole</dt>
        <dd className="text-right">{level(integrated, 'LUFS')}</dd>
        <dt>Loudest three seconds</dt>
        <dd className="text-right">{level(shortTermMost, 'LUFS')}</dd>
        <dt>True peak</dt>
        <dd className="text-right">{level(truePeak, 'dBTP')}</dd>
        <dt>When nobody speaks</dt>
        <dd className="text-right">{level(noiseFloor, 'dBFS')}</dd>
      </dl>
      {heard.map((sentence) => (
        <p key={sentence} className="text-accent mt-1 font-semibold">
          {sentence}
        </p>
      ))}
    </section>
  );
}
