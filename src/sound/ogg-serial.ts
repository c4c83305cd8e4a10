/** Of a page: its fixed head, and where its serial number, its checksum and its count of lengths stand (RFC 3533). */
const HEAD = 27;
const SERIAL = 14;
const CHECKSUM = 22;
const LENGTHS = 26;

/** The checksum of Ogg pages: CRC-32 with polynomial 0x04c11db7, not mirrored, from 0 (RFC 3533). */
const STEPS = Uint32Array.from({ length: 256 }, (_, byte) => {
  let value = byte << 24;
  for (let bit = 0; bit < 8; bit++) value = value & 0x80000000 ? (value << 1) ^ 0x04c11db7 : value << 1;
  return value >>> 0;
});

/**
 * Gives every page of an Ogg stream the same serial number as it passes, so that the same sound is the same bytes
 * whenever it is made; whoever writes the stream draws the number by lot. Pages are handed on whole.
 */
export class OggSerial {
  private held = new Uint8Array(0);

  constructor(private readonly serial: number) {}

  push(data: Uint8Array): Uint8Array {
    const all = new Uint8Array(this.held.length + data.length);
    all.set(this.held);
    all.set(data, this.held.length);
    let at = 0;
    for (let length = pageLength(all, at); length !== null; length = pageLength(all, at)) {
      this.number(all.subarray(at, at + length));
      at += length;
    }
    this.held = all.slice(at);
    return all.subarray(0, at);
  }

  private number(page: Uint8Array): void {
    const view = new DataView(page.buffer, page.byteOffset, page.length);
    view.setUint32(SERIAL, this.serial, true);
    view.setUint32(CHECKSUM, 0, true);
    let sum = 0;
    for (const byte of page) sum = ((sum << 8) ^ (STEPS[((sum >>> 24) ^ byte) & 0xff] ?? 0)) >>> 0;
    view.setUint32(CHECKSUM, sum, true);
  }
}

/** Length of the page that begins at a place; `null` where not all of it is there. */
function pageLength(bytes: Uint8Array, at: number): number | null {
  if (at + HEAD > bytes.length) return null;
  const count = bytes[at + LENGTHS] ?? 0;
  if (at + HEAD + count > bytes.length) return null;
  let length = HEAD + count;
  for (let segment = 0; segment < count; segment++) length += bytes[at + HEAD + segment] ?? 0;
  return at + length > bytes.length ? null : length;
}
