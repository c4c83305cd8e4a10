import { readScript } from '@/core/plain-script';
import { countingIds } from '../tests/support/chance';
import { readFileSync } from 'node:fs';
const { lines } = readScript(countingIds('t'), readFileSync(0, 'utf8'));
for (const l of lines) console.log(`${l.unsure ? '?' : ' '} ${l.kind.padEnd(9)} ${l.text.slice(0, 70).padEnd(70)} “${l.words.slice(0, 50)}” ${JSON.stringify(l.counts)}`);
