import { saidBeforeMoving } from '../context';
import { isMovement, type ClassCheck } from '../model';

const STANDS =
  /\b(?:arriv(?:e|al|ing)|settl(?:e|ing)|feet|stand(?:ing)?|knees|posture|sit(?: quietly| still|ting)|sit (?:up|tall|on|at|in|towards|near|with)|seated|lie (?:down|on)|lying|shoulders|spine|back straight|find (?:some|your|a little) (?:room|space|place))\b/i;
/** Beside a movement soft knees are its own. */
const STANDS_TO_MOVE =
  /\b(?:stand(?:ing)?|feet (?:\S+ ){0,3}(?:apart|together|wide|width|flat|floor|ground|parallel)|sit|seated|chair|stool|lie (?:down|on)|lying)\b/i;
/** "Arriving, feet flat", the first step by its name. */
const ARRIVES = /\b(?:arriv(?:e|al|ing)|settl(?:e|ing))\b/i;

/**
 * The class moves before anybody has arrived: nothing that comes before its first movement, and nothing that teaches it,
 * says how to stand or sit.
 */
export const noArrival: ClassCheck = {
  name: 'no-arrival',
  group: 'flow',
  gravity: 'should',
  of: 'class',
  find: ({ steps }) => {
    if (steps.some(({ section }) => section.role === 'arrival')) return [];
    if (!steps.some(isMovement) || ARRIVES.test(steps[0]?.step.name ?? '')) return [];
    const { before, taught } = saidBeforeMoving(steps);
    const arrives = before.some((said) => STANDS.test(said)) || taught.some((said) => STANDS_TO_MOVE.test(said));
    return arrives ? [] : [{ stepId: null }];
  },
};
