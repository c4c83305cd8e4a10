export {
  placeAt,
  projectedSeconds,
  READY,
  transition,
  type Effect,
  type Performance,
  type PerformanceEvent,
} from './conductor';
