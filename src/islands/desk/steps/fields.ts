/** The fields of every kind of step, in one file of the build. */
export { MovementFields } from './MovementFields';
export { SilenceFields } from './SilenceFields';
export { TalkFields } from './TalkFields';
export { TransitionFields } from './TransitionFields';
