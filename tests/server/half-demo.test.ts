import { sql } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { firstStudio } from '@/db/queries/studios';
import { seedDemo } from '@/demo/seed';
import { classList } from '@/server/classes';
import { freshDatabase } from '../support/application';

describe('a demo that is broken off half-way', () => {
  it('leaves nothing, so that the next start begins it again', async () => {
    const half = await freshDatabase('calm_half_demo');
    try {
      // Another connection that dies in the middle of it, as a killed process does.
      await half.db.execute(
        sql`create function die() returns trigger language plpgsql as $$ begin if (select count(*) from classes) > 2 then perform pg_terminate_backend(pg_backend_pid()); end if; return new; end $$`,
      );
      await half.db.execute(sql`create trigger die after insert on classes for each row execute function die()`);
      await expect(seedDemo(half.db)).rejects.toThrow();
      expect(await firstStudio(half.db)).toBeNull();
      await half.db.execute(sql`drop trigger die on classes`);
      await seedDemo(half.db);
      const again = { db: half.db, studio: (await firstStudio(half.db)) ?? { id: '', name: '' } };
      expect((await classList(again)).classes.length).toBe(8);
    } finally {
      await half.drop();
    }
  });
});
