import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { plannedFrom } from '../support/told-plan';

/*
 * Whole classes as teachers note them for themselves, in as many hands, each with the plan that is meant below a row of
 * dashes. Common practice, no published source.
 */

const FOLDER = new URL('./notes/', import.meta.url);

const NOTES = readdirSync(FOLDER).map((file): readonly [name: string, notes: string, plan: string] => {
  const [notes = '', plan = ''] = readFileSync(new URL(file, FOLDER), 'utf8').split('\n-----\n');
  return [file.replace('.txt', ''), notes, plan.trimEnd()];
});

describe('a class as it is noted', () => {
  it.each(NOTES)('%s', (_, notes, plan) => {
    expect(plannedFrom(notes)).toEqual(plan.split('\n'));
  });
});
