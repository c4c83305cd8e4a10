import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readCaptions } from '@/core/interchange';
import { summaryOf } from '@/core/movement';
import type { ClassPlan, MovementStep } from '@/core/plan';
import { readTake } from '@/core/reading';
import { expandPlan } from '@/core/timeline';
import type { Interval } from '@/core/units';
import { insertMovement } from '@/db/queries/movements';
import { insertClass } from '@/db/queries/classes';
import { insertSeries, updateSeries } from '@/db/queries/series';
import { insertStudio } from '@/db/queries/studios';
import { insertTake } from '@/db/queries/takes';
import type { Database } from '@/db/database';
import { demoClasses } from './classes';
import { demoLibrary } from './library';
import { DEMO_STUDIO } from './outline';

/** What the demo take was made to be: see `scripts/make-demo-take.ts`. */
export interface DemoTruth {
  readonly lengthSeconds: number;
  readonly said: readonly {
    readonly cueId: string | null;
    readonly text: string;
    readonly startSeconds: number;
    readonly endSeconds: number;
  }[];
  readonly skipped: readonly string[];
  /** Stretches of speech that the level of its sound shows. */
  readonly speech: readonly Interval[];
}

/** Demo classes that make the demo series. */
const IN_SERIES: readonly string[] = ['before-the-first-ferry', 'net-menders-break'];
const TAKE_OF = 'before-the-first-ferry';

/** A file of the demo take, by its ending. */
function takeFile(ending: '.vtt' | '.truth.json'): string {
  return readFileSync(fileURLToPath(new URL(`../../demo/take/${TAKE_OF}${ending}`, import.meta.url)), 'utf8');
}

/** Puts the invented studio, its classes and its take into an empty database. */
export async function seedDemo(db: Database): Promise<void> {
  const studio = await insertStudio(db, DEMO_STUDIO);
  const inSeries: string[] = [];
  const sources = new Map<string, NonNullable<MovementStep['source']>>();
  for (const movement of demoLibrary()) {
    const { id, revision } = await insertMovement(db, studio.id, { movement, summary: summaryOf(movement) });
    sources.set(movement.name, { movementId: id, revision });
  }
  for (const { name, plan: unlinked } of demoClasses()) {
    const plan = withSources(unlinked, sources);
    const timeline = expandPlan(plan);
    const stored = await insertClass(db, studio.id, { plan, runtimeSeconds: timeline.runtimeSeconds });
    if (IN_SERIES.includes(name)) inSeries.push(stored.id);
    if (name !== TAKE_OF) continue;
    const truth = JSON.parse(takeFile('.truth.json')) as DemoTruth;
    const captions = readCaptions(takeFile('.vtt'));
    if (!captions.ok) throw new Error(`the demo captions cannot be read: ${captions.problem.code}`);
    const evidence = { captions: captions.value.captions, speech: truth.speech, lengthSeconds: truth.lengthSeconds };
    await insertTake(db, studio.id, {
      classId: stored.id,
      name: 'Monday, before the ferry',
      plan,
      evidence,
      reading: readTake(timeline, evidence),
    });
  }
  const series = await insertSeries(db, studio.id, 'Weekday mornings');
  await updateSeries(db, studio.id, series.id, series.title, inSeries);
}

/** The plan with each movement linked to the library entry of its name. */
function withSources(plan: ClassPlan, sources: ReadonlyMap<string, NonNullable<MovementStep['source']>>): ClassPlan {
  const sections = plan.sections.map((section) => ({
    ...section,
    steps: section.steps.map((step) =>
      step.kind === 'movement' ? { ...step, source: sources.get(step.name) ?? null } : step,
    ),
  }));
  return { ...plan, sections };
}
