import { describe, expect, it } from 'vitest';
import type { ListedClass } from '@/api/classes';
import { ALL, comesWords, findListed, isArranged, tagsOf, whenWords } from './listed';

const listed = (title: string, part: Partial<ListedClass> = {}): ListedClass => ({
  id: title,
  title,
  targetSeconds: 600,
  runtimeSeconds: 600,
  takes: 0,
  lastOffSeconds: null,
  about: '',
  shape: '',
  tags: [],
  nextLive: null,
  seriesId: null,
  seriesOrder: null,
  updatedAt: '2026-05-01T10:00:00.000Z',
  ...part,
});

const CLASSES = [
  listed('Ebb', {
    tags: ['evening'],
    about: 'slow breath',
    runtimeSeconds: 1200,
    updatedAt: '2026-05-03T10:00:00.000Z',
  }),
  listed('Dawn', { tags: ['morning', 'standing'], nextLive: '2026-06-01T10:00:00Z' }),
  listed('Crane', { tags: ['morning'], runtimeSeconds: 300, nextLive: '2026-05-20T10:00:00Z' }),
];
const titles = (found: readonly ListedClass[]): string => found.map(({ title }) => title).join(' ');

describe('the list', () => {
  it('is as it was arranged until something is asked of it', () => {
    expect(isArranged(ALL)).toBe(true);
    expect(isArranged({ ...ALL, words: ' ' })).toBe(true);
    expect(isArranged({ ...ALL, tag: 'evening' })).toBe(false);
    expect(titles(findListed(CLASSES, ALL))).toBe('Ebb Dawn Crane');
  });

  it('is filtered by title, focus and tag', () => {
    expect(titles(findListed(CLASSES, { ...ALL, words: 'slow' }))).toBe('Ebb');
    expect(titles(findListed(CLASSES, { ...ALL, words: 'stand' }))).toBe('Dawn');
    expect(titles(findListed(CLASSES, { ...ALL, tag: 'morning' }))).toBe('Dawn Crane');
    expect(titles(findListed(CLASSES, { ...ALL, tag: 'morning', words: 'ebb' }))).toBe('');
    expect(tagsOf(CLASSES)).toEqual(['evening', 'morning', 'standing']);
  });

  it('is sorted', () => {
    const sorted = (sort: 'edited' | 'title' | 'length' | 'live'): string =>
      titles(findListed(CLASSES, { ...ALL, sort }));
    expect(sorted('edited')).toBe('Ebb Dawn Crane');
    expect(sorted('title')).toBe('Crane Dawn Ebb');
    expect(sorted('length')).toBe('Crane Dawn Ebb');
    expect(sorted('live')).toBe('Crane Dawn Ebb');
  });
});

describe('when it was, and when it comes', () => {
  const now = new Date(2026, 4, 14, 12, 0);
  it.each([
    [new Date(2026, 4, 14, 9, 0), 'today'],
    [new Date(2026, 4, 13, 23, 59), 'yesterday'],
    [new Date(2026, 4, 10, 9, 0), 'on Sunday'],
    [new Date(2026, 4, 5, 9, 0), 'last week'],
    [new Date(2026, 3, 20, 9, 0), '3 weeks ago'],
    [new Date(2026, 1, 3, 9, 0), 'in February'],
    [new Date(2024, 9, 3, 9, 0), 'in October 2024'],
  ])('%s is %s', (at, words) => expect(whenWords(at.toISOString(), now)).toBe(words));

  it.each([
    [new Date(2026, 4, 14, 18, 0), 'today 18:00'],
    [new Date(2026, 4, 15, 7, 30), 'tomorrow 07:30'],
    [new Date(2026, 4, 18, 18, 0), 'Monday 18:00'],
    [new Date(2026, 5, 18, 18, 0), '18 Jun 18:00'],
    [new Date(2027, 5, 18, 18, 0), '18 Jun 2027 18:00'],
  ])('%s comes %s', (at, words) => expect(comesWords(at.toISOString(), now)).toBe(words));
});
