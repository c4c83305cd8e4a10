import { firstItems } from '@/core/units';
import { describe, expect, it } from 'vitest';
import { PRESET_IDS } from '@/core/breath';
import { CAUTIONS, CONTENT_FIELDS, makeContent, STANCES } from '@/core/movement';
import { comparePlans, FIT_WAYS, type PlanChange } from '@/core/plan';
import { LINE_KINDS, readScript } from '@/core/plain-script';
import { demoClasses } from '@/demo/classes';
import { tempoWords, WAY_WORDS } from '@/messages/fit';
import { planChangeWords } from '@/messages/history';
import { CAUTION_WORDS, FIELD_WORDS, patternNoteWords, PRESET_WORDS, STANCE_WORDS } from '@/messages/movement';
import { valueWords } from '@/messages/movement-values';
import { countWords, LINE_KIND_WORDS, lineCounts } from '@/messages/script';
import { countingIds } from '../support/chance';

describe('the words of planning', () => {
  it('exist for every value, and end no caution in a verdict or a promise', () => {
    for (const preset of PRESET_IDS) expect(PRESET_WORDS[preset]).not.toBe('');
    for (const stance of STANCES) expect(STANCE_WORDS[stance]).not.toBe('');
    for (const kind of LINE_KINDS) expect(LINE_KIND_WORDS[kind]).not.toBe('');
    for (const way of FIT_WAYS) expect(WAY_WORDS[way].says).toMatch(/\.$/);
    for (const caution of CAUTIONS) {
      expect(CAUTION_WORDS[caution].says).toMatch(/\.$/);
      expect(CAUTION_WORDS[caution].says).not.toMatch(/\bsafe\b|\bheal|\bcure/i);
    }
  });

  it('tell a movement’s fields and values', () => {
    let count = 0;
    const content = makeContent(() => `w${++count}`, 'Bell buoy', {
      cautions: ['twist'],
      levels: [{ name: 'Small', note: 'Heels down.', lines: [] }],
      inhaleShare: 0.4,
      stanceStart: 'wide',
    });
    for (const field of CONTENT_FIELDS) {
      expect(FIELD_WORDS[field]).not.toBe('');
      expect(valueWords(field, content), field).not.toBe('');
      expect(valueWords(field, content), field).not.toContain('[object');
    }
    expect(valueWords('levels', content)).toBe('Small: Heels down.');
    expect(valueWords('inhaleShare', content)).toBe('40 %');
    expect(valueWords('seated', content)).toBe('none');
  });

  it('name the source of every threshold on the breath', () => {
    expect(patternNoteWords({ code: 'quicker-than-slow', perMinute: 11 })).toContain('Breathe 13:298');
    expect(patternNoteWords({ code: 'slower-than-slow', perMinute: 3 })).toContain('4 to 10 a minute');
    expect(patternNoteWords({ code: 'quicker-than-resting', perMinute: 24 })).toContain('NEWS2');
    expect(patternNoteWords({ code: 'long-rest', index: 1, seconds: 5 })).toContain('no published source');
  });

  it('tell every change between two states, tempos and counts', () => {
    const [ferry, menders] = firstItems(demoClasses(), 2);
    const changes: PlanChange[] = [
      ...comparePlans(ferry.plan, menders.plan),
      ...comparePlans(ferry.plan, { ...ferry.plan, lengths: [], keepOnTarget: true }),
      { code: 'step-moved', name: 'Heron', to: 'Closing' },
      { code: 'pinned', name: 'Heron' },
      { code: 'order' },
    ];
    for (const change of changes) expect(planChangeWords(change)).toMatch(/^[A-Z]/);
    expect(tempoWords(1.1)).toBe('10 % slower');
    expect(tempoWords(0.9)).toBe('10 % quicker');
    expect(tempoWords(1)).toBe('as usual');
    expect(countWords({ rounds: 1, sides: 'both-directions', seconds: [90, 60, 120], ownPace: true, hold: 3 })).toBe(
      '1 round, both directions, 1:30, own pace, hold 3 s',
    );
    expect(countWords({ rounds: 6, sides: 'one-side', startSide: 'right' })).toBe('6 rounds, right side only');
    expect(countWords({ held: true, seconds: [45, 34, 68], sides: 'one-then-other', startSide: 'right' })).toBe(
      'one side, then the other, right first, held 0:45',
    );
  });

  it('tell what stands in a line of a script, and where in a step it is said', () => {
    const script = [
      'Harbour',
      '1. Rowing x6, in 4 out 6',
      'round 3: softer',
      'every other round: knees',
      'every breath: soft',
      'last two: slower',
      'the last round: small',
      'halfway: nearly home',
      '2. Sway 1 min',
      'after 20 seconds: look up',
      'wrists 6, elbows 8, knees 4',
      'neck 4, hips 6',
    ].join('\n');
    expect(readScript(countingIds('w'), script).lines.map(lineCounts)).toEqual([
      '',
      '6 rounds, in 4 s, out 6 s',
      'on round 3',
      'every 2 rounds',
      'every round',
      'in the last 2 rounds',
      'on the last round',
      'where there is room',
      '1:00',
      'at 0:20',
      'and 2 more steps',
      'and 1 more step',
    ]);
  });
});
