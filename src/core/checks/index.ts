export { CHECK_GROUPS, GRAVITIES, type CheckGroup, type FactName, type Finding, type Fix, type Gravity } from './model';
export { gathered, kindOf, type Gathered } from './gathered';
export { checkPlan, createChecker, type Checker } from './check-plan';
export { fixAllEdit } from './fix-all';
export { CHECKS } from './registry';
export { dismissEdit, dismissalReason } from './dismissed';
