import type { NewId } from '@/core/document';
import { spokenLines } from '@/core/movement';
import { toMilliseconds, toSeconds, type Milliseconds } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import { boundsInOrder } from '../bounds';
import { ALONE } from '../companions';
import { NO_TOKENS, type StepContract } from '../contract';
import { accompanyingSettings, numbersSetting, spokenText, timesInWords } from '../settings';
import { lineMilliseconds, spokenMilliseconds, withLastPause } from '../speech';
import { TIME_FIELDS, timeStretch, timeWish } from '../timed';
import type { PlanVoice } from '../../voice';
import type { TalkStep } from './schema';

export function makeTalk(newId: NewId, name: string, texts: readonly (string | readonly [string, number])[]): TalkStep {
  return {
    kind: 'talk',
    id: newId(),
    name,
    lines: spokenLines(newId, texts),
    tempo: 1,
    minTempo: 1,
    maxTempo: 1,
    timed: false,
    seconds: 60,
    preferredSeconds: 60,
    minSeconds: 45,
    maxSeconds: 90,
    caution: false,
    ...ALONE,
  };
}

/** What is shown while a talk has time left and no more lines. */
const TALK_ON = 'talk on';

/** A talk at the voice's own rate. */
function plainMilliseconds(step: TalkStep, voice: PlanVoice): Milliseconds {
  return spokenMilliseconds(step.lines, voice);
}

/** A talk at its tempo, or with the time it has. */
function talkMilliseconds(step: TalkStep, voice: PlanVoice): Milliseconds {
  const plain = plainMilliseconds(step, voice);
  return step.timed ? Math.max(plain, toMilliseconds(step.seconds)) : Math.round(plain * step.tempo);
}

export const talk: StepContract<TalkStep> = {
  make: (newId, name) => makeTalk(newId, name || NEW_NAMES.talk, ['']),
  blank: (newId, name) => makeTalk(newId, name, []),
  mirrored: (step) => step,
  withNewIds: (newId, step) => ({ ...step, lines: step.lines.map((line) => ({ ...line, id: newId() })) }),
  check: (step, at, once) => {
    step.lines.forEach((line, index) => once(line.id, `${at}.lines[${index}]`));
    return [
      ...boundsInOrder(`${at}.minTempo`, step.minTempo, step.maxTempo),
      ...boundsInOrder(`${at}.minSeconds`, step.minSeconds, step.maxSeconds),
    ];
  },
  mostCues: (step) => step.lines.length,
  milliseconds: (step, { voice }) => talkMilliseconds(step, voice),
  counted: () => null,
  /** Lines one after the other; their borders are rounded from the start, so that the whole is exact at any tempo. */
  write: (step, writer) => {
    const { voice } = writer.tempo;
    const tempo = step.timed ? 1 : step.tempo;
    const begun = writer.now;
    let plain = 0;
    for (const line of step.lines) {
      plain += lineMilliseconds(line.text, voice) + toMilliseconds(line.pauseSeconds);
      const start = writer.now;
      const length = begun + Math.round(plain * tempo) - start;
      if (length > 0) writer.spoken(length, '');
      if (lineMilliseconds(line.text, voice) === 0) continue;
      writer.line({
        name: line.id,
        text: writer.filled(line.text, { at: start, turn: null, rounds: 0 }),
        source: { part: 'line', lineId: line.id },
        start,
        motion: start,
        due: start + length,
        holdsNext: true,
        tempo,
      });
    }
    // Time for words that are not written down.
    const left = begun + talkMilliseconds(step, voice) - writer.now;
    if (step.timed && left > 0) writer.spoken(left, TALK_ON);
    return 0;
  },
  tokens: () => NO_TOKENS,
  changedTexts: (step, change) => ({
    lines: step.lines.map((line) => ({ ...line, text: change(line.text, { part: 'line', lineId: line.id }) })),
  }),
  isSaid: () => true,
  wordFields: [],
  amountFields: ['timed', ...TIME_FIELDS],
  wish: (step) =>
    step.timed
      ? timeWish(step)
      : {
          what: 'tempo',
          value: step.tempo,
          preferred: 1,
          min: step.minTempo,
          max: step.maxTempo,
          multiple: 1,
          fields: { value: 'tempo', min: 'minTempo', max: 'maxTempo' },
        },
  parts: (step, voice, stays) => {
    const plain = plainMilliseconds(step, voice);
    if (step.timed) {
      if (stays) return { fixed: talkMilliseconds(step, voice), stretch: null };
      return { fixed: 0, stretch: timeStretch(step, 'talk', plain) };
    }
    const rigid = step.minTempo === step.tempo && step.maxTempo === step.tempo;
    if (stays || plain === 0 || rigid) return { fixed: talkMilliseconds(step, voice), stretch: null };
    const min = Math.ceil(plain * step.minTempo);
    const max = Math.floor(plain * step.maxTempo);
    return { fixed: 0, stretch: { of: 'talk', min, preferred: plain, max } };
  },
  stretched: (step, length, voice) =>
    step.timed ? { seconds: toSeconds(length) } : { tempo: length / plainMilliseconds(step, voice) },
  stances: () => ({ start: null, end: null }),
  onlyLeads: false,
  isChapter: false,
  companion: (step) => step.goesWith,
  always: (step) => step.caution,
  settings: [
    numbersSetting('tempo', ['tempo', 'minTempo', 'maxTempo'], ([now, min, max]) => `${now}, ${min} to ${max}`),
    {
      key: 'timed',
      write: (step) => (step.timed ? 'yes' : 'no'),
      read: (value) => ({ timed: /^yes/i.test(value) }),
    },
    numbersSetting('time', TIME_FIELDS, timesInWords),
    {
      key: 'caution',
      write: (step) => (step.caution ? 'yes' : 'no'),
      read: (value) => ({ caution: /^yes/i.test(value) }),
    },
    ...accompanyingSettings<TalkStep>(),
  ],
  body: (step) => step.lines.map(spokenText),
  withLine: (step, line) => ({ ...step, lines: [...step.lines, line] }),
  withPause: (step, seconds) =>
    step.lines.length === 0 ? null : { ...step, lines: withLastPause(step.lines, seconds) },
};
