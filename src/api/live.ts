import { type InferType } from 'yup';
import { boolean, list, oneOf, shape, within } from '@/core/document';
import { COMMANDS, shownClassSchema, standingSchema, type ShownClass, type Standing } from '@/core/live';
import { uuid } from './saves';

/** Letters and digits that are told apart by eye and ear. */
export const CODE_LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
export const CODE_LENGTHS = { follow: 8, remote: 12 } as const;
const CODE = new RegExp(`^[${CODE_LETTERS}]{${CODE_LENGTHS.follow},${CODE_LENGTHS.remote}}$`);

/** A code as it may have been typed: capitals, and spaces or hyphens between; `null` where it is none. */
export function asCode(typed: string): string | null {
  const code = typed.toLowerCase().replace(/[\s-]/g, '');
  return CODE.test(code) ? code : null;
}

/** Events in one request; a prompter that was away for long sends several. */
export const EVENTS_AT_ONCE = 100;

/** The body of `POST /api/classes/:id/live`. `take` leads on where another prompter leads already. */
export const startLiveSchema = shape({ leader: uuid().defined('missing'), shown: shownClassSchema, take: boolean() });

/** The body of `POST /api/classes/:id/live/events`: what the prompter did, in order; one of the two each. */
export const liveEventsSchema = shape({
  leader: uuid().defined('missing'),
  events: list(
    shape({
      id: uuid().defined('missing'),
      standing: standingSchema.optional(),
      shown: shownClassSchema.optional(),
    }).test('one', 'not-one-of:standing shown', (one) => (one.standing === undefined) !== (one.shown === undefined)),
    EVENTS_AT_ONCE,
    1,
  ),
});
export type SentEvents = InferType<typeof liveEventsSchema>['events'];

/** The body of `POST /api/live/:code/commands`. */
export const commandSchema = shape({
  id: uuid().defined('missing'),
  command: oneOf(COMMANDS),
  at: within({ min: 0, max: Number.MAX_SAFE_INTEGER }),
});

/** A live class as its prompter knows it. */
export interface LiveCodes {
  readonly code: string;
  readonly remoteCode: string;
  /** ISO 8601. */
  readonly expiresAt: string;
}

/** What a stream begins with, or goes on from where it missed too much: how things stand at its number. */
export interface LiveSnapshot {
  readonly shown: ShownClass;
  readonly standing: Standing | null;
}

/** A live class as a page of followers is given it. */
export interface LiveResponse extends LiveSnapshot {
  readonly code: string;
  /** Whether this code moves the performance on. */
  readonly mayLead: boolean;
  readonly number: number;
}
