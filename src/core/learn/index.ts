export { knownTake, type Habits, type KnownTake, type TakenClass } from './habits';
export { proposalsOf, type Proposal } from './proposals';
export { predictedSeconds, predictionsOf, usualOf, type Prediction, type Usual } from './usual';
