import { itemAt } from '@/core/units';
import { PACE_CURVES } from '@/core/breath';
import { STYLE_FIELDS } from './style-fields';
import {
  FIT_WAYS,
  numbersIn,
  stepsInOrder,
  wordOf,
  type Setting,
  type ClassPlan,
  type Length,
  type LengthPin,
  type Section,
} from '@/core/plan';
import { escapeText, splitBars, unescapeText } from '@/core/document';

const pacePart = (
  key: string,
  write: (pace: ClassPlan['pace']) => string,
  read: (value: string) => Partial<ClassPlan['pace']> | null,
): Setting<ClassPlan> => ({
  key,
  write: (plan) => write(plan.pace),
  read: (value, plan) => {
    const part = read(value);
    return part ? { pace: { ...plan.pace, ...part } } : null;
  },
});

/** The settings of the whole class, always written. */
export const PLAN_FIELDS: readonly Setting<ClassPlan>[] = [
  {
    key: 'focus',
    write: (plan) => escapeText(plan.focus),
    read: (value) => ({ focus: unescapeText(value) }),
  },
  {
    key: 'for',
    write: (plan) => escapeText(plan.audience),
    read: (value) => ({ audience: unescapeText(value) }),
  },
  {
    key: 'target',
    write: (plan) => clockText(plan.targetSeconds),
    read: (value) => {
      const seconds = clockOf(value);
      return seconds === null ? null : { targetSeconds: seconds };
    },
  },
  {
    key: 'lands within',
    write: (plan) => (plan.landingSeconds === null ? 'the usual' : `${plan.landingSeconds} s`),
    read: (value) => ({ landingSeconds: numbersIn(value)[0] ?? null }),
  },
  pacePart(
    'breath',
    (pace) =>
      `${pace.breathSeconds} s, asked ${pace.preferredBreathSeconds}, ${pace.minBreathSeconds} to ${pace.maxBreathSeconds}, closing x ${pace.closingRatio}, ${pace.curve}${pace.pinned ? ', pinned' : ''}`,
    (value) => {
      const found = numbersIn(value);
      if (found.length === 1) return { breathSeconds: found[0], preferredBreathSeconds: found[0] };
      if (found.length !== 5) return null;
      const [breathSeconds, preferredBreathSeconds, minBreathSeconds, maxBreathSeconds, closingRatio] = found;
      const curve = PACE_CURVES.find((one) => value.includes(one)) ?? 'straight';
      const pinned = /pinned/i.test(value);
      return {
        breathSeconds,
        preferredBreathSeconds,
        minBreathSeconds,
        maxBreathSeconds,
        closingRatio,
        curve,
        pinned,
      };
    },
  ),
  pacePart(
    'inhale share',
    (pace) => `${pace.inhaleShare}, closing ${pace.closingInhaleShare}`,
    (value) => {
      const [inhaleShare, closingInhaleShare = inhaleShare] = numbersIn(value);
      return inhaleShare === undefined ? null : { inhaleShare, closingInhaleShare };
    },
  ),
  {
    key: 'voice',
    write: ({ voice }) =>
      `${voice.syllablesPerMinute} syllables a minute, lead ${voice.leadSeconds} s, pauses ${voice.pauseSeconds} s`,
    read: (value, { voice }) => {
      const [syllablesPerMinute, leadSeconds, pauseSeconds = voice.pauseSeconds] = numbersIn(value);
      return syllablesPerMinute === undefined || leadSeconds === undefined
        ? null
        : { voice: { syllablesPerMinute, leadSeconds, pauseSeconds } };
    },
  },
  {
    key: 'keep on target',
    write: (plan) => (plan.keepOnTarget ? 'yes' : 'no'),
    read: (value) => ({ keepOnTarget: /^yes/i.test(value) }),
  },
  {
    key: 'keep words fitted',
    write: (plan) => (plan.keepWordsFitted ? 'yes' : 'no'),
    read: (value) => ({ keepWordsFitted: /^yes/i.test(value) }),
  },
  {
    key: 'silence',
    write: (plan) => String(plan.silenceShare),
    read: (value) => {
      const [silenceShare] = numbersIn(value);
      return silenceShare === undefined ? null : { silenceShare };
    },
  },
  ...STYLE_FIELDS,
];

/** The settings of a section that sets a breath of its own. */
export const SECTION_FIELDS: readonly Setting<Section>[] = [
  {
    key: 'breath here',
    write: (section) => (section.paceMultiplier === null ? 'the class’s' : `x ${section.paceMultiplier}`),
    read: (value) => ({ paceMultiplier: numbersIn(value)[0] ?? null }),
  },
  {
    key: 'inhale share here',
    write: (section) => (section.inhaleShare === null ? 'the class’s' : String(section.inhaleShare)),
    read: (value) => ({ inhaleShare: numbersIn(value)[0] ?? null }),
  },
];

/** A length as a line; its pins name steps by their number in the class, from 1. */
export function lengthText(plan: ClassPlan, length: Length): string {
  const numbers = new Map(stepsInOrder(plan).map(({ step }, index) => [step.id, index + 1]));
  const pins = length.pins.flatMap((pin) => {
    const number = numbers.get(pin.stepId);
    return number === undefined ? [] : [`${number} ${pinText(pin)}`];
  });
  const parts = [
    escapeText(length.name),
    clockText(length.targetSeconds),
    length.way,
    length.breathSeconds === null ? 'any breath' : `breath ${length.breathSeconds} s`,
    ...pins,
  ];
  return parts.join(' | ');
}

/** Reads it again; `stepIds` are the class's steps in order. */
export function lengthOf(value: string, id: string, stepIds: readonly string[]): Length | null {
  const [name = '', target = '', way = '', breath, ...pins] = splitBars(value);
  const targetSeconds = clockOf(target);
  const found = wordOf(FIT_WAYS, way);
  if (targetSeconds === null || found === null || breath === undefined) return null;
  const read = pins.map((pin) => pinOf(pin, stepIds));
  if (read.some((pin) => pin === null)) return null;
  return {
    id,
    name: unescapeText(name),
    targetSeconds,
    way: found,
    breathSeconds: numbersIn(breath)[0] ?? null,
    pins: read.filter((pin): pin is LengthPin => pin !== null),
  };
}

function pinText(pin: LengthPin): string {
  return [
    pin.skipped === null ? '' : pin.skipped ? 'out' : 'in',
    pin.rounds === null ? '' : `rounds ${pin.rounds}`,
    pin.seconds === null ? '' : `seconds ${pin.seconds}`,
  ]
    .filter(Boolean)
    .join(', ');
}

function pinOf(text: string, stepIds: readonly string[]): LengthPin | null {
  const match = /^(\d+) ?(.*)$/.exec(text);
  const stepId = match ? stepIds[Number(match[1]) - 1] : undefined;
  if (!match || stepId === undefined) return null;
  const part = (word: string): number | null => {
    const found = new RegExp(`${word} ([\\d.e+-]+)`).exec(itemAt(match, 2));
    return found ? Number(found[1]) : null;
  };
  const skipped = /\bout\b/.test(itemAt(match, 2)) ? true : /\bin\b/.test(itemAt(match, 2)) ? false : null;
  return { stepId, skipped, rounds: part('rounds'), seconds: part('seconds') };
}

/** `m:ss` for whole seconds, else seconds. */
export function clockText(seconds: number): string {
  if (!Number.isInteger(seconds)) return `${seconds} s`;
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** "10:00", "600 s", "10 minutes"; `null` when it is no time. */
export function clockOf(text: string): number | null {
  const clock = /^(?:(\d{1,2}):)?(\d{1,3}):([0-5]\d)$/.exec(text.trim());
  if (clock) return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3]);
  const plain = /^(\d+(?:\.\d+)?) ?(s|sec|seconds?|m|min|minutes?)?$/i.exec(text.trim());
  return plain ? Number(plain[1]) * (/^m/i.test(plain[2] ?? '') ? 60 : 1) : null;
}
