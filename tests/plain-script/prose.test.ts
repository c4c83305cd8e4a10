import { describe, expect, it } from 'vitest';
import { isMovement } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/* One class told in whole sentences and paragraphs, in fourteen ways: its six steps, each with its amount. */

const TOLD: readonly (readonly [how: string, lines: readonly string[]])[] = [
  [
    'one paragraph',
    [
      'We start with two minutes of quiet standing. Then come eight shoulder rolls and six hip circles each way. After that we do Lifting the Water eight times, breathing in as the arms rise. Parting the Reeds follows, four times on each side. We finish with one minute of sitting.',
    ],
  ],
  [
    'two paragraphs',
    [
      'First we stand quietly for two minutes. Next are shoulder rolls, eight of them, then hip circles, six each way.',
      '',
      'The main part is Lifting the Water, eight times, and then Parting the Reeds, four on each side. At the end we sit for a minute.',
    ],
  ],
  [
    'imperatives',
    [
      'Stand quietly for two minutes. Roll the shoulders eight times. Circle the hips six times each way. Lift the water eight times. Part the reeds four times on each side. Sit for one minute.',
    ],
  ],
  [
    'they',
    [
      'They stand quietly for two minutes first. Then they roll the shoulders eight times and circle the hips six times each way. Now Lifting the Water, 8 times. Then Parting the Reeds, 4 each side. At the end they sit for one minute and that is it.',
    ],
  ],
  [
    'with cues',
    [
      'Stand quietly for two minutes, feet under the hips. Roll the shoulders eight times, big and slow. Circle the hips six times each way. Keep the knees soft. Lift the water eight times. Breathe in as it rises. Part the reeds four times on each side. Sit for one minute.',
    ],
  ],
  [
    'terse para',
    [
      'Stand 2 min. Shoulder rolls x8. Hip circles 6 each way. Lifting the Water x8. Parting the Reeds 4 each side. Sit 1 min.',
    ],
  ],
  [
    'semi para',
    [
      'Stand 2 min; shoulder rolls x8; hip circles 6 each way; Lifting the Water x8; Parting the Reeds 4 each side; sit 1 min',
    ],
  ],
  [
    'comma para',
    [
      'Stand 2 min, shoulder rolls x8, hip circles 6 each way, Lifting the Water x8, Parting the Reeds 4 each side, sit 1 min',
    ],
  ],
  [
    'comma words',
    [
      'We stand for two minutes, then roll the shoulders eight times, then circle the hips six times each way, then lift the water eight times, then part the reeds four times each side and then sit for a minute.',
    ],
  ],
  [
    'lines wrapped',
    [
      'We start with two minutes of quiet standing. Then come',
      'eight shoulder rolls and six hip circles each way. After that',
      'we do Lifting the Water eight times, breathing in as the arms',
      'rise. Parting the Reeds follows, four times on each side.',
      'We finish with one minute of sitting.',
    ],
  ],
  [
    'sentences per line',
    [
      'We start with two minutes of quiet standing.',
      'Then come eight shoulder rolls and six hip circles each way.',
      'After that we do Lifting the Water eight times, breathing in as the arms rise.',
      'Parting the Reeds follows, four times on each side.',
      'We finish with one minute of sitting.',
    ],
  ],
  [
    'past',
    [
      'Last week we stood quietly for two minutes. Then we rolled the shoulders eight times and circled the hips six times each way. We did Lifting the Water eight times. After that we did Parting the Reeds four times on each side. We ended by sitting for one minute.',
    ],
  ],
  [
    'ing',
    [
      'Standing quietly for two minutes. Rolling the shoulders eight times. Circling the hips six times each way. Lifting the water eight times. Parting the reeds four times on each side. Sitting for one minute.',
    ],
  ],
  [
    'numbers first',
    [
      'Two minutes of quiet standing. Eight shoulder rolls. Six hip circles each way. Eight times Lifting the Water. Four times each side Parting the Reeds. One minute of sitting.',
    ],
  ],
];

const NAMES = [/^(?:quiet(?:ly)? )?stand/i, /shoulder/i, /hip/i, /water/i, /reeds/i, /^(?:we |quiet )?sit/i];
const AMOUNTS = ['120 s', '8 x', '6 x', '8 x', '4 x', '60 s'];
const WORDS_AT_MOST = 5;

describe('a class in prose', () => {
  it.each(TOLD)('%s', (_, lines) => {
    const { plan } = readScript(countingIds('p'), ['Harbour class', '', ...lines].join('\n'));
    const steps = plan.sections.flatMap((section) => section.steps).filter(({ kind }) => kind !== 'talk');
    const amounts = steps.map((step) => {
      if (isMovement(step)) return step.pacedBy === 'breath' ? `${step.rounds} x` : `${step.seconds} s`;
      return step.kind === 'silence' ? `${step.seconds} s` : '';
    });
    expect(amounts).toEqual(AMOUNTS);
    steps.forEach(({ name }, at) => {
      expect(name).toMatch(NAMES[at] ?? /$^/);
      expect(name.split(' ').length).toBeLessThanOrEqual(WORDS_AT_MOST);
    });
  });
});
