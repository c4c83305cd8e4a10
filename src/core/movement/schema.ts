import { id, list, ONE_LINE, oneOf, oneOfOrNone, shape, text, title, whole, within } from '@/core/document';
import { COUNTINGS } from '@/core/words';
import { MOVEMENT_LIMITS as LIMITS } from './limits';
import {
  CAUTIONS,
  FORMS,
  LEADS,
  MOVEMENT_FORMAT,
  MOVEMENT_VERSION,
  PRIORITIES,
  LAYERS,
  SECTION_ROLES,
  SIDE_PLANS,
  STANCES,
} from './model';

/** A line said with its neighbours. */
export const spokenLineSchema = shape({
  id: id(),
  text: text(LIMITS.lineCharacters),
  pauseSeconds: within(LIMITS.pauseSeconds),
  layer: oneOfOrNone(LAYERS),
});

const phase = shape({
  id: id(),
  kind: oneOf(['in', 'out', 'rest', 'free'] as const),
  share: within(LIMITS.share).nullable(),
  seconds: within(LIMITS.phaseSeconds).nullable(),
  action: text(LIMITS.titleCharacters),
  full: text(LIMITS.lineCharacters),
  short: text(LIMITS.lineCharacters),
  breath: text(LIMITS.lineCharacters),
  leadSeconds: within(LIMITS.leadSeconds).nullable(),
});

/** The fields of a movement's content, for the library's schema and for the plan's. */
export const contentFields = {
  name: title(LIMITS.titleCharacters),
  traditionalName: text(LIMITS.titleCharacters, ONE_LINE),
  otherNames: list(title(LIMITS.titleCharacters), LIMITS.otherNames),
  stanceStart: oneOfOrNone(STANCES),
  stanceEnd: oneOfOrNone(STANCES),
  sides: oneOf(SIDE_PLANS),
  startSide: oneOf(['left', 'right'] as const),
  pattern: list(phase, LIMITS.phases, 1),
  lead: oneOf(LEADS),
  preferredRounds: whole(1, LIMITS.rounds),
  leastRounds: whole(1, LIMITS.rounds),
  mostRounds: whole(1, LIMITS.rounds),
  multiple: whole(1, LIMITS.rounds),
  preferredSeconds: within(LIMITS.quietSeconds),
  leastSeconds: within(LIMITS.quietSeconds),
  mostSeconds: within(LIMITS.quietSeconds),
  paceMultiplier: within(LIMITS.paceMultiplier),
  inShare: within(LIMITS.inShare).nullable(),
  teach: list(spokenLineSchema, LIMITS.spokenLines),
  fade: list(oneOf(FORMS), LIMITS.fade, 1),
  fadePins: list(whole(1, LIMITS.fade), LIMITS.fade),
  moments: shape({
    naming: text(LIMITS.lineCharacters),
    caution: text(LIMITS.lineCharacters),
    sending: text(LIMITS.lineCharacters),
    roundsLeft: text(LIMITS.lineCharacters),
    leaving: text(LIMITS.lineCharacters),
  }),
  shorts: shape({
    naming: text(LIMITS.lineCharacters),
    caution: text(LIMITS.lineCharacters),
    sending: text(LIMITS.lineCharacters),
    roundsLeft: text(LIMITS.lineCharacters),
    lastRound: text(LIMITS.lineCharacters),
    sideChange: text(LIMITS.lineCharacters),
    leaving: text(LIMITS.lineCharacters),
  }),
  counting: oneOfOrNone(COUNTINGS),
  lastRoundLine: text(LIMITS.lineCharacters),
  sideChangeLine: text(LIMITS.lineCharacters),
  sideChangeSeconds: within({ least: 0, most: LIMITS.phaseSeconds.most }),
  levels: list(
    shape({
      name: title(LIMITS.titleCharacters),
      note: text(LIMITS.noteCharacters),
      line: text(LIMITS.lineCharacters),
    }),
    LIMITS.levels,
  ),
  cautions: list(oneOf(CAUTIONS), CAUTIONS.length),
  seated: text(LIMITS.noteCharacters),
  priority: oneOf(PRIORITIES),
};

/** The Yup schema of a library entry. */
export const movementSchema = shape({
  format: oneOf([MOVEMENT_FORMAT]),
  version: oneOf([MOVEMENT_VERSION]),
  ...contentFields,
  roles: list(oneOf(SECTION_ROLES), SECTION_ROLES.length),
  tags: list(title(LIMITS.tagCharacters), LIMITS.tags),
});
