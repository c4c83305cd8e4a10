import { test } from '@playwright/test';
import { itemAt, Random } from '@/core/units';
import { seedDemo } from '@/demo/seed';
import { freshDatabase } from '../support/application';
import { DISASTERS, Ground, round, SUBJECTS } from '../support/trials';

/*
 * Thirty rounds in all, each disaster once in a class, a movement and a take; `npm run trials` does five hundred. A round
 * that fails names its seed, and CALM_TRIAL_SEED does it again by itself.
 */
const ROUNDS = Number(process.env.CALM_TRIALS ?? 30);
const ONLY = process.env.CALM_TRIAL_SEED === undefined ? null : Number(process.env.CALM_TRIAL_SEED);
const LANES = 2;

for (let lane = 0; lane < LANES; lane++) {
  test(`nothing typed is lost, whatever breaks: lane ${lane + 1} of ${LANES}`, async ({ browser }) => {
    test.setTimeout(120_000 + (ROUNDS / LANES) * 30_000);
    const database = await freshDatabase(`calm_trials_${lane}`);
    await seedDemo(database.db);
    const ground = new Ground(database.url, browser);
    await ground.start();
    const done = new Map<string, number>();
    try {
      for (let seed = lane; seed < ROUNDS; seed += LANES) {
        if (ONLY !== null && seed !== ONLY) continue;
        const chance = new Random(9_000 + seed);
        const disaster = itemAt(DISASTERS, seed % DISASTERS.length);
        const subject = itemAt(SUBJECTS, Math.floor(seed / DISASTERS.length) % SUBJECTS.length);
        await round(subject, ground, seed, disaster, chance);
        const name = `${subject.name}, ${disaster}`;
        done.set(name, (done.get(name) ?? 0) + 1);
      }
    } finally {
      console.log([...done].map(([disaster, rounds]) => `${disaster}: ${rounds}`).join(', '));
      await ground.kill('SIGTERM');
      await database.drop();
    }
  });
}
