import {
  id,
  list,
  ONE_LINE,
  oneOf,
  oneOfOrNone,
  shape,
  text,
  title,
  whole,
  within,
  type Stored,
  type StoredFields,
} from '@/core/document';
import { PHASE_KINDS } from '@/core/breath';
import { BELLIES, BREATH_WAYS, COUNTINGS, OUT_BREATHS } from '@/core/words';
import { MOVEMENT_LIMITS as LIMITS } from './limits';
import {
  CAUTIONS,
  DURING_PLACES,
  DURING_SIDES,
  FORMS,
  LAYERS,
  PACINGS,
  MOVEMENT_FORMAT,
  MOVEMENT_VERSION,
  PRIORITIES,
  SECTION_ROLES,
  SHORTENED,
  SIDE_PLANS,
  STANCES,
  type Shortened,
} from './vocabulary';

/*
 * What a movement is made of, as it is judged at the door; the types are read off it.
 */

const line = () => text(LIMITS.lineCharacters);

/** A line that is said one after the other with its neighbours, not led by the breath. */
export const spokenLineSchema = shape({
  id: id(),
  text: line(),
  /** Silence after it, in seconds. */
  pauseSeconds: within(LIMITS.pauseSeconds),
  /** `null` where it belongs to no layer. */
  layer: oneOfOrNone(LAYERS),
});
export type SpokenLine = Stored<typeof spokenLineSchema>;

/** A line that is said while the rounds run, over what is done: it takes no time of its own. */
export const duringLineSchema = shape({
  id: id(),
  text: line(),
  on: oneOf(DURING_PLACES),
  /** The round, from 1; each so many rounds; how many are left; or the seconds since the rounds began. 0 for `anywhere`. */
  number: within(LIMITS.duringNumber),
  side: oneOf(DURING_SIDES),
  /** What of the movement joins with it, where it is taught in layers; `null` where it belongs to none. */
  layer: oneOfOrNone(LAYERS),
});
export type DuringLine = Stored<typeof duringLineSchema>;

/** One phase of a round, with what is done and said in it. */
const phaseSchema = shape({
  id: id(),
  kind: oneOf(PHASE_KINDS),
  /** Share of one breath (0.45 = 45 %); `null` takes the class's in : out ratio. */
  share: within(LIMITS.share).nullable(),
  /** Own length in seconds; wins over `share`. */
  seconds: within(LIMITS.phaseSeconds).nullable(),
  action: text(LIMITS.titleCharacters),
  full: line(),
  short: line(),
  breath: line(),
  /** How long before this phase its words start, in seconds; `null` takes the class's lead. */
  leadSeconds: within(LIMITS.leadSeconds).nullable(),
  /** The round it joins on, and the last it is part of; `null` to the end. By the clock it is part of every round. */
  fromRound: whole(1, LIMITS.rounds),
  toRound: whole(1, LIMITS.rounds).nullable(),
});
export type Phase = Stored<typeof phaseSchema>;

/** What is said at moments of a movement that are no phase of the breath; each may be empty. */
const momentsSchema = shape({
  /** As it begins. */
  naming: line(),
  /** Before it is taught. */
  caution: line(),
  /** Sends people into their own pace. */
  sending: line(),
  /** With the round before the last, or with each in counting down; see `Counting`. */
  roundsLeft: line(),
  /** After the last round. */
  leaving: line(),
});
export type Moments = Stored<typeof momentsSchema>;

/** Shorter wordings; each may be empty: the full wording is then said in its place. */
const shortsSchema = shape(Object.fromEntries(SHORTENED.map((one) => [one, line()])) as ShortFields);
type ShortFields = Record<Shortened, ReturnType<typeof line>>;
export type Shorts = Stored<typeof shortsSchema>;

/** One level of difficulty: what it is called and what it asks. */
const levelSchema = shape({
  name: title(LIMITS.titleCharacters),
  note: text(LIMITS.noteCharacters),
  /** Said to offer it, after the teaching, one after the other; may be none. */
  lines: list(line(), LIMITS.linesOfLevel),
});
export type Level = Stored<typeof levelSchema>;

/** What a movement is, wherever it stands: the same in the library and in the copy that a class keeps. */
export const contentFields = {
  name: title(LIMITS.titleCharacters),
  traditionalName: text(LIMITS.titleCharacters, ONE_LINE),
  /** Themed names it also goes by. */
  otherNames: list(title(LIMITS.titleCharacters), LIMITS.otherNames),
  /** `null` where it may be any. With sides, as it is when the left side begins. */
  stanceStart: oneOfOrNone(STANCES),
  stanceEnd: oneOfOrNone(STANCES),
  sides: oneOf(SIDE_PLANS),
  startSide: oneOf(['left', 'right'] as const),
  pattern: list(phaseSchema, LIMITS.phases, 1),
  pacedBy: oneOf(PACINGS),
  /** Rounds the instructor asked for, on each side; the fit stays near it. Where rounds are led by the breath only. */
  preferredRounds: whole(1, LIMITS.rounds),
  minRounds: whole(1, LIMITS.rounds),
  maxRounds: whole(1, LIMITS.rounds),
  /** Rounds come in multiples of this. */
  multiple: whole(1, LIMITS.rounds),
  /** Time asked for, both sides together, teaching not counted: all but breath-led; after led rounds, that at own pace. */
  preferredSeconds: within(LIMITS.countedSeconds),
  minSeconds: within(LIMITS.countedSeconds),
  maxSeconds: within(LIMITS.countedSeconds),
  /** Multiplier on the class's breath, in hundredths. */
  paceMultiplier: within(LIMITS.paceMultiplier),
  /** Own share of a breath that goes in; `null` takes the class's. */
  inhaleShare: within(LIMITS.inhaleShare).nullable(),
  /** Said, with the movement shown, before the first counted round; timed by speech. */
  teach: list(spokenLineSchema, LIMITS.spokenLines),
  /** Said while its rounds, its own pace or its hold run, in this order. */
  during: list(duringLineSchema, LIMITS.spokenLines),
  /** Which form is said on round 1, 2, ...; the last one holds for the rest. */
  fade: list(oneOf(FORMS), LIMITS.fade, 1),
  /** Rounds, from 1, whose form was chosen by hand and is not changed by fitting the words. */
  fadePins: list(whole(1, LIMITS.fade), LIMITS.fade),
  moments: momentsSchema,
  shorts: shortsSchema,
  /** `null` takes the class's. */
  counting: oneOfOrNone(COUNTINGS),
  breathWay: oneOfOrNone(BREATH_WAYS),
  belly: oneOfOrNone(BELLIES),
  outBreath: oneOfOrNone(OUT_BREATHS),
  /** Said before the words of each side's final round, or to call people back from their own pace; may be empty. */
  lastRoundLine: line(),
  /** Said in the change between the two sides of a movement of one side, then the other, or of both directions. */
  sideChangeLine: line(),
  /** The same between the two ways on one leg. */
  wayChangeLine: line(),
  /** From the last word of the call back to the end of a time at one's own pace or of a hold. */
  callBackLeadSeconds: within(LIMITS.callBackLeadSeconds),
  /** Length of that change, in seconds. */
  sideChangeSeconds: within({ min: 0, max: LIMITS.phaseSeconds.max }),
  /** None, or up to three, the easiest first. */
  levels: list(levelSchema, LIMITS.levels),
  cautions: list(oneOf(CAUTIONS), CAUTIONS.length),
  /** How it is done seated; empty where there is no seated version. */
  seated: text(LIMITS.noteCharacters),
  priority: oneOf(PRIORITIES),
};
export type MovementContent = StoredFields<typeof contentFields>;

/** An entry of the library. */
export const movementSchema = shape({
  format: oneOf([MOVEMENT_FORMAT]),
  version: oneOf([MOVEMENT_VERSION]),
  ...contentFields,
  /** Parts of a class that it suits. */
  roles: list(oneOf(SECTION_ROLES), SECTION_ROLES.length),
  tags: list(title(LIMITS.tagCharacters), LIMITS.tags),
});
export type Movement = Stored<typeof movementSchema>;
