export { readShownClass, shownAt, shownClass, shownClassSchema, type Shown, type ShownClass } from './shown-class';
export { performanceOf, standingOf, standingSchema, type Standing } from './standing';
export { clockAhead, type ClockReading } from './clock';
export { COMMAND_MILLISECONDS, COMMANDS, eventOfCommand, type Command } from './commands';
export type { LiveEvent } from './events';
