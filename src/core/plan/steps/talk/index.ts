import type { NewId } from '@/core/document';
import { spokenLines } from '@/core/movement';
import { toMilliseconds, type Milliseconds } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import { boundsInOrder } from '../bounds';
import { ALONE } from '../companions';
import { NO_TOKENS, type StepContract } from '../contract';
import { accompanyingSettings, numbersSetting, spokenText } from '../settings';
import { lineMilliseconds, spokenMilliseconds, withLastPause } from '../speech';
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
    caution: false,
    ...ALONE,
  };
}

/** A talk at the voice's own rate. */
function plainMilliseconds(step: TalkStep, voice: PlanVoice): Milliseconds {
  return spokenMilliseconds(step.lines, voice);
}

/** A talk at its tempo. */
function talkMilliseconds(step: TalkStep, voice: PlanVoice): Milliseconds {
  return Math.round(plainMilliseconds(step, voice) * step.tempo);
}

export const talk: StepContract<TalkStep> = {
  make: (newId, name) => makeTalk(newId, name || NEW_NAMES.talk, ['']),
  blank: (newId, name) => makeTalk(newId, name, []),
  withNewIds: (newId, step) => ({ ...step, lines: step.lines.map((line) => ({ ...line, id: newId() })) }),
  check: (step, at, once) => {
    step.lines.forEach((line, index) => once(line.id, `${at}.lines[${index}]`));
    return boundsInOrder(`${at}.minTempo`, step.minTempo, step.maxTempo);
  },
  mostCues: (step) => step.lines.length,
  milliseconds: (step, { voice }) => talkMilliseconds(step, voice),
  counted: () => null,
  /** Lines one after the other; their borders are rounded from the start, so that the whole is exact at any tempo. */
  write: (step, writer) => {
    const { voice } = writer.tempo;
    const { tempo } = step;
    const begun = writer.now;
    let plain = 0;
    for (const line of step.lines) {
      const said = lineMilliseconds(line.text, voice);
      plain += said + toMilliseconds(line.pauseSeconds);
      const start = writer.now;
      const length = begun + Math.round(plain * tempo) - start;
      if (length > 0) writer.spoken(length, '');
      if (said === 0) continue;
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
    return 0;
  },
  tokens: () => NO_TOKENS,
  changedTexts: (step, change) => ({
    lines: step.lines.map((line) => ({ ...line, text: change(line.text, { part: 'line', lineId: line.id }) })),
  }),
  isSaid: () => true,
  wordFields: [],
  amountFields: [],
  wish: (step) => ({
    what: 'tempo',
    value: step.tempo,
    preferred: 1,
    min: step.minTempo,
    max: step.maxTempo,
    multiple: 1,
    fields: { value: 'tempo', min: 'minTempo', max: 'maxTempo' },
  }),
  parts: (step, voice, stays) => {
    const plain = plainMilliseconds(step, voice);
    const rigid = step.minTempo === step.tempo && step.maxTempo === step.tempo;
    if (stays || plain === 0 || rigid) return { fixed: talkMilliseconds(step, voice), stretch: null };
    const min = Math.ceil(plain * step.minTempo);
    const max = Math.floor(plain * step.maxTempo);
    return { fixed: 0, stretch: { of: 'talk', min, preferred: plain, max } };
  },
  stretched: (step, length, voice) => ({ tempo: length / plainMilliseconds(step, voice) }),
  stances: () => ({ start: null, end: null }),
  onlyLeads: false,
  isChapter: false,
  companion: (step) => step.goesWith,
  always: (step) => step.caution,
  settings: [
    numbersSetting('tempo', ['tempo', 'minTempo', 'maxTempo'], ([now, min, max]) => `${now}, ${min} to ${max}`),
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
