export { knownTake, type KnownTake } from './habits';
export { proposalsOf, type Proposal } from './proposals';
export { predictedSeconds, predictionsOf, usualOf, type Prediction } from './usual';
