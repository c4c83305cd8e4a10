import type { ClassPlan } from '@/core/plan';
import { demoClasses } from '@/demo/classes';

/** A class of the demo by its name. */
export function demoPlan(name: string): ClassPlan {
  const found = demoClasses().find((one) => one.name === name);
  if (!found) throw new Error(`no class ${name}`);
  return found.plan;
}
