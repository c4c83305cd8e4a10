/** The core at the command line: a thin layer over the functions that the application uses. */
import { readFileSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { readJson } from '../src/core/document';
import { CAPTION_LIMITS, readCaptions } from '../src/core/interchange';
import { fitPlan } from '../src/core/pacing';
import { applyEdit, FIT_WAYS, LIMITS, readPlan, readPlanText, writePlanText, type ClassPlan } from '../src/core/plan';
import { readScript, SCRIPT_LIMITS } from '../src/core/plain-script';
import { publish, PUBLISH_FORMATS, type PublishFormat } from '../src/core/publish';
import { checkReading, correct, readTake } from '../src/core/reading';
import { LevelMeter, readWav, speechSegments } from '../src/core/signal';
import { expandPlan } from '../src/core/timeline';
import { formatClock, parseClock, type Issue } from '../src/core/units';
import { demoClasses } from '../src/demo/classes';
import { decodeText } from '../src/files/decode-text';
import { issueText } from '../src/messages/issues';

const USAGE = `usage:
  ./calm fit PLAN.json [--target m:ss, or minutes] [--way ${FIT_WAYS.join('|')}]
  ./calm timeline PLAN.json
  ./calm export PLAN.json --format ${PUBLISH_FORMATS.filter((format) => format !== 'plan').join('|')} [--reading READING.json]
  ./calm read PLAN.json [--captions FILE] [--sound FILE.wav]
  ./calm validate PLAN.json
  ./calm script SCRIPT.txt   reads a plain script and prints it as a plan; lines that are a guess on standard error
  ./calm demo            lists the demo classes
  ./calm demo NAME       prints one as a plan
Results on standard output, errors on standard error. Status 1: bad input, or no fit. Status 2: bad usage.`;

const READING_BYTES_AT_MOST = 16 * 1024 ** 2;
const SOUND_BYTES_AT_MOST = 2 * 1024 ** 3;

/** Bad input: said on standard error, status 1. */
class BadInput extends Error {}
/** Bad usage: status 2. */
class BadUsage extends Error {}

function readBytes(path: string, max: number): Uint8Array {
  try {
    const { size } = statSync(path);
    if (size > max) throw new BadInput(`${path}: larger than ${Math.round(max / 1024 / 1024)} MB`);
    return readFileSync(path);
  } catch (error) {
    if (error instanceof BadInput) throw error;
    throw new BadInput(`${path}: ${error instanceof Error ? error.message : String(error)}`);
  }
}

function refuse(path: string, issues: readonly Issue[]): never {
  throw new BadInput(issues.map((issue) => `${path}: ${issueText(issue)}`).join('\n'));
}

function readPlanFile(path: string): ClassPlan {
  const plan = readPlanText(decodeText(readBytes(path, LIMITS.documentBytes)).text);
  return plan.ok ? plan.value : refuse(path, plan.problem);
}

function print(value: unknown): void {
  process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);
}

function fit(path: string, target: string | undefined, wanted: string | undefined): void {
  const way = FIT_WAYS.find((one) => one === (wanted ?? 'balanced'));
  if (!way) throw new BadUsage('--way has to be one of those listed');
  const plan = readPlanFile(path);
  const { min, max } = LIMITS.targetSeconds;
  const seconds = target === undefined ? plan.targetSeconds : parseClock(target, 'minutes');
  if (seconds === null) throw new BadUsage(`--target takes m:ss or minutes, not “${target}”`);
  if (seconds < min || seconds > max)
    throw new BadInput(`the target has to lie between ${formatClock(min)} and ${formatClock(max)}`);
  const fitted = fitPlan({ ...plan, targetSeconds: seconds }, seconds, { way });
  if (!fitted.feasible) {
    const { feasible, shortestSeconds, longestSeconds, reason, nearestSeconds, enough } = fitted;
    const loosen = fitted.loosen.map(({ edit: _, ...one }) => one);
    print({ feasible, shortestSeconds, longestSeconds, reason, nearestSeconds, enough, loosen });
    process.exitCode = 1;
    return;
  }
  const applied = fitted.edit ? applyEdit({ ...plan, targetSeconds: seconds }, fitted.edit) : null;
  const { feasible, runtimeSeconds, cost, proven, changes } = fitted;
  print({
    feasible,
    runtimeSeconds,
    cost,
    proven,
    changes,
    plan: applied?.ok ? applied.value.plan : { ...plan, targetSeconds: seconds },
  });
}

function script(path: string): void {
  const { text } = decodeText(readBytes(path, LIMITS.documentBytes));
  if (text.trim() === '') refuse(path, [{ code: 'empty-file', at: '', facts: {} }]);
  if (text.length > SCRIPT_LIMITS.characters || text.split('\n').length > SCRIPT_LIMITS.lines) {
    refuse(path, [{ code: 'script-too-long', at: '', facts: { max: SCRIPT_LIMITS.characters } }]);
  }
  let count = 0;
  const read = readScript(() => `s${++count}`, text);
  const judged = readPlan(read.plan);
  if (!judged.ok) refuse(path, judged.problem);
  for (const line of read.lines) {
    if (line.unsure) process.stderr.write(`${path}: line ${line.number}: taken as ${line.kind}: ${line.text}\n`);
  }
  process.stdout.write(writePlanText(judged.value));
}

function exportPlan(path: string, format: string | undefined, readingPath: string | undefined): void {
  if (!PUBLISH_FORMATS.includes(format as PublishFormat)) throw new BadUsage('--format has to be one of those listed');
  const plan = readPlanFile(path);
  let reading = null;
  if (readingPath !== undefined) {
    const json = readJson(decodeText(readBytes(readingPath, READING_BYTES_AT_MOST)).text, READING_BYTES_AT_MOST);
    const checked = json.ok ? checkReading(json.value) : refuse(readingPath, [json.problem]);
    const whole = checked.ok ? checked.value : refuse(readingPath, checked.problem);
    // Figures are worked out anew: a file may hold others, or none.
    reading = correct(whole, expandPlan(plan), {}, null);
  }
  const published = publish(plan, expandPlan(plan), format as PublishFormat, reading);
  process.stdout.write(published.text);
  for (const note of published.notes) process.stderr.write(`${issueText(note)}\n`);
}

function read(path: string, captionsPath: string | undefined, soundPath: string | undefined): void {
  if (captionsPath === undefined && soundPath === undefined)
    throw new BadUsage('read needs --captions, --sound or both');
  const plan = readPlanFile(path);
  let captions = null;
  if (captionsPath !== undefined) {
    const decoded = decodeText(readBytes(captionsPath, CAPTION_LIMITS.fileCharacters * 2));
    const found = readCaptions(decoded.text);
    if (!found.ok) refuse(captionsPath, [found.problem]);
    for (const oddity of [...decoded.oddities, ...found.value.oddities])
      process.stderr.write(`${captionsPath}: ${issueText(oddity)}\n`);
    captions = found.value.captions;
  }
  const sound = soundPath === undefined ? null : listenTo(soundPath);
  print(
    readTake(expandPlan(plan), {
      captions,
      speech: sound?.speech ?? null,
      lengthSeconds: sound?.lengthSeconds ?? null,
    }),
  );
}

function listenTo(path: string): { speech: ReturnType<typeof speechSegments>; lengthSeconds: number } {
  const wav = readWav(readBytes(path, SOUND_BYTES_AT_MOST));
  if (!wav.ok) refuse(path, [wav.problem]);
  const meter = new LevelMeter(wav.value.sampleRate);
  meter.push(wav.value.samples);
  if (meter.seconds > CAPTION_LIMITS.seconds) refuse(path, [{ code: 'too-long-take', at: '', facts: {} }]);
  const speech = speechSegments(meter.read());
  if (speech.length === 0) refuse(path, [{ code: 'no-speech', at: '', facts: {} }]);
  return { speech, lengthSeconds: Math.round(meter.seconds * 1000) / 1000 };
}

function demo(name: string | undefined): void {
  if (name === undefined) {
    process.stdout.write(
      demoClasses()
        .map((one) => `${one.name}\n`)
        .join(''),
    );
    return;
  }
  const found = demoClasses().find((one) => one.name === name);
  if (!found) throw new BadInput(`there is no demo class “${name}”; ./calm demo lists them`);
  process.stdout.write(writePlanText(found.plan));
}

function run(): void {
  const text = { type: 'string' } as const;
  let parsed;
  try {
    parsed = parseArgs({
      allowPositionals: true,
      options: {
        target: text,
        way: text,
        format: text,
        reading: text,
        captions: text,
        sound: text,
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw new BadUsage(error instanceof Error ? error.message : String(error));
  }
  const { positionals, values } = parsed;
  const [command, subject, ...rest] = positionals;
  if (values.help) {
    process.stdout.write(`${USAGE}\n`);
    return;
  }
  if (rest.length > 0) throw new BadUsage(`“${rest[0]}” is one word too many`);
  if (command === 'demo') {
    demo(subject);
    return;
  }
  if (command === undefined || !['fit', 'timeline', 'export', 'read', 'validate', 'script'].includes(command))
    throw new BadUsage(command ? `“${command}” is no command` : 'a command is needed');
  if (subject === undefined) throw new BadUsage(`${command} needs a file`);
  if (command === 'fit') fit(subject, values.target, values.way);
  else if (command === 'script') script(subject);
  else if (command === 'timeline') print(expandPlan(readPlanFile(subject)));
  else if (command === 'export') exportPlan(subject, values.format, values.reading);
  else if (command === 'read') read(subject, values.captions, values.sound);
  else {
    const plan = readPlanFile(subject);
    print({ valid: true, title: plan.title, version: plan.version });
  }
}

// Whoever reads our output may have seen enough of it (`| head`): that is no fault.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit(0);
});

try {
  run();
} catch (error) {
  const known = error instanceof BadInput || error instanceof BadUsage;
  const words = error instanceof Error ? error.message : String(error);
  process.stderr.write(known ? `${words}\n` : `something went wrong that should not: ${words}\n`);
  if (error instanceof BadUsage) process.stderr.write(`${USAGE}\n`);
  process.exitCode = error instanceof BadUsage ? 2 : 1;
}
