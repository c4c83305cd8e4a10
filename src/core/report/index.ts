export { reportOf } from './report';
export { longSilences } from './whole';
export type { Difference, Report, StepReading } from './model';
