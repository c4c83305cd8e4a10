import { jsonSchemaOf, type JsonSchema } from '@/core/document';
import { LIMITS } from './limits';
import { PLAN_FORMAT, PLAN_VERSION } from './migrate';
import { planSchema } from './schema';

/** The schema of a plan as others can use it: JSON Schema 2020-12, written to `docs/plan.schema.json`. */
export function planJsonSchema(): JsonSchema {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: PLAN_FORMAT,
    title: 'Calm Count class plan',
    description: `One class, version ${PLAN_VERSION}. Times are seconds. Beyond this schema a plan also has to keep: least not above most, every id once, a length for every hold and free phase, at most ${LIMITS.stepsInPlan} steps and ${LIMITS.cues} cues. What each field means stands beside it in src/core/plan and src/core/movement.`,
    ...jsonSchemaOf(planSchema),
  };
}
