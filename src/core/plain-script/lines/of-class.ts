import { findCounts } from '../phrases/counts';
import { CLASS_FROM } from '../model/model';

/* How long the class is, by what a line among its steps tells. */

/** "They expect about half an hour": what is said of the class, not of a step in it; in seconds. */
export const OF_CLASS =
  /\b(?:expect|the (?:hall|room|studio|slot)|we have|you have|they have|lasts?|takes|(?:has|needs|is|supposed|meant) to (?:fit|last|be over|be done|finish)|(?:must|should) (?:fit|last|be over|be done|finish)|class|session|lesson|altogether|in total)\b/i;
/** "Total 25 mins", "It lasts half an hour", "no more than 22 min in all": of the class by itself. */
const OF_ALL =
  /^(?:(?:in )?total(?: time)?|all in all|altogether|running time|duration|length)\b|^(?:it|this|the (?:class|session|lesson|hour|programme|whole (?:class|thing|lot)))(?: (?:all|should|will|would|can|may|usually|normally|only|just))* (?:lasts?|takes?|runs?|ran|took|lasted)\b|^(?:that['’]s (?:it|all|everything)[,.]? )?(?:it )?(?:takes|lasts) (?:me|us|them|you) |^(?:about |only |just )?[\w-]+ min(?:ute)?s? (?:tops|max(?:imum)?|at most|altogether)[.!]?$|^that['’]s (?:it|all|everything)[,.:–-]* (?:(?:about|around|roughly) )?\d|^(?:it|this|the (?:class|session|lesson))\b.{0,12}\b(?:be|take|last|run) (?:no |any )?(?:longer|more) than\b|^(?:(?:that|this|which|it|all)(?: (?:all|should|will|would))? (?:makes?|comes? to|adds? up to|is))(?: about| around| roughly)?(?= \d| [a-z-]+ min)|\b(?:in all|all told)[.!]?$|(?:^|[.!?] )it(?:['’]s| is) (?:about |only |just )?\d{1,3} (?:min|minutes)\b/i;

/** Below a step it may as well be the step's. */
export const OF_STEP_TOO = /^(?:duration|length)\b|\b(?:in all|all told)[.!]?$/i;

/** Whether a line tells how long the class is. */
export function isOfAll(body: string): boolean {
  if (!OF_ALL.test(body)) return false;
  const { seconds, rounds } = findCounts(body).counts;
  return rounds === undefined && (seconds?.[0] ?? 0) >= CLASS_FROM;
}
