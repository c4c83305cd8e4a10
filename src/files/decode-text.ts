import type { Issue } from '@/core/units';

/** The text of a file with a note on its encoding, if that is not plain UTF-8. */
export interface DecodedText {
  readonly text: string;
  readonly oddities: readonly Issue[];
}

/** Reads bytes as text: UTF-16 by its mark, else UTF-8, else Western European with a note. */
export function decodeText(bytes: Uint8Array): DecodedText {
  const mark = bytes.length >= 2 ? ((bytes[0] ?? 0) << 8) | (bytes[1] ?? 0) : 0;
  if (mark === 0xfffe) return { text: new TextDecoder('utf-16le').decode(bytes), oddities: [] };
  if (mark === 0xfeff) return { text: new TextDecoder('utf-16be').decode(bytes), oddities: [] };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes), oddities: [] };
  } catch {
    const oddities = [{ code: 'other-encoding', at: '', facts: {} }];
    return { text: new TextDecoder('windows-1252').decode(bytes), oddities };
  }
}
