import { describe, expect, it } from 'vitest';
import { countingIds } from '../../../../../tests/support/chance';
import { makeMovement } from './make';
import { movementSettings } from './settings';

const step = makeMovement(countingIds(), 'Swaying');
const read = (key: string, value: string) => movementSettings.find((one) => one.key === key)?.read(value, step);

describe('the settings of a movement in a script', () => {
  it('are refused where half of one is no stance, no number, no word', () => {
    expect(read('stands', 'wide to hip-width')).toEqual({ stanceStart: 'wide', stanceEnd: 'hip-width' });
    expect(read('stands', 'wide to nowhere')).toBeNull();
    expect(read('stands', 'nowhere to wide')).toBeNull();
    expect(read('stands', 'any to any')).toEqual({ stanceStart: null, stanceEnd: null });
    expect(read('change', '6 s | And the other.')).toEqual({ sideChangeSeconds: 6, sideChangeLine: 'And the other.' });
    expect(read('change', 'soon | And the other.')).toBeNull();
    expect(read('change', '6 s')).toBeNull();
    expect(read('sides', 'sideways, left first')).toBeNull();
    expect(read('fade', 'full, loud')).toBeNull();
    expect(read('breathes', 'nose-mouth')).toEqual({ breathWay: 'nose-mouth' });
    expect(read('breathes', 'the class’s')).toEqual({ breathWay: null });
  });
});
