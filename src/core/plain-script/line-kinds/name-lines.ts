import { findCounts, hasAmount } from '../phrases/counts';
import { firstWord, isBreathWord } from '../tokens/first-words';
import { TALK_STARTS } from './line-signs';
import { isTold } from './talks';
import { NUMBER_IN_WORDS } from '../tokens/tokens';
import { wordCount } from '../model/line-words';

/* Whether a line by itself could be a name in a list, has an amount, or tells how something is done. */

const NAME_AT_MOST = 60;
const WORDS_AT_MOST = 5;

const COUNTED_AT_MOST = 120;
/** A line without any of this has no amount, and need not be looked through. */
export const MAY_COUNT = new RegExp(`\\d|\\b(?:${NUMBER_IN_WORDS}|half|minutes?|once|twice)\\b`, 'i');

/** Whether a line has an amount. */
export function isCounted(line: string): boolean {
  return line.length <= COUNTED_AT_MOST && MAY_COUNT.test(line) && hasAmount(findCounts(line).counts);
}

const BODY =
  '(?:knees?|necks?|shoulders?|jaw|elbows?|wrists?|hands?|fingers?|breath|back|spine|belly|hips?|feet|foot|toes?|heels?|chest|eyes?|face|palms?|arms?|legs?|chin|head|crown|weight|gaze|tailbone|tongue|thumbs?)';
/** "soft knees", "elbows heavy", "eyes follow the hand", "feel the weight": how something is done, and nothing that is. */
const CUE = new RegExp(
  `^(?:very |nice and )?(?:soft|long|heavy|relaxed|light|tall|easy|quiet|still|warm) ${BODY}(?:$|, | and )|^(?:the )?${BODY} (?:(?:stays?|hangs?|remains?|rests?|stay) )?(?:very )?(?:heavy|soft|down|low|loose|relaxed|long|wide|straight|level|light|still|warm|easy|quiet|empty|full|tucked|lifted|parallel|dropped|lowered|raised|follows?|leads?|melts?)\\b|^look (?:far|ahead|straight|into the|to the horizon|at the (?:horizon|sea|floor|hands?|wall))\\b|^(?:feel|think|imagine|focus|notice|sense|soften|smile|breathe|relax|let|as if|as though|like|from the|through the|without|with|into|stay|smooth|slow(?:ly)?$|gently|softly|smaller|bigger|deeper|slower|unhurried|no\\b|not\\b)(?:\\b|$)(?! ?(?:of )?breath(?:ing|s))`,
  'iu',
);

/** Whether a line tells how something is done, and nothing that is. */
export function isCue(text: string): boolean {
  return !/[.!?]/.test(text) && CUE.test(text);
}

const LOOKED_AFTER = new RegExp(
  `^(?:the )?${BODY} (?:on|in|into|over|under|behind|above|below|to|towards?|face|facing|look(?:ing)?|stays?|rests?|follows?|leads?|sinks?|drops?|hangs?|soft|heavy|light)\\b|^(?:watch|keep|ask|remind|think|nb|note|mind|feel|check|imagine|notice|remember|avoid|never|always|not|no)\\b|^(?:small|big|slow|soft|heavy|light|smooth|round|easy|gentle|loose|long|quiet)(?:er|ly)? (?:circles?|movements?|steps?|arms?|hands?|knees?|shoulders?|breaths?|hips?|and)\\b`,
  'i',
);

/** Whether a line that stands right below a step, and above the next, is a remark on it. */
export function isRemark(text: string): boolean {
  return isCue(text.replace(/[.]$/, '')) || LOOKED_AFTER.test(text);
}

/** "Self massage: face, neck, arms, legs". */
const OF_PARTS =
  /^(?!(?:note|cue|say|tip|nb|option|level|caution|bring|music|theme|focus)\b)\p{Lu}\p{L}+(?: \p{L}+){0,3}: \p{Ll}+(?:, (?:and )?\p{Ll}+){2,8}\.?$/u;

/** A few words without a stop, a label or somebody they speak to. */
export function isNameLike(text: string): boolean {
  return (
    OF_PARTS.test(text) ||
    (text.length <= NAME_AT_MOST &&
      /^\p{L}/u.test(text) &&
      !/[.!?:;"“”=|\t]|\b(?:you|your|I|we|they|them|is|are|don['’]?t|not|no|any ?time|throughout|always|never|if|when|where|only|careful|carefully|watch|monitor|check|avoid|mind|remember|allow|keep|pain|dizz\w*|optional)\b/iu.test(
        text,
      ) &&
      wordCount(text) <= WORDS_AT_MOST &&
      !TALK_STARTS.test(text) &&
      !isBreathWord(firstWord(text)) &&
      !isTold(text) &&
      !/\bin\b.*\bout\b|\bout\b.*\bin\b/i.test(text) &&
      !isCue(text) &&
      !/^(?:done|end|finish(?:ed)?|out|home|off|over|ready|go|start)$/i.test(text))
  );
}
