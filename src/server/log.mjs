import pino from 'pino';

/** The one log of the server: a JSON line each, with the time in ISO 8601. */
export const log = pino({ base: null, timestamp: pino.stdTimeFunctions.isoTime });
