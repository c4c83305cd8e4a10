import { remembered } from '@/core/units';
import { NUMBER_IN_WORDS } from '../tokens/tokens';

/*
 * A posture that is held, in the words that people have for it: "Horse stance, still for 45 s", "Stay in the bow for a
 * minute", "Static: heron, 30 s each leg". Common practice, no published source.
 */

/** A longer line tells more than a posture and its time. */
const TOLD_UP_TO = 160;

const NUMBER = `(?:\\d{1,3}(?:[.,]\\d)?(?: ?(?:[-–]|to) ?\\d{1,3})?|an?|half an?|${NUMBER_IN_WORDS})`;
const TIME = `(?:(?:about|around|another) )?(?:a (?:good|full|whole|long) (?:minute|half minute)\\b|\\d{0,2}:\\d{2}|${NUMBER}[ -]?(?:s|secs?|seconds?|m|mins?|minutes?)\\b|\\d{1,3} ?["'”′″])`;
const THERE = '(?: (?:it|this|that|them|there|here|still|in it|with it|the (?:shape|posture|position|stance|pose)))*';
/** That nobody moves. */
const STILL = `(?:(?:and |then |we |to be |is |are )*(?:(?:static|still|isometric|standing|long|short|posture)(?: (?=hold))|)(?:hold(?:ing)?|held|freez(?:e|ing)(?! \\p{L}*games?)|frozen|stay(?:ing)?|remain(?:ing)?|keep(?:ing)?(?= (?:it|this|still)))${THERE}|still|static|motionless|isometric(?:ally)?|(?:with(?:out|) )?(?:no|not|any|without) (?:any )?mov(?:ing|ement))`;
const LINK = '(?:,? (?:for|of)|[,:]| [–—-])?';

/** Nothing stands behind it but a side. */
const ENDS = `(?=$|[.,;)\\]!]| (?:[–—-] )?(?:each|per|on|for|both|left|right|l|r|a|an|either|every|one|with|and|then|ea)\\b)`;

const ONLY_STILL = new RegExp(`^\\(?${STILL}[.!)]*$`, 'iu');

/** Whether what stands behind a step and its time only tells that it is held. */
export function isHeld(told: string): boolean {
  return ONLY_STILL.test(told);
}

/** "Heron, still for 45 s": the words before its time. */
const BEFORE_TIME = new RegExp(`(?:^|[,;:.(]? |[(])(?:[–—-] )?(${STILL})${LINK} \\(?(?=${TIME})`, 'iu');
/** "Heron 45 s still": the words behind it. */
const BEHIND_TIME = new RegExp(
  `(?:^|[,;:.(]? |[(])(?:[–—-] )?(?:(?:1 )?[x×] ?|for )?(${TIME})(?:[.,-]| [–—-]|) ?${STILL}${ENDS}`,
  'iu',
);
/** "Static: heron, 45 s", "45 s hold: heron". */
const LABELLED = new RegExp(
  `^(?:(?:still|static|isometric|standing|posture) )?(?:hold|static|still|posture|held)(?: posture| pose)?: (?=\\p{L})`,
  'iu',
);
const TIME_LABELLED = new RegExp(`^(${TIME})[ -](?:(?:still|static) )?hold(?:: | [–—-] | of (?:the )?)(.*)$`, 'iu');
/** "45 s of the heron, held". */
const TIME_FIRST = new RegExp(
  `^(${TIME}) (?:of |in |with )?(?:the )?(\\p{L}[^.;:\\d]{3,50}?),? \\(?${STILL}\\)?((?:,? .{3,30})?)$`,
  'iu',
);
const SIDE = '(?:on |to )?(?:the )?(left|right|l|r)(?: (?:side|leg|foot|arm))?:?';
/** "L: hold 45 s, R: hold 45 s", "hold 45 s on the left, hold 45 s on the right". */
const SIDE_FIRST = new RegExp(
  `^(.*?)[\\s,:;–—-]*\\b${SIDE} hold (?:for )?(${TIME})[,;/]? (?:and |then )*${SIDE} hold (?:for )?\\3[.!]?$`,
  'iu',
);
const SIDE_LAST = new RegExp(
  `^(.*?)[\\s,:;–—-]*\\bhold (?:for )?(${TIME}) ${SIDE}[,;/]? (?:and |then )*hold (?:for )?\\2 ${SIDE}[.!]?$`,
  'iu',
);

/** A hold that is written for one side and for the other. */
function heldTwice(text: string): string | null {
  const first = SIDE_FIRST.exec(text);
  const [, name, time, side] = first ? [first[0], first[1], first[3], first[2]] : (SIDE_LAST.exec(text) ?? []);
  return side === undefined ? null : `${name ?? ''}, hold ${time ?? ''} ${/^r/i.test(side) ? 'right then left' : 'left then right'}`; // prettier-ignore
}

/** "Heron (hold, 45 s)", "Heron (45 s, still)". */
const BRACKETED = new RegExp(
  `^(.*\\p{L}.*?) ?[([](?:${STILL}${LINK} (?:for )?(${TIME})|(?:for )?(${TIME})[,-]? ?${STILL})([^()[\\]]{0,30})[)\\]](.*)$`,
  'iu',
);
/** "Hold the heron for 45 s", "Stay in the bow, a minute each side". */
const ASKED = new RegExp(
  `^((?:(?:and|then|now|next|just|simply) )*(?:(?:hold|stay|remain|freeze(?= in))(?: still)?(?: in)?|(?:hold|stay|stand|rest|remain)(?:ing)?(?: still)? (?:in|with)) (?!up\\b|back\\b|down\\b|out\\b|on\\b|onto\\b|your breath\\b|the breath\\b|it\\b|for\\b|still\\b|there\\b|here\\b|this\\b)[^.,;:\\d]{3,50}?)${LINK} \\(?(?=${TIME})`,
  'iu',
);
/** What people stand in when they stand quietly, which is no posture. */
const NO_POSTURE =
  /\b(?:in|with) (?:silence|stillness|quiet|peace|place|(?:a|the|your) (?:circle|line|room|silence|quiet|spot|place|middle)|eyes|(?:your|the) eyes|nature|meditation|rest|wu ?ji|zhan zhuang|closed)\b|^(?:stand|rest)(?:ing)?(?: still)? (?:in|with) (?!.*\b(?:stances?|postures?|poses?|positions?|shapes?|bow|arms)\b)/iu;
/** A silence, and no posture. */
const NOBODY_MOVES =
  /^(?:(?:then|now|just|simply|and) )*(?:silence|stillness|quiet|stop|(?:hold|keep|stay) (?:silence|silent|quiet)|(?:stand|sit|lie|lying|keep|be|rest|wait)(?:t?ing|ying)?(?: (?:or|and) \p{L}+)? (?:very |all |quite )?(?:still|quiet|silent|motionless|without moving|down))\b|\b(?:stand|sitt?|lie|ly)(?:ing)? (?:very |all |quite )?still\b/iu;
/** What is held so often is a rest in a round; what is held in the breath is a breath. */
const NO_HOLD =
  /\b(?:times|rounds|reps|breaths?|inhale[ds]?|exhale[ds]?|lungs)\b|[x×] ?\d{1,2}(?![\d ]*(?:s|sec|min|m)\w*\b)|\d ?[x×](?! ?\d)/iu;

/** A line of a held posture with its time as ", hold 45 s", which the counts know; `null` where nothing says that it is held. */
export function heldTold(text: string): string | null {
  return text.length > TOLD_UP_TO ? null : toldBefore(text);
}

const toldBefore = remembered(
  (text) =>
    lookForHeld(text)
      ?.replace(/hold :(\d\d)\b/, 'hold $1 s')
      .replace(/\bhold (?:about |around )?an? (?:good |full |whole |long )?(?=min|sec)/i, 'hold 1 ') ?? null,
);

function lookForHeld(text: string): string | null {
  if (!WORTH.test(text) || NOBODY_MOVES.test(text) || NO_HOLD.test(text) || !HAS_TIME.test(text)) return null;
  const timed = TIME_LABELLED.exec(text) ?? TIME_FIRST.exec(text);
  if (timed) return `${timed[2] ?? ''}, hold ${timed[1] ?? ''}${timed[3] ?? ''}`;
  const twice = heldTwice(text);
  if (twice !== null) return twice;
  const bracketed = BRACKETED.exec(text);
  if (bracketed)
    return `${bracketed[1] ?? ''}, hold ${bracketed[2] ?? bracketed[3] ?? ''}${bracketed[4] ?? ''}${bracketed[5] ?? ''}`;
  if (LABELLED.test(text)) return text.replace(LABELLED, '').replace(HAS_TIME, 'hold $&');
  const told = BEFORE_TIME.test(text)
    ? text.replace(BEFORE_TIME, ', hold ')
    : BEHIND_TIME.test(text)
      ? text.replace(BEHIND_TIME, ', hold $1')
      : ASKED.test(text) && !NO_POSTURE.test(text)
        ? text.replace(ASKED, '$1, hold ')
        : null;
  const held = told?.replace(/^, /, '') ?? null;
  // "5 min still" by itself is a silence.
  return held !== null && /^hold /.test(held) && /^[^\p{L}]*(?:still|\d[^,]*\bstill)\b/iu.test(text) ? null : held;
}

const WORTH = /\b(?:hold|held|stay|still|static|motionless|isometric|freez|frozen|remain|keep|mov|stand|rest)/i;
const HAS_TIME = new RegExp(`(?:for )?(?<![\\p{L}\\d])${TIME}`, 'iu');
