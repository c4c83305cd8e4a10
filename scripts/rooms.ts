import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { itemAt } from '@/core/units';

/*
 * The rooms of the house and who asks whom, read off the imports and drawn as SVG. A room is a concept of the core or a
 * folder of `src`; it stands one floor above the highest room that it asks.
 */

const root = new URL('..', import.meta.url).pathname;
const IMPORT = /\b(?:from|import)\s*\(?\s*'([^']+)'/g;

function roomOf(path: string): string | null {
  const [src, folder, concept] = path.split('/');
  if (src !== 'src' || folder === undefined || concept === undefined) return null;
  return folder === 'core' ? `core/${concept}` : folder;
}

/** Each room with those it asks. */
export function readRooms(): ReadonlyMap<string, ReadonlySet<string>> {
  const rooms = new Map<string, Set<string>>();
  const files = readdirSync(join(root, 'src'), { recursive: true, encoding: 'utf8' }).map((file) => `src/${file}`);
  files.sort();
  for (const file of files.filter((one) => /\.(ts|tsx|astro)$/.test(one) && !one.includes('.test.'))) {
    const room = roomOf(file);
    if (room === null) continue;
    const asks = rooms.get(room) ?? new Set();
    rooms.set(room, asks);
    for (const [, asked = ''] of readFileSync(join(root, file), 'utf8').matchAll(IMPORT)) {
      const path = asked.startsWith('@/') ? `src/${asked.slice(2)}/x` : join(dirname(file), asked);
      const other = asked.startsWith('@/') || asked.startsWith('.') ? roomOf(path) : null;
      if (other !== null && other !== room) asks.add(other);
    }
  }
  return rooms;
}

/** The floor of each room, from 0; throws where rooms ask each other in a circle. */
export function floorsOf(rooms: ReadonlyMap<string, ReadonlySet<string>>): ReadonlyMap<string, number> {
  const floors = new Map<string, number>();
  const floorOf = (room: string, above: readonly string[]): number => {
    if (above.includes(room)) throw new Error(`a circle: ${[...above, room].join(' → ')}`);
    let floor = floors.get(room);
    if (floor === undefined) {
      const below = [...(rooms.get(room) ?? [])].map((one) => floorOf(one, [...above, room]));
      floor = Math.max(-1, ...below) + 1;
      floors.set(room, floor);
    }
    return floor;
  };
  for (const room of rooms.keys()) floorOf(room, []);
  return floors;
}

const BOX = { width: 128, height: 30, across: 150, down: 74, edge: 20 };

/** The drawing: the lowest floor at the bottom, an arrow for each room asked that no other room asked leads to. */
export function drawRooms(): string {
  const rooms = readRooms();
  const floors = floorsOf(rooms);
  const top = Math.max(...floors.values());
  const rows = Array.from({ length: top + 1 }, (_, floor) =>
    [...rooms.keys()].filter((room) => floors.get(room) === floor).sort(),
  );
  const widest = Math.max(...rows.map((row) => row.length));
  const width = 2 * BOX.edge + widest * BOX.across;
  const height = 2 * BOX.edge + rows.length * BOX.down;
  const placeOf = (room: string): { readonly x: number; readonly y: number } => {
    const floor = floors.get(room) ?? 0;
    const row = itemAt(rows, floor);
    const left = (width - row.length * BOX.across) / 2 + (BOX.across - BOX.width) / 2;
    return { x: left + row.indexOf(room) * BOX.across, y: BOX.edge + (top - floor) * BOX.down };
  };
  const reaches = (from: string, to: string): boolean =>
    [...(rooms.get(from) ?? [])].some((one) => one === to || reaches(one, to));
  const lines = [...rooms].flatMap(([room, asks]) =>
    [...asks]
      .filter((asked) => ![...asks].some((other) => other !== asked && reaches(other, asked)))
      .sort()
      .map((asked) => {
        const [from, to] = [placeOf(room), placeOf(asked)];
        const [x, y] = [from.x + BOX.width / 2, from.y + BOX.height];
        return `<path d="M${x} ${y}L${to.x + BOX.width / 2} ${to.y}"/>`;
      }),
  );
  const boxes = [...rooms.keys()].sort().map((room) => {
    const { x, y } = placeOf(room);
    const fill = room.startsWith('core/') ? '#dfe9e2' : '#f6efe6';
    const middle = `x="${x + BOX.width / 2}" y="${y + 20}"`;
    return `<rect x="${x}" y="${y}" width="${BOX.width}" height="${BOX.height}" rx="4" fill="${fill}"/><text ${middle}>${room}</text>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="13" text-anchor="middle">`,
    '<title>Rooms of the house: each asks only rooms below it</title>',
    `<rect width="${width}" height="${height}" fill="#ffffff"/>`,
    `<g fill="none" stroke="#8a9a90" stroke-width="1">${lines.join('')}</g>`,
    `<g stroke="#2c4a3c" stroke-width="0.8">${boxes.join('').replace(/<text /g, '<text stroke="none" fill="#1d2b24" ')}</g>`,
    '</svg>',
    '',
  ].join('\n');
}
