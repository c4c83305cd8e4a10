import { matchRecordings, onFirstClock, type RecordingsMatch } from '@/core/signal';
import { ok, wholeMilliseconds, type Interval, type Issue, type Result, type Seconds } from '@/core/units';
import { hearFile, type HeardFile } from './hear-file';

/** Less sure than this, two recordings are not taken to be of one class. */
const SURE = 0.5;

/**
 * Listens to a recording and, where there is one, to a second of the same class from another microphone. The second is
 * put on the clock of the first, and where speech stands out more clearly in it, it is read in the first one's place.
 */
export async function hearBoth(
  sound: File,
  second: File | null,
  goOn: (share: number) => Promise<boolean>,
): Promise<Result<HeardFile, Issue> | null> {
  const halves = second ? 2 : 1;
  const first = await hearFile(sound, (share) => goOn(share / halves), { keep: true, traced: second !== null });
  if (!first?.ok || !second) return first;
  const other = await hearFile(second, (share) => goOn((1 + share) / 2), { keep: false, traced: true });
  if (!other) return null;
  if (!other.ok) {
    const note: Issue = { code: 'second-not-read', at: '', facts: { name: second.name.slice(0, 200) } };
    return ok({ ...first.value, notes: [...first.value.notes, note] });
  }
  const { trace } = first.value;
  const match = trace && other.value.trace && matchRecordings(trace, other.value.trace);
  return ok(together(first.value, other.value, match));
}

function together(first: HeardFile, second: HeardFile, match: RecordingsMatch | null): HeardFile {
  const { file } = second.recording;
  if (!file) return first;
  if (!match || match.confidence < SURE) {
    const note: Issue = { code: 'recordings-differ', at: '', facts: { name: file.name } };
    return { ...first, notes: [...first.notes, ...second.notes, note] };
  }
  const used = second.clearness > first.clearness ? 'second' : 'first';
  const recording = { ...first.recording, second: { file, ...match, used } as const };
  const notes = [...first.notes, ...second.notes];
  if (used === 'first') return { ...first, recording, notes };
  const { figures } = second.recording;
  // The stretches stay as many as they were: how they sound is known by their place among them.
  const speech = second.speech.map((stretch) => onClock(stretch, match, first.lengthSeconds));
  return { ...first, speech, cepstra: second.cepstra, recording: { ...recording, figures }, notes };
}

function onClock<Stretch extends Interval>(stretch: Stretch, match: RecordingsMatch, lengthSeconds: Seconds): Stretch {
  const at = (seconds: Seconds): Seconds =>
    wholeMilliseconds(Math.min(lengthSeconds, Math.max(0, onFirstClock(match, seconds))));
  return { ...stretch, startSeconds: at(stretch.startSeconds), endSeconds: at(stretch.endSeconds) };
}
