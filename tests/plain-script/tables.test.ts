import { describe, expect, it } from 'vitest';
import { isMovement, type ClassPlan } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { countingIds } from '../support/chance';

/* Tables as people copy them out of a sheet or a document: what the head over a column says, is what stands in it. */

const TABLES: readonly (readonly [name: string, rows: readonly string[], steps: string])[] = [
  [
    'exercise|notes no amounts',
    [
      '| Exercise | Notes |',
      '|---|---|',
      '| Shoulder rolls | big and slow |',
      '| Hip circles | both ways |',
      '| Lifting the Water | breathe |',
    ],
    'Shoulder rolls; Hip circles; Lifting the Water',
  ],
  [
    'total row',
    ['Exercise\tMin', 'Shoulder rolls\t2', 'Hip circles\t3', 'Standing quietly\t5', 'Total\t10'],
    'Shoulder rolls|120; Hip circles|180; Standing quietly|300',
  ],
  [
    'total row md',
    ['| Exercise | Minutes |', '|--|--|', '| Shoulder rolls | 2 |', '| Hip circles | 3 |', '| **Total** | **5** |'],
    'Shoulder rolls|120; Hip circles|180',
  ],
  [
    'parts first',
    [
      'Part\tExercise\tReps',
      'Warm-up\tShoulder rolls\t8',
      '\tHip circles\t6 each way',
      'Main\tLifting the Water\t8',
      '\tParting the Reeds\t4 each side',
    ],
    'Shoulder rolls|8; Hip circles|6|both-directions; Lifting the Water|8; Parting the Reeds|4|alternating',
  ],
  [
    'parts unusual',
    [
      '| Section | Movement | Count |',
      '|---|---|---|',
      '| Joints | Shoulder rolls | 8 |',
      '| Joints | Hip circles | 6 each way |',
      '| Water | Lifting the Water | 8 |',
    ],
    'Shoulder rolls|8; Hip circles|6|both-directions; Lifting the Water|8',
  ],
  [
    'sides column',
    ['Movement;Side;Reps', 'Shoulder rolls;both;8', 'Parting the Reeds;L/R;4', 'Crane;each side;3'],
    'Shoulder rolls|8; Parting the Reeds|4|alternating; Crane|3|alternating',
  ],
  [
    'breath column',
    [
      'Movement | Reps | Breath',
      'Shoulder rolls | 8 | natural',
      'Lifting the Water | 8 | in up, out down',
      'Rowing | 6 | out on the pull',
    ],
    'Shoulder rolls|8; Lifting the Water|8; Rowing|6',
  ],
  [
    'seconds',
    ['Exercise,Seconds,Notes', 'Shoulder rolls,60,', 'Hip circles,90,slow', 'Standing quietly,120,eyes closed'],
    'Shoulder rolls|60; Hip circles|90; Standing quietly|120',
  ],
  [
    'mm:ss durations',
    ['Exercise,Duration', 'Shoulder rolls,1:00', 'Hip circles,1:30', 'Standing quietly,2:00'],
    'Shoulder rolls|60; Hip circles|90; Standing quietly|120',
  ],
  [
    'start end',
    ['Start,End,Exercise', '0:00,1:00,Shoulder rolls', '1:00,2:30,Hip circles', '2:30,4:30,Standing quietly'],
    'Shoulder rolls|60; Hip circles|90; Standing quietly|120',
  ],
  [
    'bold head',
    [
      '| **Time** | **What** | **Reps** |',
      '|:-:|---|---|',
      '| 0:00 | **Shoulder rolls** | x8 |',
      '| 1:00 | **Hip circles** | 6 each way |',
      '| 2:30 | **Standing quietly** | |',
      '| 4:30 | **Thanks** | |',
    ],
    'Shoulder rolls|8; Hip circles|6|both-directions; Standing quietly|120',
  ],
  [
    'number first',
    ['No. | Form | Times', '1 | Lifting the Water | 8', '2 | Parting the Reeds | 4 each side', '3 | Rowing | six'],
    'Lifting the Water|8; Parting the Reeds|4|alternating; Rowing|6',
  ],
  [
    'empty head cell',
    [
      '| | Exercise | Reps |',
      '|---|---|---|',
      '| 1 | Shoulder rolls | 8 |',
      '| 2 | Hip circles | 6 |',
      '| 3 | Rowing | 6 |',
    ],
    'Shoulder rolls|8; Hip circles|6; Rowing|6',
  ],
  [
    'plus table',
    [
      '+----------------+------+',
      '| Exercise       | Reps |',
      '+----------------+------+',
      '| Shoulder rolls | 8    |',
      '| Hip circles    | 6    |',
      '+----------------+------+',
    ],
    'Shoulder rolls|8; Hip circles|6',
  ],
  [
    'box table',
    [
      '┌──────────┬──────┐',
      '│ Exercise │ Reps │',
      '├──────────┼──────┤',
      '│ Shoulder rolls │ 8 │',
      '│ Hip circles │ 6 │',
      '└──────────┴──────┘',
    ],
    'Shoulder rolls|8; Hip circles|6',
  ],
  [
    'no head pipes',
    ['| Shoulder rolls | 8 |', '| Hip circles | 6 each way |', '| Standing quietly | 2 min |'],
    'Shoulder rolls|8; Hip circles|6|both-directions; Standing quietly|120',
  ],
  [
    'no head tabs',
    ['Shoulder rolls\t8', 'Hip circles\t6 each way', 'Standing quietly\t2 min'],
    'Shoulder rolls|8; Hip circles|6|both-directions; Standing quietly|120',
  ],
  [
    'no head csv',
    ['Shoulder rolls,8', 'Hip circles,6 each way', 'Standing quietly,2 min'],
    'Shoulder rolls|8; Hip circles|6|both-directions; Standing quietly|120',
  ],
  [
    'section rows',
    ['Exercise\tReps', 'Warm-up', 'Shoulder rolls\t8', 'Hip circles\t6 each way', 'Main', 'Lifting the Water\t8'],
    'Shoulder rolls|8; Hip circles|6|both-directions; Lifting the Water|8',
  ],
  [
    'section rows pipes',
    [
      '| Exercise | Reps |',
      '|---|---|',
      '| **Warm-up** | |',
      '| Shoulder rolls | 8 |',
      '| Hip circles | 6 each way |',
      '| **Main** | |',
      '| Lifting the Water | 8 |',
    ],
    'Shoulder rolls|8; Hip circles|6|both-directions; Lifting the Water|8',
  ],
  [
    'two tables',
    [
      'Warm-up',
      '',
      '| Exercise | Reps |',
      '|---|---|',
      '| Shoulder rolls | 8 |',
      '| Hip circles | 6 |',
      '',
      'Main',
      '',
      '| Exercise | Reps |',
      '|---|---|',
      '| Lifting the Water | 8 |',
      '| Rowing | 6 |',
    ],
    'Shoulder rolls|8; Hip circles|6; Lifting the Water|8; Rowing|6',
  ],
  [
    'semi colon lead',
    ['Min;Exercise;Cue', '2;Shoulder rolls;soft jaw', '3;Hip circles;knees soft', '5;Standing quietly;eyes closed'],
    'Shoulder rolls|120; Hip circles|180; Standing quietly|300',
  ],
  [
    'how many words',
    ['What\tHow many', 'Shoulder rolls\teight', 'Hip circles\tsix each way', 'Standing quietly\ttwo minutes'],
    'Shoulder rolls|8; Hip circles|6|both-directions; Standing quietly|120',
  ],
  [
    'time 2 min text',
    ['Activity | Time', 'Shoulder rolls | 2 min', 'Hip circles | 3 min', 'Standing quietly | 90 sec'],
    'Shoulder rolls|120; Hip circles|180; Standing quietly|90',
  ],
  [
    'ranges',
    ['Exercise\tReps', 'Shoulder rolls\t6-8', 'Hip circles\t4–6', 'Rowing\t8 to 10'],
    'Shoulder rolls|7; Hip circles|5; Rowing|9',
  ],
  ['sets reps', ['Exercise,Sets,Reps', 'Shoulder rolls,2,8', 'Rowing,3,6'], 'Shoulder rolls|16; Rowing|18'],
  [
    'reps or time',
    ['Exercise,Reps/Time', 'Shoulder rolls,8', 'Standing quietly,2 min', 'Rowing,6 each side'],
    'Shoulder rolls|8; Standing quietly|120; Rowing|6|alternating',
  ],
  [
    'cue with comma',
    ['Exercise,Reps,Cue', 'Shoulder rolls,8,"soft jaw, long neck"', 'Rowing,6,"pull, then glide"'],
    'Shoulder rolls|8; Rowing|6',
  ],
  [
    'level columns',
    [
      'Movement | Reps | Easier | Caution',
      'Shoulder rolls | 8 | smaller circles | sore shoulders: skip',
      'Rowing | 6 | seated | keep the back long',
    ],
    'Shoulder rolls|8; Rowing|6',
  ],
];

function stepsOf({ sections }: ClassPlan): readonly string[] {
  return sections.flatMap(({ steps }) =>
    steps.flatMap((step) => {
      if (isMovement(step)) {
        const sides = step.sides === 'together' ? '' : `|${step.sides}`;
        return [`${step.name}|${step.pacedBy === 'clock' ? step.seconds : step.rounds}${sides}`];
      }
      return step.kind === 'silence' ? [`${step.name}|${step.seconds}`] : [];
    }),
  );
}

const read = (rows: readonly string[]): ClassPlan =>
  readScript(countingIds('t'), ['Harbour class', '', ...rows].join('\n')).plan;

describe('tables', () => {
  it.each(TABLES)('%s', (_, rows, steps) => {
    const found = stepsOf(read(rows)).join('; ');
    expect(steps.includes('|') ? found : found.replace(/\|[^;]*/g, '')).toBe(steps);
  });

  it('keeps what stands in the other columns with its step', () => {
    const { sections } = read([
      'Movement | Reps | Easier | Caution | Breath',
      'Lifting the Water | 8 | smaller circles | sore shoulders: lower | in up, out down',
      'Rowing | 6 | seated | | ',
    ]);
    const [first] = sections.flatMap(({ steps }) => steps).filter(isMovement);
    expect(first?.levels.map(({ lines }) => lines)).toEqual([['smaller circles']]);
    expect(first?.moments.caution).toBe('sore shoulders: lower');
    expect(first?.pattern.map(({ kind }) => kind)).toEqual(['inhale', 'exhale']);
  });

  it('loses nothing of a line that holds the marks that rows are written with', () => {
    const { lines } = readScript(countingIds('t'), 'Harbour class\n\nRowing\u001Fthe\u001Fboat x8\n\u001ESoft knees');
    expect([lines[2]?.words, lines[3]?.words]).toEqual(['Rowing the boat', 'Soft knees']);
  });

  it('is no table without a head that names what is done', () => {
    const lines = ['Lift, open, soften', 'Shoulders, elbows, wrists', 'Slowly, gently, easily'];
    expect(stepsOf(read(lines))).toEqual([]);
  });
});
