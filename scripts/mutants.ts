/**
 * How many single-operator faults in the core its own tests let pass: `npm run mutants -- [count] [seed] [path]`. Picks
 * operators of the core at random, turns each into its opposite in a copy of the sources, and runs the unit and property
 * tests that reach the file. Those that let it pass are printed with their place.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import ts from 'typescript';
import { firstItems, itemAt, Random } from '@/core/units';

const root = new URL('..', import.meta.url).pathname;

/** What each operator becomes; one that would hardly change anything is not among them. */
const OPPOSITE: ReadonlyMap<ts.SyntaxKind, string> = new Map([
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
  [ts.SyntaxKind.LessThanToken, '>='],
  [ts.SyntaxKind.GreaterThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '>'],
  [ts.SyntaxKind.GreaterThanEqualsToken, '<'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
]);

interface Mutant {
  readonly file: string;
  readonly line: number;
  readonly from: string;
  readonly to: string;
  readonly text: string;
}

function mutantsOf(file: string): Mutant[] {
  const text = readFileSync(join(root, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found: Mutant[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isBinaryExpression(node)) {
      const { kind } = node.operatorToken;
      const to = OPPOSITE.get(kind);
      const start = node.operatorToken.getStart();
      const end = node.operatorToken.getEnd();
      if (to !== undefined) {
        found.push({
          file,
          line: source.getLineAndCharacterOfPosition(start).line + 1,
          from: text.slice(start, end),
          to,
          text: text.slice(0, start) + to + text.slice(end),
        });
      }
    }
    ts.forEachChild(node, look);
  };
  look(source);
  return found;
}

function copyOfSources(): string {
  const copy = mkdtempSync(join(tmpdir(), 'mutants-'));
  const tracked = execFileSync('git', ['ls-files'], { cwd: root, encoding: 'utf8' }).trim().split('\n');
  for (const file of tracked) {
    mkdirSync(dirname(join(copy, file)), { recursive: true });
    cpSync(join(root, file), join(copy, file));
  }
  symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));
  return copy;
}

/** Whether the tests that reach the file fail on it; those of its own concept are asked first. */
function isKilled(copy: string, mutant: Mutant): boolean {
  const path = join(copy, mutant.file);
  const before = readFileSync(path, 'utf8');
  writeFileSync(path, mutant.text);
  const concept = mutant.file.split('/')[2];
  const near = fails(copy, ['run', `src/core/${concept}`, `tests/${concept}`]);
  const killed = near || fails(copy, ['related', mutant.file, '--run', '--exclude=tests/server/**']);
  writeFileSync(path, before);
  return killed;
}

function fails(copy: string, asked: readonly string[]): boolean {
  const args = ['--no-install', 'vitest', ...asked, '--bail=1', '--reporter=dot', '--passWithNoTests'];
  return spawnSync('npx', args, { cwd: copy, timeout: 300_000, stdio: 'ignore' }).status !== 0;
}

const [count = '200', seed = '1', within = 'src/core/'] = process.argv.slice(2);
const files = execFileSync('git', ['ls-files', within], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter((file) => file.startsWith('src/core/') && file.endsWith('.ts') && !file.endsWith('.test.ts'));
const random = new Random(Number(seed));
const left = files.flatMap(mutantsOf);
const copy = copyOfSources();
let tried = 0;
let survived = 0;
try {
  while (tried < Number(count) && left.length > 0) {
    const [mutant] = firstItems(left.splice(random.whole(0, left.length - 1), 1), 1);
    tried++;
    const killed = isKilled(copy, mutant);
    process.stderr.write(killed ? '.' : '!');
    if (killed) continue;
    survived++;
    const code = itemAt(readFileSync(join(root, mutant.file), 'utf8').split('\n'), mutant.line - 1).trim();
    console.log(`passes: ${mutant.file}:${mutant.line}: ${mutant.from} as ${mutant.to}: ${code}`);
  }
} finally {
  rmSync(copy, { recursive: true, force: true });
}
console.log(`${survived} of ${tried} passed, ${((100 * survived) / tried).toFixed(1)} %`);
