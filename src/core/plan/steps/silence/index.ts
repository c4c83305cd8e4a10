import { escapeText, splitBars, unescapeText, type NewId } from '@/core/document';
import { mirrored } from '@/core/movement';
import { toMilliseconds, toSeconds, type Milliseconds } from '@/core/units';
import { NEW_NAMES } from '@/core/words';
import { boundsInOrder } from '../bounds';
import { ALONE } from '../companions';
import { NO_TOKENS, type PlacedLine, type StepContract, type StepWriter } from '../contract';
import {
  changedDuring,
  duringMilliseconds,
  duringOn,
  duringText,
  spread,
  wantedOver,
  type SpreadLine,
} from '../during';
import { accompanyingSettings, numbersIn, numbersSetting, stanceSetting, textSetting, timesInWords } from '../settings';
import { lineMilliseconds } from '../speech';
import type { TextPlace } from '../text-place';
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
    during: [],
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
  const over = duringMilliseconds(step.during, 1, (text) => lineMilliseconds(text, voice));
  return opening + over + callBack + lead + (opening > 0 && callBack > 0 ? SECOND : 0);
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
  const placed = (
    name: string,
    source: TextPlace,
    text: string,
    start: Milliseconds,
    due: Milliseconds,
  ): PlacedLine => {
    const words = writer.filled(text, { at: start, turn: null, rounds: 0 });
    return { name, text: words, source, start, motion: start, due, holdsNext: true };
  };
  const callBackSaid = said(step.callBackLine);
  const callBack = callBackSaid === 0 ? end : end - callBackSaid - toMilliseconds(step.callBackLeadSeconds);
  const begun = from + said(step.openingLine);
  const lines: PlacedLine[] = [];
  if (begun > from) lines.push(placed('openingLine', { part: 'openingLine' }, step.openingLine, from, callBack));
  const over = guidance(step, voice, begun, callBack);
  for (const { line, start } of over)
    lines.push(placed(line.id, { part: 'during', lineId: line.id }, line.text, start, callBack));
  reassurances(step, voice, begun, callBack, over).forEach((start, at) => {
    lines.push(placed(`reassuranceLine.${at + 1}`, { part: 'reassuranceLine' }, step.reassuranceLine, start, callBack));
  });
  if (callBackSaid > 0) lines.push(placed('callBackLine', { part: 'callBackLine' }, step.callBackLine, callBack, end));
  for (const line of lines.sort((a, b) => a.start - b.start)) writer.line(line);
  return 0;
}

/** What is said over it, from its opening to its call back. */
function guidance(step: SilenceStep, voice: PlanVoice, from: Milliseconds, to: Milliseconds): SpreadLine[] {
  const wanted = duringOn(step.during, 0, 1).map((line) => ({
    line,
    length: lineMilliseconds(line.text, voice),
    at: wantedOver(line, from),
  }));
  return spread(wanted, from, to);
}

/** When it is said again that nobody is left alone: every so often, but not close to anything else that is said. */
function reassurances(
  step: SilenceStep,
  voice: PlanVoice,
  from: Milliseconds,
  to: Milliseconds,
  over: readonly SpreadLine[],
): Milliseconds[] {
  const said = lineMilliseconds(step.reassuranceLine, voice);
  const every = toMilliseconds(step.reassuranceEverySeconds);
  const starts: Milliseconds[] = [];
  if (said === 0) return starts;
  for (let start = from + every; start + said + REASSURANCE_GAP <= to; start += every) {
    const close = over.some((line) => start < line.start + line.length + REASSURANCE_GAP && line.start < start + said + REASSURANCE_GAP); // prettier-ignore
    if (!close) starts.push(start);
  }
  return starts;
}

const text = textSetting<SilenceStep>();

export const silence: StepContract<SilenceStep> = {
  make: (newId, name) => makeSilence(newId, name || NEW_NAMES.silence, {}),
  blank: (newId, name) => makeSilence(newId, name, {}),
  withNewIds: (newId, step) => ({ ...step, during: step.during.map((line) => ({ ...line, id: newId() })) }),
  mirrored: (step) => ({ ...step, stance: mirrored(step.stance) }),
  check: (step, at, once) => {
    step.during.forEach((line, index) => once(line.id, `${at}.during[${index}]`));
    return boundsInOrder(`${at}.minSeconds`, step.minSeconds, step.maxSeconds);
  },
  mostCues: (step) => step.during.length + 2,
  milliseconds: (step, { voice }) => silenceMilliseconds(step, voice),
  counted: () => null,
  write,
  tokens: () => NO_TOKENS,
  changedTexts: (step, change) => ({
    openingLine: change(step.openingLine, { part: 'openingLine' }),
    during: changedDuring(step.during, change),
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
  body: (step) => step.during.map(duringText),
  withLine: (step, line) => {
    if (step.openingLine.trim() === '') return { ...step, openingLine: line.text };
    return step.callBackLine.trim() === '' ? { ...step, callBackLine: line.text } : null;
  },
  withPause: () => null,
};
