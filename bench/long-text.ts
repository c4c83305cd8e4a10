import { readScript } from '../src/core/plain-script';
import { itemAt } from '../src/core/units';
import { countingIds } from '../tests/support/chance';
import { hands } from '../tests/support/hands';
import { ms } from './measure';

const CHARACTERS = 399_900;
const LINES = 6_000;
const RUNS = 5;

/** The longest text that may be pasted, in kinds of lines, each beside a tenth of it: ten times as long is linear. */
export function benchLongText(): void {
  const known = hands().filter(({ half }) => half === 'tuned' || half === 'known');
  const lines = known.flatMap((hand) => hand.lines.map(({ text }) => text)).filter((text) => text.trim() !== '');
  const one = (at: number): string => itemAt(lines, at % lines.length);
  const kinds: Readonly<Record<string, (at: number) => string>> = {
    'different lines of the hands': (at) => `${one(at * 7)} ${at}`.slice(0, 120),
    'three steps in each line': (at) =>
      `We do ${one(at * 7)} ${at} six times. Then ${one(at * 11 + 3)} for two minutes, and rest ${at}.`.slice(0, 250),
    'a column of times': (at) => `${Math.floor(at / 60) % 60}:${String(at % 60).padStart(2, '0')} Rowing ${at} | ${(at % 9) + 2} times | in 4 out 6`, // prettier-ignore
    'only words that are said': (at) => `Let the shoulders go soft at ${at} and feel the weight of the arms, ${one(at * 3).toLowerCase().replace(/\d/g, '')}.`.slice(0, 200), // prettier-ignore
    'one script again and again': (at) => one((at % 60) + Math.floor(at / LINES) * 60),
  };
  for (const [name, lineAt] of Object.entries(kinds)) {
    const [whole, tenth] = [1, 10].map((part) => {
      const times = Array.from({ length: RUNS }, (_, run) => {
        const text = textOf(lineAt, (run + (part > 1 ? RUNS : 0)) * LINES, CHARACTERS / part, LINES / part);
        const began = performance.now();
        readScript(countingIds('b'), text);
        return performance.now() - began;
      }).sort((a, b) => a - b);
      return itemAt(times, Math.floor(RUNS / 2));
    }) as [number, number];
    const shown = textOf(lineAt, 0, CHARACTERS, LINES);
    console.log(`reading ${shown.length} characters, ${name}: median ${ms(whole)} (a tenth of it ${ms(tenth)}, ${(whole / tenth).toFixed(1)} : 1)`); // prettier-ignore
  }
}

function textOf(lineAt: (at: number) => string, from: number, characters: number, most: number): string {
  const lines: string[] = [];
  for (let at = from, length = 0; lines.length < most; at++) {
    const line = lineAt(at);
    length += line.length + 1;
    if (length > characters) break;
    lines.push(line);
  }
  return lines.join('\n');
}
