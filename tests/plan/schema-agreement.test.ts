import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020';
import { describe, expect, it } from 'vitest';
import { planJsonSchema } from '@/core/plan';
import { planSchema } from '@/core/plan/schema';
import { demoClasses } from '@/demo/classes';
import { itemAt, Random, takenAs } from '@/core/units';
import { randomPlan } from '../support/random-plan';

type Doc = Record<string, unknown>;

const schema = JSON.parse(readFileSync(new URL('../../docs/plan.schema.json', import.meta.url), 'utf8')) as object;
const byJsonSchema = new Ajv2020({ strict: true }).compile(schema);
const byYup = (document: unknown): boolean => planSchema.isValidSync(document, { strict: true });

function ferry(): Doc {
  return takenAs<Doc>(structuredClone(itemAt(demoClasses(), 0).plan));
}

/** Sets the value at a path such as `sections.0.title`; `undefined` removes it. */
function withValue(path: string, value: unknown): Doc {
  const document = ferry();
  const keys = path.split('.');
  let at = document;
  for (const key of keys.slice(0, -1)) at = at[key] as Doc;
  const last = itemAt(keys, keys.length - 1);
  if (value === undefined) delete at[last];
  else at[last] = value;
  return document;
}

const MOVEMENT = 'sections.3.steps.0';
const QUIET = 'sections.4.steps.0';

const LENGTH = {
  id: 'short',
  name: 'Five minutes',
  targetSeconds: 300,
  way: 'skip-steps',
  breathSeconds: null,
  pins: [{ stepId: 's1', skipped: null, rounds: 3, seconds: null }],
};

/** Each of these is wrong in one place. */
const BAD: readonly (readonly [string, unknown])[] = [
  ['title', ''],
  ['title', '   '],
  ['title', 'x'.repeat(201)],
  ['title', 'two\nlines'],
  ['title', 'bell\u0007'],
  ['title', 'broken \ud800 pair'],
  ['title', 7],
  ['title', null],
  ['title', undefined],
  ['focus', 'x'.repeat(2001)],
  ['focus', undefined],
  ['targetSeconds', 9],
  ['targetSeconds', -600],
  ['targetSeconds', 1e9],
  ['targetSeconds', '600'],
  ['targetSeconds', null],
  ['version', 1],
  ['version', 2],
  ['version', 4],
  ['version', (ferry().version as number) + 1],
  ['keepWordsFitted', 'yes'],
  ['voice.pauseSeconds', -1],
  ['voice.pauseSeconds', 31],
  ['format', 'something-else'],
  ['keepOnTarget', 1],
  ['keepOnTarget', undefined],
  ['lengths', null],
  ['lengths', [{}]],
  ['lengths', [{ ...LENGTH, way: 'quickly' }]],
  ['lengths', [{ ...LENGTH, targetSeconds: 5 }]],
  ['lengths', [{ ...LENGTH, breathSeconds: 1 }]],
  ['lengths', [{ ...LENGTH, pins: [{ ...LENGTH.pins[0], rounds: 2.5 }] }]],
  ['lengths', [{ ...LENGTH, pins: [{ ...LENGTH.pins[0], skipped: 'no' }] }]],
  ['lengths', Array.from({ length: 13 }, (_, at) => ({ ...LENGTH, id: `l${at}` }))],
  ['pace.curve', 'wavy'],
  ['pace.closingInhaleShare', 1],
  ['sections.0.paceMultiplier', 0.1],
  ['sections.0.inhaleShare', 'half'],
  ['sections.0.inhaleShare', undefined],
  [MOVEMENT + '.pacedBy', 'drum'],
  [MOVEMENT + '.stanceStart', 'on the table'],
  [MOVEMENT + '.stanceEnd', undefined],
  [MOVEMENT + '.otherNames', ['']],
  [MOVEMENT + '.levels', [{ name: 'Small' }]],
  [MOVEMENT + '.levels', Array.from({ length: 4 }, () => ({ name: 'Small', note: '' }))],
  [MOVEMENT + '.priority', 'urgent'],
  [MOVEMENT + '.skipped', null],
  [MOVEMENT + '.seconds', 0],
  [MOVEMENT + '.source', { movementId: 'm1' }],
  [MOVEMENT + '.source', { movementId: 'm1', revision: 0 }],
  [QUIET + '.goesWith', 'both'],
  [QUIET + '.stance', 'upside down'],
  ['unknown', true],
  ['pace', null],
  ['pace', []],
  ['pace.breathSeconds', 1.9],
  ['pace.breathSeconds', 41],
  ['pace.inhaleShare', 1],
  ['pace.closingRatio', 0],
  ['pace.pinned', 'yes'],
  ['pace.extra', 1],
  ['voice.syllablesPerMinute', 0],
  ['voice.leadSeconds', -1],
  ['sections', {}],
  ['sections', undefined],
  ['sections.0.role', 'prelude'],
  ['sections.0.id', 'has space'],
  ['sections.0.id', ''],
  ['sections.0.steps', null],
  [MOVEMENT + '.kind', 'dance'],
  [MOVEMENT + '.kind', undefined],
  [MOVEMENT + '.rounds', 0],
  [MOVEMENT + '.rounds', 2.5],
  [MOVEMENT + '.rounds', 201],
  [MOVEMENT + '.rounds', -3],
  [MOVEMENT + '.sides', 'both'],
  [MOVEMENT + '.pattern', []],
  [MOVEMENT + '.pattern.0.kind', 'rest'],
  [MOVEMENT + '.pattern.0.share', 0],
  [MOVEMENT + '.pattern.0.share', undefined],
  [MOVEMENT + '.pattern.0.seconds', 0],
  [MOVEMENT + '.pattern.0.full', 'x'.repeat(2001)],
  [MOVEMENT + '.pattern.0.full', null],
  [MOVEMENT + '.fade', []],
  [MOVEMENT + '.fade', ['loud']],
  [MOVEMENT + '.cautions', ['wet floor']],
  [MOVEMENT + '.paceMultiplier', 0],
  [MOVEMENT + '.teach', 'lines'],
  [MOVEMENT + '.teach.0.pauseSeconds', -1],
  [MOVEMENT + '.teach.0.pauseSeconds', 301],
  [QUIET + '.seconds', 0],
  [QUIET + '.seconds', 3601],
  [QUIET + '.eyesClosed', 0],
  [QUIET, null],
  [QUIET, 'silence'],
];

/** Odd, and right. */
const GOOD: readonly (readonly [string, unknown])[] = [
  ['title', 'a --> b <script>alert(1)</script> 🌊 مرحبا'],
  ['title', '🌊'.repeat(200)],
  ['focus', ''],
  ['focus', 'two\nlines\tand a tab'],
  ['sections', []],
  ['sections.0.steps', []],
  ['targetSeconds', 14400],
  ['targetSeconds', 10.5],
  ['lengths', [LENGTH]],
  ['sections.0.paceMultiplier', 1.2],
  [MOVEMENT + '.stanceStart', 'left-forward'],
  [MOVEMENT + '.levels', [{ name: 'Small', note: 'Toes down.', lines: ['Keep the toes down.'] }]],
  [MOVEMENT + '.source', { movementId: 'm1', revision: 3 }],
  [QUIET + '.goesWith', 'previous'],
  [MOVEMENT + '.pattern.0.seconds', 3.3],
  [MOVEMENT + '.pattern.0.share', 4],
  [MOVEMENT + '.cautions', ['twist', 'balance']],
  [QUIET + '.openingLine', ''],
];

describe('docs/plan.schema.json and the schema at the door', () => {
  it('are one: the file is what `npm run plan-schema` writes', () => {
    expect(schema).toEqual(JSON.parse(JSON.stringify(planJsonSchema())));
  });

  it('both take every demo class and random plans', () => {
    const plans = [
      ...demoClasses().map((demo) => demo.plan),
      ...[1, 2, 3, 4, 5].map((seed) => randomPlan(new Random(seed), { steps: 20, breathTenths: 5, choicesAtMost: 5 })),
    ];
    for (const plan of plans) {
      expect(byJsonSchema(plan), JSON.stringify(byJsonSchema.errors)).toBe(true);
      expect(byYup(plan)).toBe(true);
    }
  });

  it.each(GOOD)('both take %s = %j', (path, value) => {
    const document = withValue(path, value);
    expect(byJsonSchema(document), JSON.stringify(byJsonSchema.errors)).toBe(true);
    expect(byYup(document)).toBe(true);
  });

  it.each(BAD)('both refuse %s = %j', (path, value) => {
    const document = withValue(path, value);
    expect(byJsonSchema(document)).toBe(false);
    expect(byYup(document)).toBe(false);
  });

  it.each([null, [], 'plan', 7])('both refuse %j', (document) => {
    expect(byJsonSchema(document)).toBe(false);
    expect(byYup(document)).toBe(false);
  });
});
