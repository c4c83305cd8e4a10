export { fitPlan, type FitChange, type Fitted, type NotFitted } from './fit';
export { enoughLoosenings, type Loosening } from './loosen';
export { makeProblem, type FitProblem } from './problem';
export { reachOf, type Reach } from './reach';
export { solve } from './solve';
