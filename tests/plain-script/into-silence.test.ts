import { describe, expect, it } from 'vitest';
import { readScript } from '@/core/plain-script';
import { isSilence, stepsInOrder, type SilenceStep, type Step } from '@/core/plan';
import { countingIds } from '../support/chance';

/*
 * Words over a silence, in as many ways as people write them below it: what the silence is called, how they stand below
 * it, and what comes behind. Common practice, no published source.
 */

const SILENCES = [
  'Stand quietly for two minutes', 'Silence 2 min', '- Silence, 2 min', '3. Standing still (2 min)', 'Standing meditation – 2 minutes',
  'Sit with eyes closed 2 min:', 'Sit, eyes closed, 2 min:', 'Eyes closed, 2 min', 'Stillness: 2 min', 'Stand, hands on belly, 2 min', '### Stillness (2 min)',
  'Rest 2 min, eyes closed', 'Silent standing 2:00', 'Close your eyes for two minutes.', 'Body scan 2 min', 'SILENCE 2 MIN',
]; // prettier-ignore
const TOLD = ['Feel the weight in the feet.', 'Feel the breath move the hands.', 'Nothing to do.', 'Let the shoulders be heavy.']; // prettier-ignore
const bare = TOLD.map((text) => text.slice(0, -1));
const small = bare.map((text) => text.charAt(0).toLowerCase() + text.slice(1));

type Layout = readonly [name: string, lines: readonly string[]];
const each = (to: (text: string, at: number) => string | string[], texts = TOLD): string[] => texts.flatMap(to);
const UNTIMED: readonly Layout[] = [
  ['further in', each((text) => `  ${text}`)],
  ['right below', TOLD],
  ['without stops', each((text) => `  ${text}`, bare)],
  ['in small letters', each((text) => `  ${text}`, small)],
  ['behind dashes', each((text) => `  - ${text}`)],
  ['behind dashes, in small letters', each((text) => `  - ${text}`, small)],
  ['in quotation marks', each((text) => `  “${text}”`)],
  ['in straight ones', each((text) => `"${text}"`)],
  ['labelled', each((text) => `  Say: ${text}`)],
  ['with dots behind', each((text) => `  ${text.replace('.', '...')}`)],
  ['in one line', [`  ${TOLD.join(' ')}`]],
  ['in one line with dots', [`  ${bare.join(' ... ')}`]],
  ['in one line with strokes', [`  ${small.join(' / ')}`]],
  ['with dots between', each((text) => [`  ${text}`, '  ...'])],
  ['with empty lines between', each((text) => ['', `  ${text}`])],
  ['during it', each((text) => `  during: ${text}`)],
  ['numbered', each((text, at) => `  ${at + 1}. ${text}`)],
  ['behind dots', each((text) => `  • ${text}`)],
  ['behind stars right below', each((text) => `* ${text}`)],
  ['as guidance', [`  Guide: ${TOLD.join(' ')}`]],
  ['under a head', ['  Guidance:', ...each((text) => `    - ${text}`)]],
  ['one every so often', ['  every 30 s one of:', ...each((text) => `    - ${text}`)]],
];
const TIMED: readonly Layout[] = [
  ['seconds', each((text, at) => `  ${25 * at + 10} s: ${text}`)],
  ['at seconds', each((text, at) => `  at ${25 * at + 10} s: ${text}`)],
  ['after seconds', each((text, at) => `  after ${25 * at + 10} s: ${text}`)],
  ['in brackets', each((text, at) => `  (after ${25 * at + 10} s) ${text}`)],
];
const BY_CLOCK: readonly Layout[] = [
  ['minutes and seconds', each((text, at) => `  0:${15 * at + 10} ${text}`)],
  ['in square brackets', each((text, at) => `  [0:${15 * at + 10}] ${text}`)],
  ['in round ones', each((text, at) => `  (0:${15 * at + 10}) ${text}`)],
];
const PAUSED: readonly Layout[] = [
  ['in brackets', each((text) => `  ${text} (20 s)`)],
  ['by the word', each((text) => `  ${text} (pause 20 s)`)],
  ['on lines of their own', each((text) => [`  ${text}`, '  (20 s)'])],
];
const ENDS = ['', '\nThank you all.', '\n\nThank you all.'];

function stepsOf(silence: string, lines: readonly string[], end: string): Step[] {
  const script = `Morning - 20 min\n\nMain set\n- Rowing x6\n  in: arms rise\n  out: arms sink\n\nClosing\n${silence}\n${lines.join('\n')}${end}`;
  return stepsInOrder(readScript(countingIds('s'), script).plan).map(({ step }) => step);
}

const letters = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^a-z ]/g, '')
    .trim();
const wordsOf = ({ openingLine, during }: SilenceStep): string =>
  [openingLine, ...during.map(({ text }) => text)].filter((text) => text !== '').map(letters).join(' '); // prettier-ignore

/** The silence below the movement, where all that is told is said into it and nothing else became a step. */
function silenceIn(silence: string, lines: readonly string[], end: string): SilenceStep | null {
  const [, found, last, ...others] = stepsOf(silence, lines, end);
  const ended = end === '' ? last === undefined : last?.kind === 'talk';
  if (!found || !isSilence(found) || !ended || others.length > 0 || found.callBackLine !== '') return null;
  return found.seconds > 110 && wordsOf(found) === letters(TOLD.join(' ')) ? found : null;
}

/** The ways in which it is anything else. */
function wrongOf(layouts: readonly Layout[], isRight: (step: SilenceStep) => boolean): string[] {
  return layouts.flatMap(([name, lines]) =>
    SILENCES.flatMap((silence) =>
      ENDS.filter((end) => {
        const found = silenceIn(silence, lines, end);
        return !found || !isRight(found);
      }).map((end) => `${silence} ${name} ${JSON.stringify(end)}`),
    ),
  );
}

describe('words below a silence', () => {
  it('are said into it: the first opens it, the others come where there is room', () => {
    expect(wrongOf(UNTIMED, ({ during }) => during.every(({ on }) => on === 'anywhere'))).toEqual([]);
  });

  it('come at the times before them', () => {
    const times = ({ during }: SilenceStep): number[] => during.map(({ on, number }) => (on === 'time' ? number : -1));
    expect(wrongOf(TIMED, (step) => String(times(step)) === '10,35,60,85')).toEqual([]);
    expect(wrongOf(BY_CLOCK, (step) => String(times(step)) === '10,25,40,55')).toEqual([]);
  });

  it('come after the pauses between them', () => {
    const far = ({ during }: SilenceStep): boolean =>
      during.every(({ on, number }, at) => on === 'time' && number >= (during[at - 1]?.number ?? 0) + 20);
    expect(wrongOf(PAUSED, far)).toEqual([]);
  });

  it.each([
    ['  every 30 s: nothing to do', { reassuranceLine: 'nothing to do', reassuranceEverySeconds: 30 }],
    ['  “nothing to do” every half minute', { reassuranceLine: 'nothing to do', reassuranceEverySeconds: 30 }],
    ['  remind them every minute: all is well', { reassuranceLine: 'all is well', reassuranceEverySeconds: 60 }],
    ['  call back 15 s before the end', { callBackLine: 'Slowly come back.', callBackLeadSeconds: 15 }],
    ['  call back: “welcome back”', { callBackLine: 'welcome back', callBackLeadSeconds: 0 }],
    ['  When you are ready, open your eyes.', { callBackLine: 'When you are ready, open your eyes.' }],
    ['  Slowly let the eyes open.', { callBackLine: 'Slowly let the eyes open.' }],
  ])('"%s" sets it', (line, set) => {
    const [, silence] = stepsOf('Silence 2 min', ['  Feel the feet.', line], '');
    expect(silence).toMatchObject({ kind: 'silence', openingLine: 'Feel the feet.', during: [], ...set });
  });

  it.each([
    ['a step with its amount', '- Rowing x6', 'movement'],
    ['a name in a list', '- Cloud hands', 'movement'],
    ['a step further in', '  Bow, 3 times', 'movement'],
    ['a rest', 'Water break, 1 min', 'silence'],
    ['what ends a class', '“Thank you, that was lovely.”', 'talk'],
    ['a name alone', 'Solveig', 'talk'],
    ['a greeting', 'Warmly', 'talk'],
    ['what is to be brought', 'Bring socks!', 'talk'],
  ])('%s is no word of it', (_, line, kind) => {
    const [, silence, next] = stepsOf('Silence 2 min', ['Feel the feet.', line], '');
    expect(silence).toMatchObject({ openingLine: 'Feel the feet.', during: [], callBackLine: '' });
    expect(next?.kind).toBe(kind);
  });

  it('are asked in a quiet part too; what is asked of all makes a talk of it, and of no other part', () => {
    const first = (heading: string, line: string) => {
      const { plan } = readScript(countingIds('w'), `Class\n\n${heading}\n${line}\nMain set\nRowing x6`);
      return stepsInOrder(plan).map(({ step }) => step.kind);
    };
    expect(first('Stillness (3 min)', 'Can you feel your hands?')).toEqual(['silence', 'movement']);
    expect(first('Arrive (4 min)', 'Circle, names, any aches?')).toEqual(['talk', 'movement']);
    expect(first('Form practice (10 min)', 'How is everybody?')).toEqual(['talk', 'movement', 'movement']);
  });

  it('fill it to its half where they are not set under it, and are a talk from there on', () => {
    const [, silence, talk] = stepsOf('Silence 30 s', [...TOLD, ...TOLD, ...TOLD], '');
    expect(silence).toMatchObject({ seconds: 30, openingLine: TOLD[0] });
    expect(talk?.kind).toBe('talk');
  });
});
