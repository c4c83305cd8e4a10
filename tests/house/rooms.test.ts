import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { drawRooms, floorsOf, readRooms } from '../../scripts/rooms';

describe('the rooms of the house', () => {
  it('are drawn in docs/rooms.svg as the imports are', () => {
    // `npm run rooms` draws them anew.
    const drawn = readFileSync(new URL('../../docs/rooms.svg', import.meta.url), 'utf8');
    expect(drawn).toBe(drawRooms());
  });

  it('ask only rooms below them', () => {
    const rooms = readRooms();
    const floors = floorsOf(rooms);
    for (const [room, asks] of rooms)
      for (const asked of asks)
        expect(floors.get(room), `${room} asks ${asked}`).toBeGreaterThan(floors.get(asked) ?? 99);
    expect(rooms.size).toBeGreaterThan(30);
  });

  it('are refused where two ask each other', () => {
    const circle = new Map([
      ['a', new Set(['b'])],
      ['b', new Set(['a'])],
    ]);
    expect(() => floorsOf(circle)).toThrow('a circle: a → b → a');
  });
});
