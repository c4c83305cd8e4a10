import { describe, expect, it } from 'vitest';
import { plannedScripts } from '../support/planned-scripts';
import { plannedFrom } from '../support/told-plan';

/*
 * Whole classes as teachers note them for themselves, in as many hands, each with the plan that is meant below a row of
 * dashes. Common practice, no published source.
 */

const NOTES = plannedScripts(new URL('./notes/', import.meta.url));

describe('a class as it is noted', () => {
  it.each(NOTES)('%s', (_, notes, plan) => {
    expect(plannedFrom(notes)).toEqual(plan.split('\n'));
  });
});
