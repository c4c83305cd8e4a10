import { readdirSync, readFileSync } from 'node:fs';

/** The scripts of a folder, each with the plan that is meant below a row of dashes: its name, the script, the plan. */
export function plannedScripts(folder: URL): readonly (readonly [name: string, script: string, plan: string])[] {
  return readdirSync(folder).map((file) => {
    const [script = '', plan = ''] = readFileSync(new URL(file, folder), 'utf8').split('\n-----\n');
    return [file.replace('.txt', ''), script, plan.trimEnd()];
  });
}
