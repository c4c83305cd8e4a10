import { makePhase, spokenLines } from '@/core/movement';
import { makeTalk, type ClassPlan, type Step } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { both, line, plain, said, teach, withStep, withSteps, withText } from './make-faults';

/** One fault put into the clean demo class: which check it is for, where it must be found, and how it is made. */
export interface Fault {
  readonly check: string;
  /** Name of the step where the finding stands; `null` for the whole class. */
  readonly at: string | null;
  readonly make: (plan: ClassPlan) => ClassPlan;
}

const lamp = 'Raising the lamp';
const nets = 'Setting down the nets';
const heron = 'Heron on the piling';
const gulls = 'Gulls leaving the wall';
const light = 'Turning the lighthouse';
const stove = 'Banking the stove';
const post = 'Mooring post';

export const FAULTS: readonly Fault[] = [
  // time
  {
    check: 'line-too-long',
    at: lamp,
    make: withStep(lamp, (step) =>
      said(step, 1, { full: 'Breathe out, and set the lamp down so slowly that nobody on the water sees it move.' }),
    ),
  },
  {
    check: 'line-late',
    at: gulls,
    make: withStep(gulls, (step) => teach(step, ['And easy in the shoulders.', 0])),
  },
  {
    check: 'lines-close',
    at: lamp,
    // A line that would run over its time, begun so much earlier that it ends just as the next begins.
    make: (plan) => {
      const text = 'Breathe in, and the wrists carry the old lamp up to the ribs.';
      const long = withStep(lamp, (step) => said(step, 0, { full: text }))(plan);
      const cue = expandPlan(long).cues.find((one) => one.text === text);
      if (!cue) throw new Error('no such line');
      const leadSeconds = long.voice.leadSeconds + (cue.endSeconds - cue.dueSeconds) + 0.05;
      return withStep(lamp, (step) => said(step, 0, { leadSeconds }))(long);
    },
  },
  { check: 'breath-range', at: 'Coiling the line', make: withStep('Coiling the line', { paceMultiplier: 0.64 }) },
  { check: 'rest-long', at: heron, make: withStep(heron, (step) => said(step, 1, { seconds: 5 })) },
  {
    check: 'rest-opt-out',
    at: heron,
    make: withText('Leave out the rest at the top whenever you like.', 'Stand tall at the top.'),
  },
  { check: 'off-target', at: null, make: (plan) => ({ ...plan, targetSeconds: 630 }) },
  {
    check: 'teach-long',
    at: lamp,
    make: withStep(lamp, (step) => teach(step, ['The elbows hang, the wrists are light.', 14])),
  },
  {
    check: 'talk-share',
    at: post,
    make: withStep(post, {
      openingLine:
        'Mooring post. Stand, and let the breath go its own way. The water comes up the wall, stone by stone. It stays a while, and turns. Nobody asks it to. The rope goes slack, and the boats swing round to face the other shore. I will call you back.',
      seconds: 30,
    }),
  },
  {
    check: 'eyes-silence',
    at: post,
    make: withStep(post, {
      eyesClosed: true,
      seconds: 130,
      callBackLine: 'Open your eyes, and come back to the hall.',
    }),
  },
  {
    check: 'closing-short',
    at: 'Stamping the boots',
    make: withSteps('closing', -1, (newId) => [
      plain(newId, 'Stamping the boots', {
        cautions: ['shaking'],
        teach: spokenLines(newId, [['Stamping the boots, gently.', 2]]),
      }),
    ]),
  },
  {
    check: 'standing-silent',
    at: post,
    make: withStep(post, { seconds: 400, maxSeconds: 600 }),
  },
  { check: 'pace-jump', at: stove, make: withStep(stove, { paceMultiplier: 1.65 }) },
  // count
  {
    check: 'sides-unequal',
    at: 'Cast off, right',
    make: withSteps('main', 1, (newId) =>
      (['left', 'right'] as const).map((side) =>
        plain(newId, `Cast off, ${side}`, {
          rounds: side === 'left' ? 4 : 3,
          teach: spokenLines(newId, [[`Cast off, ${side}.`, 2]]),
        }),
      ),
    ),
  },
  { check: 'last-unannounced', at: gulls, make: withStep(gulls, { lastRoundLine: '' }) },
  {
    check: 'last-twice',
    at: nets,
    make: withStep(nets, (step) => ({
      ...said(step, 3, { short: 'Out. The last one.' }),
      fade: ['full', 'full', 'short'],
    })),
  },
  { check: 'last-early', at: gulls, make: withStep(gulls, (step) => said(step, 1, { short: 'Out, last one.' })) },
  {
    check: 'number-wrong',
    at: nets,
    make: withStep(nets, (step) => teach(step, ['We do this five times.', 2])),
  },
  {
    check: 'odd-rounds',
    at: 'Casting',
    make: withSteps('main', 1, (newId) => [
      plain(newId, 'Casting', {
        pattern: [
          makePhase(newId, { kind: 'inhale', full: 'In, reach.' }),
          makePhase(newId, { kind: 'exhale', full: 'Out, the other arm.' }),
        ],
      }),
    ]),
  },
  {
    check: 'rounds-style',
    at: 'Coiling the line',
    make: both(
      (plan) => ({ ...plan, style: { ...plan.style, rounds: 'threes' } }),
      ...[lamp, light, heron, nets, gulls, stove].map((name) => withStep(name, { rounds: 3 })),
      withStep('Coiling the line', { rounds: 4 }),
    ),
  },
  // side and view
  {
    check: 'side-wrong',
    at: light,
    make: withStep(light, (step) => said(step, 0, { short: 'In, to the left.' })),
  },
  {
    check: 'side-unsaid',
    at: light,
    make: withStep(light, (step) => said(step, 0, { full: 'Breathe in, turn the light.' })),
  },
  {
    check: 'side-mirrored',
    at: 'Casting',
    make: withSteps('main', 1, (newId) => [
      plain(newId, 'Casting', {
        blockId: 'both',
        teach: spokenLines(newId, [['Casting. The left hand throws.', 2]]),
      }),
    ]),
  },
  {
    check: 'clockwise-view',
    at: 'Coiling the line',
    make: withStep('Coiling the line', (step) => teach(step, ['Begin {way}.', 2])),
  },
  {
    check: 'view-unsaid',
    at: gulls,
    make: both(withStep(gulls, { view: 'side' }), withStep(stove, { view: 'side' })),
  },
  {
    check: 'watch-eyes-closed',
    at: post,
    make: withStep(post, {
      eyesClosed: true,
      seconds: 60,
      openingLine: 'Mooring post. Watch how my hands rest. I will call you back.',
      callBackLine: 'Open your eyes, and come back to the hall.',
    }),
  },
  { check: 'eyes-not-opened', at: post, make: withStep(post, { eyesClosed: true, seconds: 60 }) },
  {
    check: 'eyes-balance',
    at: heron,
    make: both(
      withText('Step in, and stand where you can reach', 'Step in, close your eyes, and stand where you can reach'),
      withStep(nets, (step) => teach(step, ['Open your eyes.', 2])),
    ),
  },
  // safety
  {
    check: 'caution-missing',
    at: light,
    make: withText('Turn from the waist, and keep the knees over the feet.', 'Turn as the lamp turns.'),
  },
  {
    check: 'caution-late',
    at: light,
    make: both(
      withText('Turn from the waist, and keep the knees over the feet.', 'Turn as the lamp turns.'),
      withStep(light, (step) => said(step, 1, { full: 'Out, knees over the feet.' })),
    ),
  },
  {
    check: 'no-easier-level',
    at: nets,
    make: withText(
      'A small lean is enough; bend the knees and fold at the hips.',
      'Bend the knees and fold at the hips.',
    ),
  },
  {
    check: 'no-seated',
    at: null,
    make: both(
      withText('Rest when you like, and sit if you like.', 'Rest when you like.'),
      withText(/a wall or a chair/g, 'a wall'),
      (plan) => ({ ...plan, dismissed: [{ check: 'class-caution', stepId: null, detail: '', reason: 'All stand.' }] }),
    ),
  },
  {
    check: 'class-caution',
    at: null,
    make: withText('Stay within about seventy per cent of what you could do. Nothing', 'Go easy. Nothing'),
  },
  {
    check: 'bend-rise',
    at: nets,
    make: withStep(nets, (step) => said(step, 2, { share: 0.2, full: 'In, up.', short: 'Up.' })),
  },
  {
    check: 'head-low',
    at: lamp,
    make: withStep(lamp, (step) => teach(step, ['Let the head hang.', 2])),
  },
  {
    check: 'caution-unclear',
    at: light,
    make: withText('Turn from the waist, and keep the knees over the feet.', 'If you prefer, look at the lamp.'),
  },
  {
    check: 'hold-long',
    at: 'Holding the keg',
    make: withSteps('main', 1, (newId) => [
      plain(newId, 'Holding the keg', {
        pacedBy: 'held',
        seconds: 100,
        cautions: ['arms-high'],
        pattern: [makePhase(newId, { kind: 'hold', full: '' })],
        teach: spokenLines(newId, [['Holding the keg. Smaller if the shoulders are sore.', 2]]),
      }),
    ]),
  },
  {
    check: 'caution-untagged',
    at: lamp,
    make: withStep(lamp, (step) => teach(step, ['Drum lightly on the belly.', 2])),
  },
  {
    check: 'breath-forced',
    at: gulls,
    make: withStep(gulls, (step) => said(step, 0, { full: 'In, and hold the breath.' })),
  },
  {
    check: 'balance-support',
    at: heron,
    make: both(
      withText(', and stand where you can reach a wall or a chair.', '.'),
      withText('Keep a wall or a chair at hand.', 'Stand tall.'),
      withText(
        'The toes may stay down; lift the heel, or the whole foot, if you are steady.',
        'Lift the heel only a little, or the whole foot.',
      ),
    ),
  },
  // flow
  {
    check: 'stance-broken',
    at: light,
    make: (plan) => ({
      ...plan,
      sections: plan.sections
        .map((section) => ({
          ...section,
          steps: section.steps.map((step): Step =>
            step.name === lamp && step.kind === 'movement' ? { ...step, stanceEnd: 'wide' } : step,
          ),
        }))
        .map((section) => ({ ...section, steps: section.steps.filter((step) => step.name !== 'Feet apart') })),
    }),
  },
  {
    check: 'no-arrival',
    at: null,
    make: (plan) => ({ ...plan, sections: plan.sections.filter(({ role }) => role !== 'arrival') }),
  },
  {
    check: 'no-closing',
    at: null,
    make: (plan) => ({
      ...plan,
      sections: plan.sections.map((section) =>
        section.role === 'closing' ? { ...section, role: 'main', steps: section.steps.toReversed() } : section,
      ),
    }),
  },
  { check: 'no-thanks', at: null, make: withText('Thank you for standing with me. Walk', 'Walk') },
  {
    check: 'never-named',
    at: gulls,
    make: both(
      withText('Gulls leaving the wall. Arms wide', 'Arms wide'),
      withText('the gulls leave the wall', 'open'),
    ),
  },
  {
    check: 'feet-together',
    at: 'Wide stand',
    make: withSteps('closing', -1, (newId) => [
      plain(newId, 'Wide stand', {
        stanceStart: 'feet-together',
        stanceEnd: 'wide',
        teach: spokenLines(newId, [['Wide stand. Easy and slow.', 2]]),
      }),
    ]),
  },
  // words
  {
    check: 'health-promise',
    at: gulls,
    make: withStep(gulls, (step) => teach(step, ['This lowers your blood pressure.', 2])),
  },
  {
    check: 'term-unexplained',
    at: stove,
    make: withText('Both hands rest on the lower belly.', 'Both hands rest on the dantian.'),
  },
  {
    check: 'two-spellings',
    at: post,
    make: both(
      withText('Both hands rest on the lower belly.', 'Both hands rest on the dantian.'),
      withStep(stove, (step) => teach(step, ['The dantian is warm.', 2])),
      withStep(post, { openingLine: 'Mooring post. The dan tien, the lower belly, is quiet. I will call you back.' }),
    ),
  },
  {
    check: 'line-repeated',
    at: lamp,
    make: withStep(lamp, (step) => ({
      ...said(step, 0, { full: 'Up with the lamp.' }),
      rounds: 14,
      fade: ['full', 'full'],
      lastRoundLine: 'Last one.',
    })),
  },
  {
    check: 'breath-written',
    at: lamp,
    make: withStep(lamp, (step) => said(step, 1, { full: 'Breathe out through the mouth.' })),
  },
  {
    check: 'breath-written',
    at: gulls,
    make: withStep(gulls, (step) => said(step, 0, { short: 'In, the belly draws in.' })),
  },
  {
    check: 'filler',
    at: gulls,
    make: withText(
      'Arms wide; smaller if the shoulders ask for it.',
      'Arms sort of wide; smaller if the shoulders ask for it.',
    ),
  },
  {
    check: 'sentence-long',
    at: 'The boats',
    make: withSteps('welcome', -1, (newId) => [
      line(
        newId,
        'The boats',
        'The boats go out before the sun is up and the men on the pier lift their hats to every one of them as it goes by the old stone light and on to the open water.',
      ),
    ]),
  },
  {
    check: 'reading-level',
    at: null,
    make: withSteps('welcome', -1, (newId) => [
      makeTalk(
        newId,
        'A lecture',
        Array.from(
          { length: 16 },
          () =>
            [
              'Proprioceptive sensitivity deteriorates progressively, particularly, considerably, and systematically, without appropriate, regular, deliberate, individually calibrated exercise.',
              1,
            ] as const,
        ).map(([text, pause], at) => [`${text.slice(0, -1)} ${at + 1}.`, pause] as const),
      ),
    ]),
  },
  { check: 'token-unknown', at: gulls, make: withStep(gulls, (step) => teach(step, ['Arms {sideways}.', 2])) },
  { check: 'token-empty', at: gulls, make: withStep(gulls, (step) => said(step, 1, { full: 'Out, to the {side}.' })) },
];
