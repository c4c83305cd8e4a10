import { writeFileSync } from 'node:fs';
import { planJsonSchema } from '@/core/plan';

/** Writes `docs/plan.schema.json` from the schema of the plan: after every change of a field. */
writeFileSync(new URL('../docs/plan.schema.json', import.meta.url), `${JSON.stringify(planJsonSchema(), null, 2)}\n`);
