import { itemAt } from '@/core/units';
import { get, set } from 'idb-keyval';
import { useEffect, useState } from 'react';
import type { Recording } from '@/core/reading';
import { fingerprint } from '@/files/fingerprint';

/** A file that the browser can find again; not every browser can. */
interface FileHandle {
  getFile(): Promise<File>;
  queryPermission?(options: { mode: 'read' }): Promise<PermissionState>;
}

export interface AttachedFile {
  /** Where the page finds it, or `null` when none is attached. */
  readonly url: string | null;
  readonly hasPicture: boolean;
  readonly problem: string | null;
  readonly attach: (file: File, handle?: FileHandle) => Promise<void>;
}

/** The recording itself, attached again to see its picture. Another file than the one that was read is refused. */
export function useAttachedFile(takeId: string, recording: Recording | null): AttachedFile {
  const [file, setFile] = useState<{ url: string; hasPicture: boolean } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const key = `recording of take ${takeId}`;
  const take = async (found: File, handle?: FileHandle): Promise<void> => {
    const known = recording?.file ?? null;
    if (known && (found.size !== known.bytes || (await fingerprint(found)) !== known.print)) {
      setProblem(`“${found.name}” is another file. This take was analysed from “${known.name}”.`);
      return;
    }
    setProblem(null);
    setFile({ url: URL.createObjectURL(found), hasPicture: !found.type.startsWith('audio/') });
    if (handle) await set(key, handle).catch(() => undefined);
  };
  useEffect(() => {
    // Found again by itself only where the browser still allows it without asking.
    void (async () => {
      const handle = await get<FileHandle>(key).catch(() => undefined);
      if ((await handle?.queryPermission?.({ mode: 'read' })) !== 'granted') return;
      await take(await (handle as FileHandle).getFile());
    })().catch(() => undefined);
    // Once, when the take is opened.
  }, [key]);
  useEffect(() => () => (file ? URL.revokeObjectURL(file.url) : undefined), [file]);
  return { url: file?.url ?? null, hasPicture: file?.hasPicture ?? false, problem, attach: take };
}

/** Asks for a file so that it can be found again, where the browser can; `null` elsewhere or when it was called off. */
export async function pickFile(): Promise<{ file: File; handle: FileHandle } | null> {
  const { showOpenFilePicker } = window as { showOpenFilePicker?: () => Promise<FileHandle[]> };
  const handles = await showOpenFilePicker?.().catch(() => []);
  if (!handles || handles.length === 0) return null;
  return { file: await itemAt(handles, 0).getFile(), handle: itemAt(handles, 0) };
}
