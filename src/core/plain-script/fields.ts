import { COUNTINGS } from '@/core/words';
import {
  CAUTIONS,
  FORMS,
  LEADS,
  PRIORITIES,
  SIDE_PLANS,
  STANCES,
  type Level,
  type Moments,
  type Priority,
  type Shortened,
  type Stance,
} from '@/core/movement';
import {
  COMPANIONS,
  INTROS,
  makeMovement,
  makeQuiet,
  makeTalk,
  makeTransition,
  VIEWS,
  type MovementStep,
  type QuietStep,
  type Step,
  type TalkStep,
  type TransitionStep,
} from '@/core/plan';
import { escapeText, splitBars, unescapeText } from './escape';

/*
 * The settings of the tidy form: `key: value`, one a line. Each is written where it differs from what a new step
 * has, and read back into the same field.
 */

/** A setting of one kind of thing. `write` gives the value as text; `read` the changed fields, `null` if it cannot. */
export interface Field<Thing> {
  readonly key: string;
  readonly write: (thing: Thing) => string;
  readonly read: (value: string, thing: Thing) => Partial<Thing> | null;
}

/** Every number in a text, in order. */
export function numbersIn(value: string): number[] {
  return [...value.matchAll(/-?\d+(?:\.\d+)?(?:e[+-]?\d+)?/gi)].map(([number]) => Number(number));
}

/** One of a few words, however it is capitalised. */
export function oneOf<Value extends string>(values: readonly Value[], word: string): Value | null {
  return values.find((value) => value === word.trim().toLowerCase()) ?? null;
}

function textField<Thing, Key extends keyof Thing>(key: string, field: Key): Field<Thing> {
  return {
    key,
    write: (thing) => escapeText(String(thing[field])),
    read: (value) => ({ [field]: unescapeText(value) }) as unknown as Partial<Thing>,
  };
}

function wordField<Thing, Key extends keyof Thing>(
  key: string,
  field: Key,
  values: readonly (Thing[Key] & string)[],
): Field<Thing> {
  return {
    key,
    write: (thing) => String(thing[field]),
    read: (value) => {
      const found = oneOf(values, value);
      return found === null ? null : ({ [field]: found } as unknown as Partial<Thing>);
    },
  };
}

/** Numbers in a set order, with words around them that only help the reader. */
function numbersField<Thing>(
  key: string,
  fields: readonly (keyof Thing)[],
  words: (values: readonly string[]) => string,
): Field<Thing> {
  return {
    key,
    write: (thing) => words(fields.map((field) => String(thing[field]))),
    read: (value) => {
      const found = numbersIn(value);
      if (found.length !== fields.length) return null;
      return Object.fromEntries(fields.map((field, at) => [field, found[at]])) as unknown as Partial<Thing>;
    },
  };
}

const state: Field<Step> = {
  key: 'state',
  write: (step) => [step.pinned ? 'pinned' : '', step.leftOut ? 'left out' : ''].filter(Boolean).join(', ') || 'free',
  read: (value) => ({ pinned: /pinned/i.test(value), leftOut: /left out/i.test(value) }),
};

const stanceOf = (word: string): Stance | null | undefined =>
  /^any$/i.test(word.trim()) ? null : (oneOf(STANCES, word) ?? undefined);

function stanceField<Thing extends { readonly stance: Stance | null }>(): Field<Thing> {
  return {
    key: 'stance',
    write: (thing) => thing.stance ?? 'any',
    read: (value) => {
      const stance = stanceOf(value);
      return stance === undefined ? null : ({ stance } as Partial<Thing>);
    },
  };
}

const TIMES = (values: readonly string[]): string => `${values[0]} s, asked ${values[1]}, ${values[2]} to ${values[3]}`;

const priority = <Thing extends { readonly priority: Priority }>(): Field<Thing> =>
  wordField('priority', 'priority', PRIORITIES as readonly (Thing['priority'] & string)[]);

function momentField(key: string, moment: keyof Moments): Field<MovementStep> {
  return {
    key,
    write: (step) => escapeText(step.moments[moment]),
    read: (value, step) => ({ moments: { ...step.moments, [moment]: unescapeText(value) } }),
  };
}

function shortField(key: string, line: Shortened): Field<MovementStep> {
  return {
    key: `${key} in short`,
    write: (step) => escapeText(step.shorts[line]),
    read: (value, step) => ({ shorts: { ...step.shorts, [line]: unescapeText(value) } }),
  };
}

export const MOVEMENT_FIELDS: readonly Field<MovementStep>[] = [
  textField('also', 'traditionalName'),
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
      const [word, side = ''] = value.split(',');
      const sides = oneOf(SIDE_PLANS, word);
      return sides === null ? null : { sides, startSide: /right/i.test(side) ? 'right' : 'left' };
    },
  },
  wordField('led by', 'lead', LEADS),
  numbersField(
    'rounds',
    ['rounds', 'preferredRounds', 'leastRounds', 'mostRounds', 'multiple'],
    ([now, asked, least, most, multiple]) => `${now}, asked ${asked}, ${least} to ${most}, in ${multiple}s`,
  ),
  numbersField('time', ['seconds', 'preferredSeconds', 'leastSeconds', 'mostSeconds'], TIMES),
  numbersField('breath', ['paceMultiplier'], ([multiplier]) => `x ${multiplier}`),
  {
    key: 'in share',
    write: (step) => (step.inShare === null ? 'the class’s' : String(step.inShare)),
    read: (value) => ({ inShare: numbersIn(value)[0] ?? null }),
  },
  {
    key: 'fade',
    write: (step) => step.fade.join(', '),
    read: (value) => {
      const forms = value.split(',').map((word) => oneOf(FORMS, word));
      return forms.length > 0 && forms.every((form) => form !== null) ? { fade: forms } : null;
    },
  },
  {
    key: 'fade held',
    write: (step) => step.fadePins.join(', '),
    read: (value) => ({ fadePins: numbersIn(value) }),
  },
  momentField('naming', 'naming'),
  momentField('first a caution', 'caution'),
  momentField('sending', 'sending'),
  momentField('rounds left', 'roundsLeft'),
  momentField('leaving', 'leaving'),
  shortField('naming', 'naming'),
  shortField('first a caution', 'caution'),
  shortField('sending', 'sending'),
  shortField('rounds left', 'roundsLeft'),
  shortField('last', 'lastRound'),
  shortField('change', 'sideChange'),
  shortField('leaving', 'leaving'),
  wordField('said around it', 'intro', INTROS),
  {
    key: 'counting',
    write: (step) => step.counting ?? 'the class’s',
    read: (value) => ({ counting: oneOf(COUNTINGS, value) }),
  },
  wordField('seen from', 'view', VIEWS),
  textField('last', 'lastRoundLine'),
  {
    key: 'change',
    write: (step) => `${step.sideChangeSeconds} s | ${escapeText(step.sideChangeLine)}`,
    read: (value) => {
      const [time, line] = splitBars(value);
      const [seconds] = numbersIn(time);
      return seconds === undefined || line === undefined
        ? null
        : { sideChangeSeconds: seconds, sideChangeLine: unescapeText(line) };
    },
  },
  {
    key: 'levels',
    write: (step) =>
      step.levels.map(({ name, note, line }) => [name, note, line].map(escapeText).join(' | ')).join(' | '),
    read: (value) => {
      const parts = value === '' ? [] : splitBars(value).map(unescapeText);
      if (parts.length % 3 !== 0) return null;
      const levels: Level[] = [];
      for (let at = 0; at < parts.length; at += 3) {
        const [name, note, line] = parts.slice(at, at + 3);
        levels.push({ name, note, line });
      }
      return { levels };
    },
  },
  {
    key: 'cautions',
    write: (step) => step.cautions.join(', '),
    read: (value) => {
      const cautions = value === '' ? [] : value.split(',').map((word) => oneOf(CAUTIONS, word));
      return cautions.every((caution) => caution !== null) ? { cautions } : null;
    },
  },
  textField('seated', 'seated'),
  priority<MovementStep>(),
  state as unknown as Field<MovementStep>,
  {
    key: 'library',
    write: (step) => (step.source ? `${step.source.movementId} revision ${step.source.revision}` : 'none'),
    read: (value) => {
      const match = /^(\S+) revision (\d+)$/.exec(value);
      return { source: match ? { movementId: match[1], revision: Number(match[2]) } : null };
    },
  },
];

function accompanying<Thing extends TalkStep | QuietStep | TransitionStep>(): Field<Thing>[] {
  const goesWith = wordField<TalkStep, 'goesWith'>('goes with', 'goesWith', COMPANIONS);
  return [goesWith as unknown as Field<Thing>, priority<Thing>(), state as unknown as Field<Thing>];
}

export const TALK_FIELDS: readonly Field<TalkStep>[] = [
  numbersField('tempo', ['tempo', 'leastTempo', 'mostTempo'], ([now, least, most]) => `${now}, ${least} to ${most}`),
  {
    key: 'caution',
    write: (step) => (step.caution ? 'yes' : 'no'),
    read: (value) => ({ caution: /^yes/i.test(value) }),
  },
  ...accompanying<TalkStep>(),
];

export const QUIET_FIELDS: readonly Field<QuietStep>[] = [
  numbersField('time', ['seconds', 'preferredSeconds', 'leastSeconds', 'mostSeconds'], TIMES),
  stanceField<QuietStep>(),
  {
    key: 'eyes',
    write: (step) => (step.eyesClosed ? 'closed' : 'open'),
    read: (value) => ({ eyesClosed: /closed/i.test(value) }),
  },
  textField('opening', 'openingLine'),
  {
    key: 'reassurance',
    write: (step) => `every ${step.reassuranceEverySeconds} s | ${escapeText(step.reassuranceLine)}`,
    read: (value) => {
      const [time, line] = splitBars(value);
      const [every] = numbersIn(time);
      return every === undefined || line === undefined
        ? null
        : { reassuranceEverySeconds: every, reassuranceLine: unescapeText(line) };
    },
  },
  textField('call back', 'callBackLine'),
  numbersField('call back before the end', ['callBackLeadSeconds'], ([seconds]) => `${seconds} s`),
  ...accompanying<QuietStep>(),
];

export const TRANSITION_FIELDS: readonly Field<TransitionStep>[] = [
  numbersField('takes', ['seconds'], ([seconds]) => `${seconds} s`),
  stanceField<TransitionStep>(),
  textField('say', 'line'),
  ...accompanying<TransitionStep>(),
];

const noId = (): string => 'x';
/** What a step has before a setting is read; a setting that says the same is not written. */
export const FRESH = {
  movement: makeMovement(noId, 'x'),
  talk: makeTalk(noId, 'x', []),
  quiet: makeQuiet(noId, 'x', {}),
  transition: makeTransition(noId, 'x', 5, ''),
} as const;

/** The settings of a step's kind. */
export function fieldsOf(kind: Step['kind']): readonly Field<Step>[] {
  const fields: Readonly<Record<Step['kind'], unknown>> = {
    movement: MOVEMENT_FIELDS,
    talk: TALK_FIELDS,
    quiet: QUIET_FIELDS,
    transition: TRANSITION_FIELDS,
  };
  return fields[kind] as readonly Field<Step>[];
}
