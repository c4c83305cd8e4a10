export { reportOf } from './report';
export { longSilences } from './whole';
export type { Difference, Report, SectionTalk, SideRounds, Silence, StepReading } from './model';
