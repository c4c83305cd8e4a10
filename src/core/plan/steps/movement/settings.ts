import { itemAt, firstItems } from '@/core/units';
import { escapeText, partOf, splitBars, unescapeText } from '@/core/document';
import {
  CAUTIONS,
  FORMS,
  PACINGS,
  SIDE_PLANS,
  type Level,
  type Moments,
  type Phase,
  type Shortened,
} from '@/core/movement';
import { BELLIES, BREATH_WAYS, COUNTINGS, OUT_BREATHS } from '@/core/words';
import { duringText } from '../during';
import {
  groupSettings,
  numbersIn,
  numbersSetting,
  prioritySetting,
  spokenText,
  stanceOf,
  stateSetting,
  textSetting,
  timesInWords,
  wordOf,
  wordSetting,
  type Setting,
} from '../settings';
import { INTROS, VIEWS } from './choices';
import type { MovementStep } from './schema';

const text = textSetting<MovementStep>();

function momentSetting(key: string, moment: keyof Moments): Setting<MovementStep> {
  return {
    key,
    write: (step) => escapeText(step.moments[moment]),
    read: (value, step) => ({ moments: { ...step.moments, [moment]: unescapeText(value) } }),
  };
}

function shortSetting(key: string, line: Shortened): Setting<MovementStep> {
  return {
    key: `${key} in short`,
    write: (step) => escapeText(step.shorts[line]),
    read: (value, step) => ({ shorts: { ...step.shorts, [line]: unescapeText(value) } }),
  };
}

/** One of a few words, or what the class has. */
function orClassSetting<Key extends 'breathWay' | 'belly' | 'outBreath'>(
  key: string,
  field: Key,
  values: readonly (MovementStep[Key] & string)[],
): Setting<MovementStep> {
  return {
    key,
    write: (step) => step[field] ?? 'the class’s',
    read: (value) => partOf<MovementStep, Key>([[field, wordOf(values, value)]]),
  };
}

export const movementSettings: readonly Setting<MovementStep>[] = [
  text('also', 'traditionalName'),
  {
    key: 'also called',
    write: (step) => step.otherNames.map(escapeText).join(' | '),
    read: (value) => ({ otherNames: value === '' ? [] : splitBars(value).map(unescapeText) }),
  },
  {
    key: 'stands',
    write: (step) => `${step.stanceStart ?? 'any'} to ${step.stanceEnd ?? 'any'}`,
    read: (value) => {
      const [start, end] = value.split(' to ').map(stanceOf);
      return start === undefined || end === undefined ? null : { stanceStart: start, stanceEnd: end };
    },
  },
  {
    key: 'sides',
    write: (step) => `${step.sides}, ${step.startSide} first`,
    read: (value) => {
      const [word = '', side = ''] = value.split(',');
      const sides = wordOf(SIDE_PLANS, word);
      return sides === null ? null : { sides, startSide: /right/i.test(side) ? 'right' : 'left' };
    },
  },
  wordSetting<MovementStep, 'pacedBy'>('paced by', 'pacedBy', PACINGS),
  numbersSetting<MovementStep>(
    'rounds',
    ['rounds', 'preferredRounds', 'minRounds', 'maxRounds', 'multiple'],
    ([now, asked, min, max, multiple]) => `${now}, asked ${asked}, ${min} to ${max}, in ${multiple}s`,
  ),
  numbersSetting<MovementStep>('time', ['seconds', 'preferredSeconds', 'minSeconds', 'maxSeconds'], timesInWords),
  numbersSetting<MovementStep>('breath', ['paceMultiplier'], ([multiplier]) => `x ${multiplier}`),
  {
    key: 'inhale share',
    write: (step) => (step.inhaleShare === null ? 'the class’s' : String(step.inhaleShare)),
    read: (value) => ({ inhaleShare: numbersIn(value)[0] ?? null }),
  },
  {
    key: 'fade',
    write: (step) => step.fade.join(', '),
    read: (value) => {
      const forms = value.split(',').map((word) => wordOf(FORMS, word));
      return forms.length > 0 && forms.every((form) => form !== null) ? { fade: forms } : null;
    },
  },
  {
    key: 'fade locked',
    write: (step) => step.fadePins.join(', '),
    read: (value) => ({ fadePins: numbersIn(value) }),
  },
  momentSetting('naming', 'naming'),
  momentSetting('first a caution', 'caution'),
  momentSetting('sending', 'sending'),
  momentSetting('rounds left', 'roundsLeft'),
  momentSetting('leaving', 'leaving'),
  shortSetting('naming', 'naming'),
  shortSetting('first a caution', 'caution'),
  shortSetting('sending', 'sending'),
  shortSetting('rounds left', 'roundsLeft'),
  shortSetting('last', 'lastRound'),
  shortSetting('change', 'sideChange'),
  shortSetting('leaving', 'leaving'),
  wordSetting<MovementStep, 'intro'>('said around it', 'intro', INTROS),
  {
    key: 'counting',
    write: (step) => step.counting ?? 'the class’s',
    read: (value) => ({ counting: wordOf(COUNTINGS, value) }),
  },
  wordSetting<MovementStep, 'view'>('seen from', 'view', VIEWS),
  text('last', 'lastRoundLine'),
  {
    key: 'change',
    write: (step) => `${step.sideChangeSeconds} s | ${escapeText(step.sideChangeLine)}`,
    read: (value) => {
      const [time = '', line] = splitBars(value);
      const [seconds] = numbersIn(time);
      return seconds === undefined || line === undefined
        ? null
        : { sideChangeSeconds: seconds, sideChangeLine: unescapeText(line) };
    },
  },
  {
    key: 'levels',
    // Since a level has several lines each is written on a line of its own, see `movementBody`.
    write: () => '',
    read: (value) => {
      const parts = value === '' ? [] : splitBars(value).map(unescapeText);
      if (parts.length % 3 !== 0) return null;
      const levels: Level[] = [];
      for (let at = 0; at < parts.length; at += 3) {
        const [name, note, line] = firstItems(parts.slice(at, at + 3), 3);
        levels.push({ name, note, lines: line === '' ? [] : [line] });
      }
      return { levels };
    },
  },
  {
    key: 'cautions',
    write: (step) => step.cautions.join(', '),
    read: (value) => {
      const cautions = value === '' ? [] : value.split(',').map((word) => wordOf(CAUTIONS, word));
      return cautions.every((caution) => caution !== null) ? { cautions } : null;
    },
  },
  text('way change', 'wayChangeLine'),
  numbersSetting<MovementStep>('call back before the end', ['callBackLeadSeconds'], ([seconds]) => `${seconds} s`),
  orClassSetting('breathes', 'breathWay', BREATH_WAYS),
  orClassSetting('belly', 'belly', BELLIES),
  orClassSetting('breath out', 'outBreath', OUT_BREATHS),
  text('seated', 'seated'),
  prioritySetting<MovementStep>(),
  stateSetting<MovementStep>(),
  ...groupSettings<MovementStep>(),
  {
    key: 'library',
    write: (step) => (step.source ? `${step.source.movementId} revision ${step.source.revision}` : 'none'),
    read: (value) => {
      const match = /^(\S+) revision (\d+)$/.exec(value);
      return { source: match ? { movementId: itemAt(match, 1), revision: Number(match[2]) } : null };
    },
  },
];

/** The lines of teaching and the levels, then the phases with their lengths, action and three wordings, and what is said over them. */
export function movementBody(step: MovementStep): readonly string[] {
  return [
    ...step.teach.map(spokenText),
    ...step.levels.map(levelText),
    ...step.pattern.map(phaseText),
    ...step.during.map(duringText),
  ];
}

function levelText({ name, note, lines }: Level): string {
  return `level: ${[name, note, ...lines].map(escapeText).join(' | ')}`;
}

/** A phase with its length where it has its own, then the action and the three wordings. */
function phaseText(phase: Phase): string {
  const share = phase.share === null ? '' : ` share ${phase.share}`;
  const seconds = phase.seconds === null ? '' : ` ${phase.seconds} s`;
  const lead = phase.leadSeconds === null ? '' : ` lead ${phase.leadSeconds} s`;
  const from = phase.fromRound === 1 ? '' : ` from round ${phase.fromRound}`;
  const to = phase.toRound === null ? '' : ` to round ${phase.toRound}`;
  const words = [phase.action, phase.full, phase.short, phase.breath].map(escapeText).join(' | ');
  return `${phase.kind}${share}${seconds}${lead}${from}${to}: ${words}`;
}
