import type { Issue } from '@/core/units';
import { startMeter, type Level } from '@/ui/parts/level-meter';
import { beginRecording, PIECE_SECONDS, type RecordingMeta } from './store';

/** How a recording goes. */
export interface RecorderNews {
  readonly level: (level: Level) => void;
  /** It has ended, by hand or because something stood in the way; what was written until then is there. */
  readonly ended: (trouble: Issue | null) => void;
}

/** Formats by preference; a browser takes the first it can make. */
const FORMATS = ['video/webm;codecs=vp8,opus', 'video/webm', 'video/mp4'] as const;

/** The camera and the microphone, without the browser's own processing. @throws DOMException where it is not allowed. */
export function openDevices(): Promise<MediaStream> {
  return navigator.mediaDevices.getUserMedia({
    audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    video: { width: { ideal: 1280 }, height: { ideal: 720 }, frameRate: { ideal: 30 } },
  });
}

/** What stood in the way of a camera, a microphone or a file, as an issue. */
export function troubleOf(error: unknown): Issue {
  const name = error instanceof DOMException ? error.name : '';
  const codes: Readonly<Record<string, string>> = {
    NotAllowedError: 'camera-refused',
    NotFoundError: 'camera-none',
    QuotaExceededError: 'recording-no-room',
  };
  return { code: codes[name] ?? 'recording-failed', at: '', facts: {} };
}

/**
 * Records a stream into the browser's private files, piece by piece. Ends by itself when a device is unplugged or
 * nothing more can be written; what was written stays.
 */
export class Recorder {
  readonly #stream: MediaStream;
  readonly #recorder: MediaRecorder;
  readonly #news: RecorderNews;
  readonly #stopMeter: () => void;
  #trouble: Issue | null = null;
  #writing: Promise<void> = Promise.resolve();
  /** How a piece is written; pieces that come before it is known wait for it. */
  #append: Promise<(piece: Blob) => Promise<void>> = new Promise(() => undefined);

  private constructor(stream: MediaStream, recorder: MediaRecorder, news: RecorderNews) {
    this.#stream = stream;
    this.#recorder = recorder;
    this.#news = news;
    this.#stopMeter = startMeter(stream, news.level);
  }

  /** @throws DOMException where no file can be made. */
  static async start(
    stream: MediaStream,
    about: { readonly classId: string; readonly nameOf: (ending: string) => string },
    news: RecorderNews,
  ): Promise<{ readonly recorder: Recorder; readonly meta: RecordingMeta }> {
    const mimeType = FORMATS.find((format) => MediaRecorder.isTypeSupported(format));
    const media = new MediaRecorder(stream, { mimeType });
    const recorder = new Recorder(stream, media, news);
    const begun = recorder.#run();
    const written = begun.then(async (startedAt) => {
      const type = media.mimeType.split(';')[0] ?? 'video/webm';
      const name = about.nameOf(type.endsWith('mp4') ? '.mp4' : '.webm');
      const meta = { id: crypto.randomUUID(), classId: about.classId, name, mimeType: type, startedAt };
      return { meta, append: await beginRecording(meta) };
    });
    recorder.#append = written.then(({ append }) => append);
    // Where no file can be made that is thrown below, whether a piece waits for it or not.
    recorder.#append.catch(() => undefined);
    try {
      return { recorder, meta: (await written).meta };
    } catch (error) {
      recorder.stop();
      throw error;
    }
  }

  stop(): void {
    if (this.#recorder.state !== 'inactive') this.#recorder.stop();
  }

  /** When the first sound was, by the wall clock. */
  #run(): Promise<number> {
    const recorder = this.#recorder;
    recorder.ondataavailable = ({ data }) => {
      if (data.size === 0) return;
      this.#writing = this.#writing
        .then(async () => (await this.#append)(data))
        .catch((error: unknown) => {
          // After one that is missing the rest would be of no use.
          this.#trouble ??= troubleOf(error);
          this.stop();
        });
    };
    recorder.onstop = () => {
      this.#stopMeter();
      for (const track of this.#stream.getTracks()) track.stop();
      void this.#writing.then(() => this.#news.ended(this.#trouble));
    };
    recorder.onerror = () => {
      this.#trouble ??= troubleOf(null);
      this.stop();
    };
    for (const track of this.#stream.getTracks())
      track.addEventListener('ended', () => {
        if (recorder.state === 'inactive') return;
        this.#trouble ??= {
          code: track.kind === 'audio' ? 'microphone-unplugged' : 'camera-unplugged',
          at: '',
          facts: {},
        };
        this.stop();
      });
    return new Promise((begun) => {
      recorder.onstart = () => begun(performance.timeOrigin + performance.now());
      recorder.start(PIECE_SECONDS * 1000);
    });
  }
}
