import { escapeText, splitBars, unescapeText, type NewId } from '@/core/document';
import { toMilliseconds, toSeconds, type Milliseconds } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import { boundsInOrder } from '../bounds';
import { ALONE } from '../companions';
import { NO_TOKENS, type StepContract, type StepWriter } from '../contract';
import { accompanyingSettings, numbersIn, numbersSetting, stanceSetting, textSetting, timesInWords } from '../settings';
import { lineMilliseconds } from '../speech';
import { TIME_FIELDS, timeStretch, timeWish } from '../timed';
import type { PlanVoice } from '../../voice';
import type { SilenceStep } from './schema';

/** Between the opening and the call back. */
const SECOND: Milliseconds = 1000;
/** Silence kept between the last reassurance and the call back. */
const REASSURANCE_GAP: Milliseconds = 5000;

export function makeSilence(newId: NewId, name: string, part: Partial<Omit<SilenceStep, 'kind' | 'id'>>): SilenceStep {
  const preferred = part.preferredSeconds ?? 40;
  return {
    kind: 'silence',
    id: newId(),
    name,
    seconds: preferred,
    preferredSeconds: preferred,
    minSeconds: Math.round(preferred / 2),
    maxSeconds: preferred * 2,
    stance: null,
    eyesClosed: false,
    openingLine: '',
    reassuranceLine: '',
    reassuranceEverySeconds: 45,
    callBackLine: '',
    callBackLeadSeconds: 0,
    ...ALONE,
    ...part,
  };
}

/** The words of a silence with a second of silence between them: it cannot be shorter. */
function wordsMilliseconds(step: SilenceStep, voice: PlanVoice): Milliseconds {
  const opening = lineMilliseconds(step.openingLine, voice);
  const callBack = lineMilliseconds(step.callBackLine, voice);
  const lead = callBack > 0 ? toMilliseconds(step.callBackLeadSeconds) : 0;
  return opening + callBack + lead + (opening > 0 && callBack > 0 ? SECOND : 0);
}

/** As long as it is set, or as its words take. */
function silenceMilliseconds(step: SilenceStep, voice: PlanVoice): Milliseconds {
  return Math.max(toMilliseconds(step.seconds), wordsMilliseconds(step, voice));
}

function write(step: SilenceStep, writer: StepWriter): Milliseconds {
  const { voice } = writer.tempo;
  const from = writer.now;
  const end = from + silenceMilliseconds(step, voice);
  writer.phase('free', 0, null, '', from, end);
  writer.until(end);
  const said = (text: string): Milliseconds => lineMilliseconds(text, voice);
  const line = (
    part: 'openingLine' | 'reassuranceLine' | 'callBackLine',
    start: Milliseconds,
    due: Milliseconds,
    number = '',
  ): void => {
    if (said(step[part]) === 0) return;
    const text = writer.filled(step[part], { at: start, turn: null, rounds: 0 });
    writer.line({ name: `${part}${number}`, text, source: { part }, start, motion: start, due, holdsNext: true });
  };
  const callBackSaid = said(step.callBackLine);
  const callBack = callBackSaid === 0 ? end : end - callBackSaid - toMilliseconds(step.callBackLeadSeconds);
  line('openingLine', from, callBack);
  const every = toMilliseconds(step.reassuranceEverySeconds);
  const reassurance = said(step.reassuranceLine);
  if (reassurance > 0) {
    const begun = from + said(step.openingLine);
    for (let count = 1; begun + count * every + reassurance + REASSURANCE_GAP <= callBack; count++) {
      line('reassuranceLine', begun + count * every, callBack, `.${count}`);
    }
  }
  line('callBackLine', callBack, end);
  return 0;
}

const text = textSetting<SilenceStep>();

export const silence: StepContract<SilenceStep> = {
  make: (newId, name) => makeSilence(newId, name || NEW_NAMES.silence, {}),
  blank: (newId, name) => makeSilence(newId, name, {}),
  withNewIds: (_, step) => step,
  check: (step, at) => boundsInOrder(`${at}.minSeconds`, step.minSeconds, step.maxSeconds),
  mostCues: () => 2,
  milliseconds: (step, { voice }) => silenceMilliseconds(step, voice),
  counted: () => null,
  write,
  tokens: () => NO_TOKENS,
  changedTexts: (step, change) => ({
    openingLine: change(step.openingLine, { part: 'openingLine' }),
    reassuranceLine: change(step.reassuranceLine, { part: 'reassuranceLine' }),
    callBackLine: change(step.callBackLine, { part: 'callBackLine' }),
  }),
  isSaid: () => true,
  wordFields: [],
  amountFields: TIME_FIELDS,
  wish: timeWish,
  parts: (step, voice, stays) => {
    if (stays) return { fixed: silenceMilliseconds(step, voice), stretch: null };
    return { fixed: 0, stretch: timeStretch(step, 'silence', wordsMilliseconds(step, voice)) };
  },
  stretched: (_, length) => ({ seconds: toSeconds(length) }),
  stances: (step) => ({ start: step.stance, end: step.stance }),
  onlyLeads: false,
  isChapter: true,
  companion: (step) => step.goesWith,
  always: () => false,
  settings: [
    numbersSetting('time', ['seconds', 'preferredSeconds', 'minSeconds', 'maxSeconds'], timesInWords),
    stanceSetting<SilenceStep>(),
    {
      key: 'eyes',
      write: (step) => (step.eyesClosed ? 'closed' : 'open'),
      read: (value) => ({ eyesClosed: /closed/i.test(value) }),
    },
    text('opening', 'openingLine'),
    {
      key: 'reassurance',
      write: (step) => `every ${step.reassuranceEverySeconds} s | ${escapeText(step.reassuranceLine)}`,
      read: (value) => {
        const [time = '', line] = splitBars(value);
        const [every] = numbersIn(time);
        return every === undefined || line === undefined
          ? null
          : { reassuranceEverySeconds: every, reassuranceLine: unescapeText(line) };
      },
    },
    text('call back', 'callBackLine'),
    numbersSetting('call back before the end', ['callBackLeadSeconds'], ([seconds]) => `${seconds} s`),
    ...accompanyingSettings<SilenceStep>(),
  ],
  body: () => [],
  withLine: (step, line) => {
    if (step.openingLine.trim() === '') return { ...step, openingLine: line.text };
    return step.callBackLine.trim() === '' ? { ...step, callBackLine: line.text } : null;
  },
  withPause: () => null,
};
