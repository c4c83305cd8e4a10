import { ConsoleStdout, File, OpenFile, PreopenDirectory, WASI } from '@bjorn3/browser_wasi_shim';
import { Cepstra, readWav, type MonoSound } from '@/core/signal';

/** Voices of the synthesiser that ships with the application. */
export type PlainVoiceName = 'slt' | 'kal16' | 'rms' | 'awb';

/**
 * A plain synthetic voice (Flite, compiled to WebAssembly). Each line runs in a fresh instance with two files of its
 * own and nothing else: no network, no clock, no other file.
 */
export class PlainVoice {
  constructor(
    private readonly program: WebAssembly.Module,
    private readonly voice: PlainVoiceName,
  ) {}

  /** A line as the voice says it. @throws Error when the program gives no sound. */
  async say(text: string, stretch = 1): Promise<MonoSound> {
    const out = new File([]);
    const folder = new PreopenDirectory('.', new Map([['out.wav', out]]));
    const quiet = (): ConsoleStdout => ConsoleStdout.lineBuffered(() => undefined);
    const args = ['flite', '-voice', this.voice, '--setf', `duration_stretch=${stretch}`, '-t', text, '-o', 'out.wav'];
    const wasi = new WASI(args, [], [new OpenFile(new File([])), quiet(), quiet(), folder], { debug: false });
    const instance = await WebAssembly.instantiate(this.program, { wasi_snapshot_preview1: wasi.wasiImport });
    const code = wasi.start(instance as Parameters<WASI['start']>[0]);
    const sound = readWav(out.data);
    if (code !== 0 || !sound.ok) throw new Error(`the plain voice gave no sound (${code})`);
    return sound.value;
  }
}

/** Quieter than this at the ends of a line is silence. */
const SILENT = 0.01;
/** Said a little slower than the synthesiser would, as lines of a class are. */
const STRETCH = 1.15;
const MARGIN = 200;

/** A sound without the silence at its ends, a little of it left. */
export function trimmed({ samples, sampleRate }: MonoSound): MonoSound {
  let from = 0;
  let to = samples.length;
  while (from < to && Math.abs(samples[from]) < SILENT) from++;
  while (to > from && Math.abs(samples[to - 1]) < SILENT) to--;
  return { sampleRate, samples: samples.subarray(Math.max(0, from - MARGIN), to + MARGIN) };
}

/** Cepstra of a line as the voice says it, without the silence at its ends. */
export async function cepstraOfLine(voice: PlainVoice, text: string): Promise<Float32Array> {
  const cepstra = new Cepstra();
  cepstra.push(trimmed(await voice.say(text, STRETCH)).samples);
  return cepstra.read();
}
