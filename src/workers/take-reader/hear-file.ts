import type { Recording } from '@/core/reading';
import { clearnessOf, envelopeOf, HumFinder, SoundTrace, speechSegments, SyncMarkFinder } from '@/core/signal';
import { failed, ok, type Interval, type Issue, type Result, type Seconds } from '@/core/units';
import { fingerprint } from '@/files/fingerprint';
import { SoundCopy } from '@/sound/sound-copy';
import { HEARING_RATE, VoiceHearing, type VoiceJudge } from '@/sound/hear-voice';
import { listenElsewhere } from '../sound-listener/client';
import { voiceJudge } from '../voice-judge/client';
import { KeptSound, soundIdOf } from './kept-sound';

/** All that one pass through a file gives. */
export interface HeardFile {
  readonly lengthSeconds: Seconds;
  readonly speech: readonly (Interval & { readonly likely?: number })[];
  /** `null` where the voice model could not be had. */
  readonly cepstra: Float32Array | null;
  readonly recording: Recording;
  readonly envelope: Uint8Array;
  readonly kept: KeptSound | null;
  /** See `SoundTrace`; of two recordings of one class only. */
  readonly trace: Int16Array | null;
  /** When sync marks were sounded; see `SyncMarkFinder`. */
  readonly marks: readonly Seconds[];
  /** In decibels; see `clearnessOf`. */
  readonly clearness: number;
  readonly notes: readonly Issue[];
}

interface Wanted {
  /** Whether a copy of the sound is kept. */
  readonly keep: boolean;
  /** Whether it is compared with another recording. */
  readonly traced: boolean;
}

/**
 * Listens to a file once: finds where somebody speaks, measures how it sounds, and makes the copy that is kept.
 * `goOn` is asked on the way and told how far it got; when it says no, the result is `null`.
 */
export async function hearFile(
  file: File,
  goOn: (share: number) => Promise<boolean>,
  wanted: Wanted,
): Promise<Result<HeardFile, Issue> | null> {
  if (file.size === 0) return failed({ code: 'empty-file', at: '', facts: {} });
  // Without the model speech is told by level: enough in a quiet room.
  const judge = await voiceJudge().catch(() => null);
  try {
    return await hearWith(judge, file, goOn, wanted);
  } finally {
    // Its memory is wanted for what comes next.
    judge?.end();
  }
}

async function hearWith(
  judge: VoiceJudge | null,
  file: File,
  goOn: (share: number) => Promise<boolean>,
  { keep, traced }: Wanted,
): Promise<Result<HeardFile, Issue> | null> {
  const hearing = judge && new VoiceHearing(judge);
  const hum = new HumFinder();
  const marks = new SyncMarkFinder();
  const print = await fingerprint(file);
  const kept = new KeptSound(soundIdOf(print));
  const copy = keep ? await SoundCopy.begin(kept.sink).catch(() => null) : null;
  const trace = traced ? new SoundTrace(HEARING_RATE) : null;
  let copied = copy !== null;
  const lostCopy = (): void => {
    copied = false;
    kept.giveUp();
  };
  let asked = 0;
  const heard = await listenElsewhere(file, HEARING_RATE, async (samples, share) => {
    // The copy is encoded elsewhere meanwhile; a take is read without one too.
    const encoding = copied ? copy?.push(samples, HEARING_RATE).catch(lostCopy) : undefined;
    hum.push(samples);
    marks.push(samples);
    trace?.push(samples);
    await hearing?.push(samples);
    await encoding;
    if (share === asked) return true;
    asked = share;
    return goOn(share);
  });
  if (!heard?.ok) {
    lostCopy();
    await copy?.giveUp().catch(() => undefined);
    return heard;
  }
  if (copied) await copy?.finish().then((pieces) => kept.finish(pieces), lostCopy);
  const { levels, figures, lengthSeconds, notes } = heard.value;
  const voice = (await hearing?.finish().catch(() => null)) ?? null;
  const speech = voice?.stretches ?? speechSegments(levels);
  return ok({
    lengthSeconds,
    speech,
    cepstra: voice?.cepstra ?? null,
    recording: {
      file: { name: file.name.slice(0, 255), bytes: file.size, print },
      figures: { ...figures, hum: hum.read() },
    },
    envelope: envelopeOf(levels),
    kept: copied ? kept : null,
    trace: trace?.read() ?? null,
    marks: marks.read(),
    clearness: clearnessOf(levels, speech, figures.noiseFloor),
    notes: voice ? notes : [...notes, { code: 'no-voice-model', at: '', facts: {} }],
  });
}
