/**
 * How many bytes of scripts a page needs before it can be used, packed as they are sent: `tsx scripts/first-load.ts`,
 * after a build. Follows the imports that are loaded with a page's island; what comes on demand is not counted. Fails
 * where the desk needs more than it may.
 */
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';

const FOLDER = new URL('../dist/client/_astro/', import.meta.url).pathname;
/** Kilobytes (1 024 bytes) that the class desk may need. */
const DESK_AT_MOST = 160;
const ISLANDS = [
  'ListPage',
  'StartFrom',
  'DeskPage',
  'Library',
  'ReadingScript',
  'Takes',
  'TakeDesk',
  'History',
  'Voice',
];

const names = new Set(readdirSync(FOLDER).filter((name) => name.endsWith('.js')));
const named = (island: string): string[] => [...names].filter((name) => name.split('.')[0] === island);

function loadedWith(entries: readonly string[]): Set<string> {
  const seen = new Set<string>();
  const waiting = [...entries];
  for (let name = waiting.pop(); name !== undefined; name = waiting.pop()) {
    if (seen.has(name) || !names.has(name)) continue;
    seen.add(name);
    const source = readFileSync(join(FOLDER, name), 'utf8');
    for (const [, file = ''] of source.matchAll(/(?:from|import)\s*"\.\/([^"]+)"/g)) waiting.push(file);
  }
  return seen;
}

for (const island of ISLANDS) {
  const entry = named(island);
  if (entry.length === 0) throw new Error(`first-load: no file of the build is the island ${island}`);
  const files = loadedWith([...entry, ...named('client')]);
  const kilobytes = [...files].reduce((sum, name) => sum + statSync(join(FOLDER, `${name}.gz`)).size, 0) / 1024;
  console.log(`${island}: ${kilobytes.toFixed(1)} KB in ${files.size} files`);
  if (island !== 'DeskPage' || kilobytes <= DESK_AT_MOST) continue;
  console.error(`The desk may need ${DESK_AT_MOST} KB before it can be used.`);
  process.exitCode = 1;
}
