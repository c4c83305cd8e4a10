export { firstItems, itemAt } from './item-at';
export { takenAs } from './taken-as';
export { mean, median } from './averages';
export { Random } from './random';
export { sameTime, toMilliseconds, toSeconds, wholeMilliseconds, type Milliseconds, type Seconds } from './seconds';
export { formatClock, formatDifference, formatExactClock, parseClock, type BareUnit } from './clock-text';
export { countWhere } from './count-where';
export { lastStartedAt, overlapSeconds, type Interval } from './interval';
export { failed, ok, type Issue, type Result } from './result';
