import { itemAt } from '@/core/units';
import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { summaryOf } from '../src/core/movement';
import { openDatabase, closeDatabase } from '../src/db/database';
import { judgedPlan } from '../src/server/classes';
import { insertClass, listClasses } from '../src/db/queries/classes';
import { insertMovement, listMovements } from '../src/db/queries/movements';
import { deleteStudio, insertStudio } from '../src/db/queries/studios';
import { demoClasses } from '../src/demo/classes';
import { demoLibrary } from '../src/demo/library';
import { ms, spread } from './measure';

/**
 * The server's queries for a list of 1 000 classes and a library of 2 000 movements, in a studio made for it and
 * removed again. Needs DATABASE_URL (the address that `./start` uses); says so where there is none.
 */
export async function benchList(): Promise<void> {
  if (!process.env.DATABASE_URL) {
    console.log('list and library queries: set DATABASE_URL to measure them');
    return;
  }
  const db = openDatabase();
  const studio = await insertStudio(db, `bench ${randomUUID()}`);
  try {
    const { plan } = itemAt(demoClasses(), 0);
    for (let at = 0; at < 1000; at++) {
      await insertClass(db, studio.id, judgedPlan({ ...plan, title: `Class ${at}` }));
    }
    const library = demoLibrary();
    for (let at = 0; at < 2000; at++) {
      const movement = { ...itemAt(library, at % library.length), name: `Movement ${at}` };
      await insertMovement(db, studio.id, { movement, summary: summaryOf(movement) });
    }
    await db.execute(sql`analyze classes, movements, takes`);
    const measure = async (work: () => Promise<unknown>): Promise<string> => {
      const times: number[] = [];
      for (let run = 0; run < 15; run++) {
        const began = performance.now();
        await work();
        times.push(performance.now() - began);
      }
      const { median, p95 } = spread(times);
      return `median ${ms(median)}, p95 ${ms(p95)}`;
    };
    console.log(
      `the first part of the list, of 1 000 classes: ${await measure(() => listClasses(db, studio.id, { max: 60 }))}`,
    );
    console.log(`the library's query, 2 000 movements: ${await measure(() => listMovements(db, studio.id))}`);
  } finally {
    await deleteStudio(db, studio.id);
    await closeDatabase();
  }
}
