import { useEffect, useState } from 'react';
import { formatClock } from '@/core/units';
import { saveFile } from '@/ui/parts/save-file';
import { fileToSave, keptRecordings, removeRecording, type KeptRecording } from './store';

interface Props {
  readonly classId: string;
  /** Chooses one to be analysed. */
  readonly onUse: (id: string) => void;
}

/** Recordings that the prompter made in this browser, to be analysed, saved as files, or removed. */
export function RecordedHere({ classId, onUse }: Props) {
  const [found, setFound] = useState<readonly KeptRecording[]>([]);
  const [sure, setSure] = useState<string | null>(null);
  const [saving, setSaving] = useState<string | null>(null);
  useEffect(() => {
    void keptRecordings(classId).then(setFound);
  }, [classId]);
  if (found.length === 0) return null;
  const save = async (id: string): Promise<void> => {
    setSaving(id);
    const recorded = await fileToSave(id);
    if (recorded) saveFile(recorded.meta.name, recorded.file, recorded.meta.mimeType);
    setSaving(null);
  };
  const remove = async (id: string): Promise<void> => {
    await removeRecording(id).catch(() => undefined);
    setSure(null);
    setFound(await keptRecordings(classId));
  };
  return (
    <div className="mt-3">
      <p>Recorded in the prompter, in this browser:</p>
      <ul aria-label="Recorded in this browser" className="mt-1 flex flex-col gap-2">
        {found.map(({ id, startedAt, seconds }) => (
          <li key={id} className="flex flex-wrap items-center gap-2">
            <span>
              {new Date(startedAt).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })},{' '}
              {formatClock(seconds)}
            </span>
            <button type="button" className="btn btn-sm" onClick={() => onUse(id)}>
              Analyse it
            </button>
            <button type="button" className="btn btn-sm" disabled={saving !== null} onClick={() => void save(id)}>
              {saving === id ? 'Preparing the file…' : 'Save as a file'}
            </button>
            {sure === id ? (
              <button type="button" className="btn btn-sm btn-error" onClick={() => void remove(id)}>
                Remove it for good
              </button>
            ) : (
              <button type="button" className="btn btn-sm" onClick={() => setSure(id)}>
                Remove
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
