import { describe, expect, it } from 'vitest';
import type { SavedRun } from '../prompter/saved-runs';
import { runOf } from './with-log';

const run = (runId: string, startedAt: number) => ({ runId, startedAt }) as SavedRun;

describe('the performance that was recorded', () => {
  it('is the one that began nearest, by how much before or after', () => {
    const runs = [run('old', 0), run('before', 90_000), run('after', 104_500)];
    expect(runOf({ classId: 'c', startedAt: 100_000 }, runs)).toMatchObject({
      run: { runId: 'after' },
      startSeconds: 4.5,
    });
    expect(runOf({ classId: 'c', startedAt: 93_000 }, runs)).toMatchObject({
      run: { runId: 'before' },
      startSeconds: -3,
    });
  });

  it('is none where none was performed about then', () => {
    expect(runOf({ classId: 'c', startedAt: 100_000_000 }, [run('old', 0)])).toBeNull();
    expect(runOf({ classId: 'c', startedAt: 100_000 }, [])).toBeNull();
  });
});
