import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isMovement, stepsInOrder, type Step } from '@/core/plan';
import { itemAt, Random } from '@/core/units';
import { countingIds } from '../support/chance';
import { LAYOUTS, meantClass, written, type MeantStep } from '../support/layouts';

/*
 * A class is the same in every layout: its parts, its steps in order, how often, how long, which sides. How people set a
 * plan is common practice, no published source; half of the layouts failed when they were written.
 */

const CLASSES = 8;

interface Done {
  readonly part: string;
  readonly name: string;
  readonly kind: string;
  readonly rounds: number | undefined;
  readonly seconds: number | undefined;
  readonly sided: boolean;
}

function meant(part: string, { kind, name, rounds, seconds, sides }: MeantStep): Done {
  // What stands still or is told goes by its kind and its time.
  const named = kind === 'movement' ? name.toLowerCase() : '';
  return { part: lettersOf(part), name: named, kind, rounds, seconds, sided: sides === true };
}

function done(part: string, step: Step): Done {
  const isLed = isMovement(step) && step.pacedBy === 'breath';
  return {
    part: lettersOf(part),
    name: isMovement(step) ? step.name.toLowerCase() : '',
    kind: step.kind,
    rounds: isLed ? step.rounds : undefined,
    seconds: isLed || !('seconds' in step) ? undefined : step.seconds,
    sided: isMovement(step) && step.sides !== 'together',
  };
}

const lettersOf = (title: string): string => title.toLowerCase().replace(/[^a-z]/g, '');

describe('a class in other layouts', () => {
  it.each(Object.entries(LAYOUTS))('%s', (_, layout) => {
    for (let seed = 1; seed <= CLASSES; seed++) {
      const random = new Random(seed);
      const one = meantClass(random);
      const text = written(random, one, layout);
      const { plan } = readScript(countingIds('l'), text);
      const read = stepsInOrder(plan).map(({ step, section }) => done(section.title, step));
      expect(read, text).toEqual(one.parts.flatMap(({ name, steps }) => steps.map((step) => meant(name, step))));
    }
  });

  const KEPT = ['bullets', 'a name over dashes', 'a bold name over stars', 'a heading over plain lines', 'labels', 'an amount on a line of its own']; // prettier-ignore
  it.each(KEPT)('%s: what is told of a step is in it', (name) => {
    for (let seed = 1; seed <= CLASSES; seed++) {
      const random = new Random(seed);
      const one = meantClass(random);
      const text = written(random, one, itemAt([LAYOUTS[name] ?? []].flat(), 0));
      const steps = stepsInOrder(readScript(countingIds('l'), text).plan).map(({ step }) => step);
      one.parts
        .flatMap((part) => part.steps)
        .forEach(({ cue, breath, caution }, at) => {
          const step = JSON.stringify(steps[at]).toLowerCase();
          for (const told of [cue, breath?.[0], breath?.[1], caution])
            if (told !== undefined) expect(step, text).toContain(told.toLowerCase());
        });
    }
  });
});
