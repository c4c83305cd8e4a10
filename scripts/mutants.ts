/**
 * How many single-operator faults in the core its own tests let pass: `npm run mutants -- [count] [seed] [path]`. Draws
 * operators of the core at random and writes each beside its opposite into a copy of the sources, where one of them at a
 * time is switched on ("mutant schemata", Untch, Offutt and Harrold 1993). The unit and property tests are run once to
 * know which files of tests reach which operator; then each operator is turned, and the files that reach it are run,
 * those beside it first and the quick ones before the slow, until one fails. Those that all of them let pass are printed with their place.
 */
import { execFileSync, spawn } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
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
  /** Where its operator begins in the text of the file. */
  readonly at: number;
}

const sourceOf = (file: string): ts.SourceFile =>
  ts.createSourceFile(file, readFileSync(join(root, file), 'utf8'), ts.ScriptTarget.Latest, true);

function mutantsOf(file: string): Mutant[] {
  const found: Mutant[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isBinaryExpression(node) && OPPOSITE.has(node.operatorToken.kind))
      found.push({ file, at: node.operatorToken.getStart() });
    ts.forEachChild(node, look);
  };
  look(sourceOf(file));
  return found;
}

/** What a mutated file begins with: which operator is turned, and, while `CALM_MUTANT` is "reached", which were met. */
const SWITCH = `const __turned = process.env.CALM_MUTANT === 'reached'
  ? (at) => { (globalThis.__reached ??= new Set()).add(at); return false; }
  : (at) => at === __which;
const __which = Number(process.env.CALM_MUTANT ?? -1);
`;

/** The file with each of its drawn operators beside its opposite; numbers are those of the operators by their place. */
function withSwitches(file: string, numbers: ReadonlyMap<number, number>): string {
  const source = sourceOf(file);
  const { text } = source;
  const written = (node: ts.Node): string => {
    if (ts.isBinaryExpression(node)) {
      const token = node.operatorToken;
      const number = numbers.get(token.getStart());
      if (number !== undefined) {
        const [left, right] = [written(node.left), written(node.right)];
        const turned = OPPOSITE.get(token.kind) ?? '';
        return ` (__turned(${number}) ? (${left}) ${turned} (${right}) : (${left}) ${token.getText()} (${right}))`;
      }
    }
    let out = '';
    let from = node.getFullStart();
    ts.forEachChild(node, (child) => {
      out += text.slice(from, child.getFullStart()) + written(child);
      from = child.getEnd();
    });
    return out + text.slice(from, node.getEnd());
  };
  return SWITCH + written(source);
}

/** What runs beside the tests of the copy: each file of tests leaves the numbers of the operators it met. */
const SETUP = `import { afterAll, expect } from 'vitest';
import { writeFileSync } from 'node:fs';
afterAll(() => {
  const { testPath } = expect.getState();
  const name = testPath.replace(/[^a-z0-9]/gi, '-');
  if (process.env.CALM_MUTANT === 'reached')
    writeFileSync(process.env.CALM_REACHED + '/' + name, JSON.stringify({ testPath, reached: [...(globalThis.__reached ?? [])] }));
});
`;

/** Each file of tests by itself, whatever they share otherwise: what one of them reaches is asked. */
const CONFIG = `import base from './vitest.config';
const { projects: _, ...test } = base.test;
const include = ['src/**/*.test.ts', 'tests/**/*.test.ts'];
export default { ...base, test: { ...test, include, maxWorkers: Number(process.env.CALM_WORKERS), setupFiles: ['./mutants-setup.ts'] } };
`;

function copyOfSources(): string {
  const copy = mkdtempSync(join(tmpdir(), 'mutants-'));
  const tracked = execFileSync('git', ['ls-files'], { cwd: root, encoding: 'utf8' }).trim().split('\n');
  for (const file of tracked) {
    if (!existsSync(join(root, file))) continue;
    mkdirSync(dirname(join(copy, file)), { recursive: true });
    cpSync(join(root, file), join(copy, file));
  }
  symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));
  writeFileSync(join(copy, 'mutants-setup.ts'), SETUP);
  writeFileSync(join(copy, 'mutants.config.ts'), CONFIG);
  return copy;
}

/** Whether the tests failed, or took longer than `limitSeconds`. */
function fails(
  copy: string,
  which: string,
  asked: readonly string[],
  workers: number,
  limitSeconds: number,
): Promise<boolean> {
  const args = [
    '--no-install',
    'vitest',
    'run',
    ...asked,
    '--config=mutants.config.ts',
    '--passWithNoTests',
    '--no-cache',
  ];
  const env = {
    ...process.env,
    CALM_MUTANT: which,
    CALM_WORKERS: String(workers),
    CALM_REACHED: join(copy, 'reached'),
  };
  const tests = spawn('npx', args, { cwd: copy, env, stdio: 'ignore', detached: true });
  return new Promise((resolve) => {
    const late = setTimeout(() => {
      if (tests.pid !== undefined) process.kill(-tests.pid, 'SIGKILL');
    }, limitSeconds * 1000);
    tests.on('exit', (code) => {
      clearTimeout(late);
      resolve(code !== 0);
    });
  });
}

interface TestFile {
  readonly path: string;
  readonly seconds: number;
  readonly reached: ReadonlySet<number>;
}

const NOT_RUN = ['server', 'browser', 'start', 'calm', 'house'].map((room) => `--exclude=tests/${room}/**`);

async function whatReaches(copy: string): Promise<TestFile[]> {
  mkdirSync(join(copy, 'reached'));
  const report = join(copy, 'report.json');
  const asked = [...NOT_RUN, '--reporter=json', `--outputFile=${report}`];
  if (await fails(copy, 'reached', asked, 2, 3600)) throw new Error('The tests fail with nothing turned.');
  const { testResults } = JSON.parse(readFileSync(report, 'utf8')) as {
    testResults: { name: string; startTime: number; endTime: number }[];
  };
  const seconds = new Map(testResults.map((one) => [one.name, (one.endTime - one.startTime) / 1000]));
  return readdirSync(join(copy, 'reached'))
    .map((name) => {
      const { testPath, reached } = JSON.parse(readFileSync(join(copy, 'reached', name), 'utf8')) as {
        testPath: string;
        reached: number[];
      };
      return { path: testPath, seconds: seconds.get(testPath) ?? 0, reached: new Set(reached) };
    })
    .sort((a, b) => a.seconds - b.seconds);
}

/** What a file of tests takes before its first test, in seconds; about so. */
const OPENING = 0.7;

/** Files in batches, each four times as long: a slow one is run only when all quicker ones let the fault pass. */
function inBatches(tests: readonly TestFile[]): TestFile[][] {
  const batches: TestFile[][] = [];
  let [left, limit] = [0, 3];
  for (const test of tests) {
    if (left <= 0) {
      batches.push([]);
      left = limit;
      limit *= 4;
    }
    batches.at(-1)?.push(test);
    left -= OPENING + test.seconds;
  }
  return batches;
}

/** The tests that reach an operator, those beside its file and of its concept first. */
function nearestFirst(tests: readonly TestFile[], file: string): TestFile[] {
  const concept = file.split('/')[2] ?? '';
  const far = ({ path }: TestFile): number =>
    path.includes(`${dirname(file)}/`) ? 0 : path.includes(`/${concept}/`) ? 1 : 2;
  return [...tests].sort((a, b) => far(a) - far(b) || a.seconds - b.seconds);
}

async function isKilled(copy: string, file: string, number: number, tests: readonly TestFile[]): Promise<boolean> {
  const reaching = tests.filter(({ reached }) => reached.has(number));
  for (const batch of inBatches(nearestFirst(reaching, file))) {
    const limit = 30 + 5 * batch.reduce((sum, { seconds }) => sum + seconds, 0);
    const asked = [...batch.map(({ path }) => path), '--bail=1', '--reporter=dot'];
    if (await fails(copy, String(number), asked, 1, limit)) return true;
  }
  return false;
}

function shownAs({ file, at }: Mutant): string {
  const source = sourceOf(file);
  const { line } = source.getLineAndCharacterOfPosition(at);
  const code = itemAt(source.text.split('\n'), line).trim();
  return `${file}:${line + 1}: the operator at "${source.text.slice(at, at + 12).split('\n')[0] ?? ''}" of: ${code}`;
}

const [count = '200', seed = '1', within = 'src/core/'] = process.argv.slice(2);
const files = execFileSync('git', ['ls-files', within], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter((file) => file.startsWith('src/core/') && file.endsWith('.ts') && !file.endsWith('.test.ts'));
const random = new Random(Number(seed));
const left = files.flatMap(mutantsOf);
const drawn: Mutant[] = [];
while (drawn.length < Number(count) && left.length > 0)
  drawn.push(...firstItems(left.splice(random.whole(0, left.length - 1), 1), 1));

const copy = copyOfSources();
try {
  for (const file of new Set(drawn.map((one) => one.file))) {
    const numbers = new Map(drawn.flatMap((one, number) => (one.file === file ? [[one.at, number] as const] : [])));
    writeFileSync(join(copy, file), withSwitches(file, numbers));
  }
  const tests = await whatReaches(copy);
  const passed: Mutant[] = [];
  const waiting = [...drawn.entries()];
  const next = async (): Promise<void> => {
    for (let one = waiting.shift(); one !== undefined; one = waiting.shift()) {
      const [number, mutant] = one;
      const killed = await isKilled(copy, mutant.file, number, tests);
      process.stderr.write(killed ? '.' : '!');
      if (killed) continue;
      passed.push(mutant);
      const reached = tests.some((test) => test.reached.has(number));
      console.log(`${reached ? 'passes' : 'no test reaches'}: ${shownAs(mutant)}`);
    }
  };
  await Promise.all([next(), next()]);
  console.log(`${passed.length} of ${drawn.length} passed, ${((100 * passed.length) / drawn.length).toFixed(1)} %`);
} finally {
  rmSync(copy, { recursive: true, force: true });
}
