import { expose, type Endpoint } from 'comlink';
import { MessageChannel } from 'node:worker_threads';
import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { takenAs } from '@/core/units';
import { Hired } from '../hired';
import { createScriptReader } from './client';
import type { ScriptWorker } from './protocol';

/** Workers in this thread; each reads as the real one does, and those that are to fail do so. */
function hiring(fails: (text: string) => boolean = () => false) {
  const asked: string[] = [];
  let hired = 0;
  const hire = (): Hired<ScriptWorker> => {
    hired++;
    const { port1, port2 } = new MessageChannel();
    const worker: ScriptWorker = {
      read: (text, put) => {
        asked.push(text);
        if (fails(text)) throw new Error('not today');
        return readScript(() => 'id', text, put);
      },
    };
    expose(worker, takenAs<Endpoint>(port2));
    port1.unref();
    port2.unref();
    return new Hired<ScriptWorker>(Object.assign(takenAs<Worker>(port1), { terminate: () => port1.close() }));
  };
  return { reader: createScriptReader(hire), asked, hires: () => hired };
}

const NONE = new Map();

describe('scripts read in a worker', () => {
  it('are read as they are anywhere, with what was put right', async () => {
    const { reader } = hiring();
    const text = 'Rowing x8\nSoft knees';
    expect(await reader.read(text, NONE)).toEqual(readScript(() => 'id', text));
    const put = new Map([[2, 'caution']] as const);
    expect((await reader.read(text, put))?.lines[1]?.kind).toBe('caution');
    reader.stop();
  });

  it('give way to what is typed meanwhile, and nothing waits behind it', async () => {
    const { reader, asked } = hiring();
    const reads = ['R', 'Ro', 'Row', 'Rowing x8'].map((text) => reader.read(text, NONE));
    const found = await Promise.all(reads);
    expect(found.slice(0, 3)).toEqual([null, null, null]);
    expect(found[3]?.lines[0]).toMatchObject({ kind: 'movement', words: 'Rowing' });
    expect(asked).toEqual(['Rowing x8']);
    reader.stop();
  });

  it('say that they failed, and the next one is read', async () => {
    const { reader } = hiring((text) => text === 'bad');
    await expect(reader.read('bad', NONE)).rejects.toThrow('not today');
    expect((await reader.read('Rowing x8', NONE))?.lines).toHaveLength(1);
    reader.stop();
  });

  it('are nothing to anybody once they are stopped, and another worker reads the next', async () => {
    const { reader, hires } = hiring();
    await reader.read('Rowing x8', NONE);
    const late = reader.read('Waves x8', NONE);
    reader.stop();
    const after = reader.read('Tide x8', NONE);
    expect(await late).toBeNull();
    expect((await after)?.lines[0]).toMatchObject({ words: 'Tide' });
    expect(hires()).toBe(2);
    reader.stop();
  });
});
