/*
 * Recordings made in the prompter, in the private files of this browser: a folder each, with what is known of it and its
 * pieces of half a second. A piece is whole once it is written, so that a crash costs what was not written yet and no more.
 */

export interface RecordingMeta {
  readonly id: string;
  readonly classId: string;
  /** As its file is called. */
  readonly name: string;
  readonly mimeType: string;
  /** When its first sound was, in milliseconds of the wall clock. */
  readonly startedAt: number;
}

export interface KeptRecording extends RecordingMeta {
  /** About how long it is, by its pieces. */
  readonly seconds: number;
}

/** How long a piece is. */
export const PIECE_SECONDS = 0.5;
const FOLDER = 'recordings';
const META = 'about.json';
const PIECE_DIGITS = 6;
/** The recording with its index, once it was saved as a file. */
const SAVED = 'saved';

async function recordings(): Promise<FileSystemDirectoryHandle> {
  return (await navigator.storage.getDirectory()).getDirectoryHandle(FOLDER, { create: true });
}

async function write(folder: FileSystemDirectoryHandle, name: string, content: Blob | string): Promise<void> {
  const file = await folder.getFileHandle(name, { create: true });
  const stream = await file.createWritable();
  await stream.write(content);
  await stream.close();
}

/** Begins a recording; gives back how its pieces are written, in order. @throws DOMException where there is no room. */
export async function beginRecording(meta: RecordingMeta): Promise<(piece: Blob) => Promise<void>> {
  const folder = await (await recordings()).getDirectoryHandle(meta.id, { create: true });
  await write(folder, META, JSON.stringify(meta));
  let count = 0;
  return (piece) => write(folder, String(count++).padStart(PIECE_DIGITS, '0'), piece);
}

interface Folder {
  readonly meta: RecordingMeta;
  /** In order; none is opened yet, since an hour has thousands. */
  readonly pieces: readonly FileSystemFileHandle[];
}

/** What a folder holds; `null` where it is none of ours, or has nothing in it. */
async function read(folder: FileSystemDirectoryHandle): Promise<Folder | null> {
  try {
    const about = await (await folder.getFileHandle(META)).getFile();
    const meta = JSON.parse(await about.text()) as RecordingMeta;
    const pieces: FileSystemFileHandle[] = [];
    for await (const handle of folder.values()) {
      if (handle.kind === 'file' && /^\d+$/.test(handle.name)) pieces.push(handle);
    }
    pieces.sort((a, b) => a.name.localeCompare(b.name));
    return pieces.length > 0 ? { meta, pieces } : null;
  } catch {
    return null;
  }
}

/** The recordings of a class that this browser has, the newest first; none where it keeps no files. */
export async function keptRecordings(classId: string): Promise<KeptRecording[]> {
  try {
    const found: KeptRecording[] = [];
    for await (const handle of (await recordings()).values()) {
      const folder = handle.kind === 'directory' ? await read(handle) : null;
      if (folder?.meta.classId !== classId) continue;
      found.push({ ...folder.meta, seconds: folder.pieces.length * PIECE_SECONDS });
    }
    return found.sort((a, b) => b.startedAt - a.startedAt);
  } catch {
    return [];
  }
}

/** A recording as one file, which lies where its pieces lie and not in memory; `null` where it is gone. */
export async function recordingFile(id: string): Promise<{ readonly meta: RecordingMeta; readonly file: File } | null> {
  try {
    const folder = await read(await (await recordings()).getDirectoryHandle(id));
    if (!folder) return null;
    const { meta } = folder;
    const pieces = await Promise.all(folder.pieces.map((piece) => piece.getFile()));
    // One that was being written when all ended is empty.
    const torn = pieces.findIndex(({ size }) => size === 0);
    const whole = torn < 0 ? pieces : pieces.slice(0, torn);
    return { meta, file: new File(whole, meta.name, { type: meta.mimeType }) };
  } catch {
    return null;
  }
}

/**
 * A recording as a file to be handed on, with its length and an index where that can be done, else as it was recorded;
 * `null` where it is gone. It is written beside its pieces, and lies there and not in memory.
 */
export async function fileToSave(id: string): Promise<{ readonly meta: RecordingMeta; readonly file: File } | null> {
  const recorded = await recordingFile(id);
  if (!recorded) return null;
  try {
    const { writeWithIndex } = await import('@/files/with-index');
    const folder = await (await recordings()).getDirectoryHandle(id);
    const handle = await folder.getFileHandle(SAVED, { create: true });
    if (!(await writeWithIndex(recorded.file, await handle.createWritable()))) return recorded;
    const { meta } = recorded;
    return { meta, file: new File([await handle.getFile()], meta.name, { type: meta.mimeType }) };
  } catch {
    // No room to write it twice.
    return recorded;
  }
}

export async function removeRecording(id: string): Promise<void> {
  await (await recordings()).removeEntry(id, { recursive: true });
}
