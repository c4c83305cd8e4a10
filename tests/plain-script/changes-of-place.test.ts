import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/*
 * How people stand and sit, with what they are told beside it, in many ways and places of a script: no word is lost. Common
 * practice, no published source.
 */

const STARTS = [
  'Feet hip width', 'Feet apart', 'Feet together', 'Step wide', 'Step the left foot out', 'Bring the feet together', 'Stand up',
  'Stand up behind the chair', 'Sit down', 'Sit on the chair', 'Come to standing', 'Lie down', 'Turn to face the window', 'Stand tall',
  'Stand with feet apart', 'Take a wide stance', 'Move to the chair', 'Change the legs', 'Shift the weight to the left leg', 'Step back',
  'Come back to the middle', 'Find a place', 'Face the front',
]; // prettier-ignore
const BESIDE = [
  ', knees soft. Let the shoulders drop.', ', knees soft', ' and soften the knees', '. Soften the knees.', ', hands on the belly, jaw loose.',
  ' - soften the jaw', ' (soft knees)', '; let the arms hang', ', breathe out', ', knees soft, and look far away.',
  '. Look at the horizon. Smile a little.', ' slowly, no hurry at all', ': weight in the heels', '... and let everything hang', ', as if on a string',
]; // prettier-ignore
const PLACES: Readonly<Record<string, string>> = {
  'under a part with its time': 'Class\n\nArrive (1 min)\nLINE\n\nMain set\n- Rowing x6',
  'in a list': 'Class\n\nMain set\n- Bow x3\n- LINE\n- Rowing x6',
  'among steps': 'Class\n\nMain set\nBow x3\nLINE\nRowing x6',
  'in a welcome': 'Class\n\nWelcome\nGood morning.\nLINE\n\nMain set\n- Rowing x6',
  'in a numbered list': 'Class\n\nMain set\n1. Bow x3\n2. LINE\n3. Rowing x6',
  'below a breath': 'Class\n\nMain set\n- Bow x3\n  in: up\n  out: down\nLINE\n- Rowing x6',
};

/** The words of a line, of four letters and more, that are nowhere in the class. */
function lostOf(script: string, line: string): readonly string[] {
  const all = JSON.stringify(readScript(countingIds('c'), script.replace('LINE', line)).plan).toLowerCase();
  return (line.toLowerCase().match(/[a-z]{4,}/g) ?? []).filter((word) => !all.includes(word));
}

describe('how people stand, with what they are told beside it', () => {
  it.each(Object.entries(PLACES))('%s loses no word', (_, script) => {
    const lines = STARTS.flatMap((start) => BESIDE.map((beside) => `${start}${beside}`));
    expect(lines.filter((line) => lostOf(script, line).length > 0)).toEqual([]);
  });
});
