import { describe, expect, it } from 'vitest';
import { decodeText } from './decode-text';

const bytes = (...values: number[]): Uint8Array => Uint8Array.from(values);

describe('reading bytes as text', () => {
  it('reads UTF-8 and leaves its mark to the reader of the format', () => {
    expect(decodeText(new TextEncoder().encode('naïve 🌊'))).toEqual({ text: 'naïve 🌊', oddities: [] });
    expect(decodeText(bytes(0xef, 0xbb, 0xbf, 0x61)).text).toBe('\uFEFFa');
  });

  it('reads UTF-16 of either order by its mark', () => {
    expect(decodeText(bytes(0xff, 0xfe, 0x61, 0x00)).text).toBe('a');
    expect(decodeText(bytes(0xfe, 0xff, 0x00, 0x61)).text).toBe('a');
  });

  it('reads anything else as Western European, and says so', () => {
    const read = decodeText(bytes(0x63, 0x61, 0x66, 0xe9));
    expect(read.text).toBe('café');
    expect(read.oddities.map((oddity) => oddity.code)).toEqual(['other-encoding']);
  });

  it('reads nothing as nothing', () => {
    expect(decodeText(bytes())).toEqual({ text: '', oddities: [] });
  });
});
