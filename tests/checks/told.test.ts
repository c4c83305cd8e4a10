import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { createChecker } from '@/core/checks';
import { claimIn, ofThoseHere } from '@/core/meaning';
import { makeDuring, spokenLines } from '@/core/movement';
import { makeTalk, type ClassPlan } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { countingIds } from '../support/chance';
import { plain, withSteps } from './make-faults';

/*
 * What talkative teachers tell: stories, jokes, what is for tea. Nothing of it is a fault, and none may be found. Of the first
 * 394 lines about one in a hundred was taken for a promise about health at first, one in two hundred for a filler or a
 * last round; of thirty that tell what others did, ten for something to do.
 */

const FOLDER = join(import.meta.dirname, 'told');
const ferry = itemAt(demoClasses(), 0).plan;
const check = createChecker();
/** What only asks how much time a line takes where it stands. */
const OF_TIME = new Set(['lines-close', 'line-late', 'line-too-long', 'teach-long', 'talk-share', 'sentence-long']);

const PLACES: Readonly<Record<string, (text: string) => ClassPlan>> = {
  'in a talk': (text) =>
    withSteps('welcome', -1, (newId) => [
      makeTalk(newId, 'A word', [
        ['Here is a word before we go on.', 2],
        [text, 3],
      ]),
    ])(ferry),
  'in the rounds': (text) =>
    withSteps('main', 0, (newId) => [
      plain(newId, 'Bell buoy', {
        teach: spokenLines(newId, [['Bell buoy.', 2]]),
        during: [makeDuring(countingIds('d'), text)],
      }),
    ])(ferry),
};

function foundIn(plan: ClassPlan): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  for (const { check: name } of check(plan, expandPlan(plan))) found.set(name, (found.get(name) ?? 0) + 1);
  return found;
}

function linesOf(file: string): string[] {
  return readFileSync(join(FOLDER, file), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !/^[#@]/.test(line));
}

describe('what is told', () => {
  it.each(
    readdirSync(FOLDER).flatMap((file) => Object.entries(PLACES).map(([place, make]) => [file, place, make] as const)),
  )('of %s is taken for nothing %s', (file, _, make) => {
    const usual = foundIn(make('All of us, as we are.'));
    const lines = linesOf(file);
    const taken = lines.filter((line) =>
      [...foundIn(make(line))].some(([name, count]) => !OF_TIME.has(name) && count > (usual.get(name) ?? 0)),
    );
    // Of the heron on its leg and the children in their tree nobody can tell.
    expect(taken.length / lines.length, taken.join('\n')).toBeLessThan(file === 'of-others.txt' ? 0.15 : 0.035);
  });

  it.each([
    'He bends down, and you bend down with him.',
    'My teacher stood on one leg here, so let us try it.',
    'The man in the picture folds in half, like this.',
    'Everybody bends down to the floor.',
    'We did the left, now fold forward and hang there.',
    'You saw how he stood on one leg; do the same.',
    'We hold the breath at the top.',
    'They float up and hang there: your arms.',
  ])('“%s” is told of those who are here', (text) => {
    expect(ofThoseHere(text)).toBe(text);
  });

  it('of a cure that somebody had is a claim still', () => {
    for (const text of [
      'My aunt’s arthritis has gone since she does this.',
      'A friend of mine threw her tablets away.',
      'After a few weeks my headaches were cured.',
    ])
      expect(claimIn(text), text).not.toBeNull();
  });
});
