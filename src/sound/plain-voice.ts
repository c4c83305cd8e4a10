import { ConsoleStdout, File, OpenFile, PreopenDirectory, WASI } from '@bjorn3/browser_wasi_shim';
import { Cepstra, readWav, type MonoSound } from '@/core/signal';

/** Voices of the synthesiser that ships with the application. */
export type PlainVoiceName = 'slt' | 'kal16' | 'rms' | 'awb';

/** An instance of the program as it was before its first run, which it is put back to for every other. */
class Rewound {
  private constructor(
    private readonly instance: WebAssembly.Instance,
    private readonly memory: WebAssembly.Memory,
    private readonly fresh: Uint8Array,
    private readonly running: { wasi: WASI | null },
  ) {}

  static async of(program: WebAssembly.Module): Promise<Rewound> {
    const running: { wasi: WASI | null } = { wasi: null };
    // What the program asks for is answered by whoever runs it now.
    const imports = new Proxy(
      {},
      {
        get: (_, name) => {
          return (...args: unknown[]): unknown => running.wasi?.wasiImport[name as string]?.(...(args as number[]));
        },
      },
    );
    const instance = await WebAssembly.instantiate(program, {
      wasi_snapshot_preview1: imports,
    });
    const memory = instance.exports.memory as WebAssembly.Memory;
    return new Rewound(instance, memory, new Uint8Array(memory.buffer.slice(0)), running);
  }

  /** Runs it from the start; 0 where all went well. Whoever ends it otherwise has to take another. */
  run(wasi: WASI): number {
    const now = new Uint8Array(this.memory.buffer);
    now.set(this.fresh);
    now.fill(0, this.fresh.length);
    this.running.wasi = wasi;
    return wasi.start(this.instance as Parameters<WASI['start']>[0]);
  }
}

/**
 * A plain synthetic voice (Flite, compiled to WebAssembly). Each line runs in the same fresh memory with two files of
 * its own and nothing else: no network, no clock, no other file.
 */
export class PlainVoice {
  /** A new instance for each line left its memory of dozens of megabytes behind, which was slow to be let go. */
  private program: Promise<Rewound> | null = null;

  constructor(
    private readonly module: WebAssembly.Module,
    private readonly voice: PlainVoiceName,
  ) {}

  /** A line as the voice says it. @throws Error when the program gives no sound. */
  async say(text: string, stretch = 1): Promise<MonoSound> {
    const program = await (this.program ??= Rewound.of(this.module));
    const out = new File([]);
    const folder = new PreopenDirectory('.', new Map([['out.wav', out]]));
    const quiet = (): ConsoleStdout => ConsoleStdout.lineBuffered(() => undefined);
    const args = ['flite', '-voice', this.voice, '--setf', `duration_stretch=${stretch}`, '-t', text, '-o', 'out.wav'];
    const wasi = new WASI(args, [], [new OpenFile(new File([])), quiet(), quiet(), folder], { debug: false });
    let code = -1;
    try {
      code = program.run(wasi);
    } finally {
      if (code !== 0) this.program = null;
    }
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
  while (from < to && Math.abs(samples[from] ?? 0) < SILENT) from++;
  while (to > from && Math.abs(samples[to - 1] ?? 0) < SILENT) to--;
  return { sampleRate, samples: samples.subarray(Math.max(0, from - MARGIN), to + MARGIN) };
}

/** Cepstra of a line as the voice says it, without the silence at its ends. */
export async function cepstraOfLine(voice: PlainVoice, text: string): Promise<Float32Array> {
  const cepstra = new Cepstra();
  cepstra.push(trimmed(await voice.say(text, STRETCH)).samples);
  return cepstra.read();
}
