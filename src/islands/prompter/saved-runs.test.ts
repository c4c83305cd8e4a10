import { itemAt } from '@/core/units';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshBrowser, store } from '../../../tests/support/browser-store';
import { forgetOldRuns, savePulse, saveRun, savedRuns, logOf, runToResume, secondsSinceStop } from './saved-runs';

beforeEach(() => freshBrowser('tab'));
afterEach(() => vi.unstubAllGlobals());

const HOUR = 3_600_000;
const start = { event: 'start', atSeconds: 0, placeSeconds: 0 } as const;
const jump = { event: 'next-line', atSeconds: 30, placeSeconds: 42 } as const;
const end = { event: 'end', atSeconds: 300, placeSeconds: 300 } as const;

function keep(runId: string, startedAt: number, events: Parameters<typeof logOf>[1], classId = 'c1'): void {
  saveRun({ classId, runId, startedAt, runtimeSeconds: 300, log: logOf('Class', events) });
}

describe('performances kept in the browser', () => {
  it('are each by themselves, by class, the newest first', () => {
    keep('first', 1_000, [start, end]);
    keep('second', 2_000, [start, jump]);
    keep('other', 3_000, [start], 'c2');
    expect(savedRuns('c1').map(({ runId, brokenOff }) => [runId, brokenOff === null])).toEqual([
      ['second', false],
      ['first', true],
    ]);
    expect(savedRuns('c2').length).toBe(1);
    expect(savedRuns('c3')).toEqual([]);
  });

  it('know where they stood: by the last second noted, or by what was done after it', () => {
    keep('run', 0, [start, jump]);
    expect(itemAt(savedRuns('c1'), 0).brokenOff).toMatchObject({ atSeconds: 30, placeSeconds: 42 });
    savePulse({ classId: 'c1', runId: 'run' }, { atSeconds: 75, placeSeconds: 87 });
    expect(itemAt(savedRuns('c1'), 0).brokenOff).toEqual({ atSeconds: 75, placeSeconds: 87 });
    keep('run', 0, [start, jump, { ...jump, atSeconds: 76, placeSeconds: 90 }]);
    expect(itemAt(savedRuns('c1'), 0).brokenOff).toMatchObject({ atSeconds: 76, placeSeconds: 90 });
  });

  it('are offered to be resumed when the newest broke off not long ago, in a class as long', () => {
    keep('run', 1_000, [start, jump]);
    expect(runToResume('c1', 300.2, 61_000)?.runId).toBe('run');
    expect(secondsSinceStop(itemAt(savedRuns('c1'), 0), 61_000)).toBe(30);
    expect(secondsSinceStop(itemAt(savedRuns('c1'), 0), 0)).toBe(0);
    expect(runToResume('c1', 310, 61_000)).toBeNull();
    expect(runToResume('c1', 300, 13 * HOUR)).toBeNull();
    keep('ended', 2_000, [start, end]);
    expect(runToResume('c1', 300, 61_000)).toBeNull();
  });

  it('outlive one that cannot be read, and the oldest go beyond forty', () => {
    store.local.set('performance/c1/broken', '{"classId":');
    for (let at = 0; at < 43; at++) keep(`run-${at}`, at, [start]);
    expect(savedRuns('c1').length).toBe(43);
    forgetOldRuns('c1');
    expect(savedRuns('c1').map(({ runId }) => runId)).toEqual(Array.from({ length: 40 }, (_, at) => `run-${42 - at}`));
  });
});
