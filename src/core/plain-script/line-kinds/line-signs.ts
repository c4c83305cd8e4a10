import { firstWord } from '../tokens/first-words';
import { isSwapped, wordAmong } from '../tokens/tokens';
import { wordCount } from '../model/line-words';
import { changesPlace } from './changes-of-place';

/* By what words a line is known to be still, a change of place, spoken to people, or beside the class. */

/** "Standing pillar": a posture by its name, and no standing about. */
const STANDING_NAME =
  /^standing (?!still|quiet|silen|medit|easy|tall|calm|together|here|relaxed|rest|and|in|with|by|at|under|for|so|there|hands|eyes|breath)\p{L}+$/iu;

const QUIET_WORDS = ['quietly', 'silence'];
/** "Stnad", "silnce", "queitly" as they are meant; "strand" and "sand" are other words. */
function spelledStill(word: string): string | null {
  return (
    wordAmong(word, QUIET_WORDS) ??
    ['stand', 'still', 'standing', 'sitting', 'quiet'].find((one) => isSwapped(word, one)) ??
    null
  );
}

export function isStill(written: string): boolean {
  const text = written.replace(/\b[qs]\p{L}{4,8}\b/giu, (word) => spelledStill(word.toLowerCase()) ?? word);
  if (/^(?:both )?(?:hands|palms|one hand) on (?:the |your )?(?:knees|(?:lower )?belly|heart|chest|thighs|lap|navel|back|kidneys|(?:lower )?(?:dantian|dan tian|dan tien|abdomen))[.]?$/i.test(text)) return true; // prettier-ignore
  if (
    /^(?:(?:sit|stand|lie)(?:ting|ing|lying)?\b.{0,20} |(?:a |the |our |closing |final |guided |short |breath(?:ing)? |seated |standing )*)meditat(?:e|ion|ing)$/i.test(
      text,
    )
  )
    return true;
  if (STILL_BY_NAME.test(text) || /^relax(?:ing|ation)? (?:lying|sitting|seated|in silence|quietly|on (?:the|your|their) (?:chair|mat|back)|with (?:my|the|a) (?:recording|music))\b/i.test(text)) return true; // prettier-ignore
  if (/^(?:hands?|palms?|arms|head|legs|knees|feet)\b[^,]*, rest(?:ing)?$/i.test(text)) return true;
  if (/^nothing(?: else)?(?:[,.;]| (?:but|except)\b)/i.test(text)) return true;
  if (/\b(?:do(?:ing)? nothing|nothing at all|nothing to do)\b/iu.test(text)) return true;
  return (
    /^(?:(?:now|then|let us|we|just|quietly) )*(?:stand(?:ing)?(?: (?:still|quietly|and do nothing|here))?|arriv(?:e|ing)(?:,| and| ?\/) ?(?:stand|sit)(?:t?ing)?|stillness|(?:seated|sitting|lying|quiet|silent) (?:meditation|stillness|rest)|still(?=$)|silence|quiet|hush|sh{2,}|z{2,}|peace|(?:loose|easy|calm|simple|plain|silent|still|relaxed|quiet) (?:standing|sitting)|be still|(?:keep|stay|remain)(?:ing)? (?:silent|quiet|still)|rest|seated(?=,? (?:eyes|quiet|still|in silence|hands|palms))|sit(?:ting)?(?: ?\/ ?| )(?:or standing|stand(?:ing)?|lie|still|quiet(?:ly)?|qtly|for|in silence|, hands|, palms|with (?:our |your |their |the )?(?:closed eyes|eyes (?:closed|shut)))|(?:lie|lying)(?: down)?|(?:with )?eyes (?:closed|shut)|(?:clos(?:e|ing)|shut(?:ting)?) (?:your |the |their )?eyes)(?:$|[ ,.;])/i.test(
      text,
    ) &&
    !STANDING_NAME.test(text) &&
    !/^stand(?:ing)? (?:on (?:one|the (?:left|right)|your (?:left|right)|each|either|tiptoe)|like|post|up)\b/i.test(
      text,
    )
  );
}

/** Stillness by what it is called: "Relaxation", "Body scan", "a quiet minute", "watch the breath". */
const STILL_BY_NAME =
  /^(?:(?:a|the|final|closing|deep|short|guided|full|long|side[- ]lying|lying|seated|sitting|standing) )*(?:relax(?:ation|ing)?|body scan|quiet (?:minute|moment|time)|(?:minute|moment)s? of (?:silence|quiet|stillness)|mindful (?:standing|sitting|breathing)|quietness|zhan zhuang|(?:empty|still) (?:standing|sitting)|listen(?:ing)? (?:inside|inwards?|within)|(?:in|sink into|stay in|be in|rest in|enter) (?:the )?(?:quiet|silence|stillness|wuji)|nothing to do|(?:just|only|simply|quiet|silent|calm) breathing|pause and (?:feel|listen|notice|rest)|(?:come home to|settle into|drop into|return to|rest in) (?:the |your )(?:belly|centre|center|breath|body|heart|stillness)|let (?:all |the )?(?:sounds|thoughts) (?:come|go|pass)(?: and go| by)?|stay with (?:the|your) (?:feeling|warmth|breath|hands)(?: [\p{L}]+){0,3}|(?:breath(?:ing)? awareness|body scan|relaxation|meditation), (?:standing|sitting|seated|lying)|(?:closing|final|last|short|long|opening|shared|deep) (?:silence|stillness)|(?:enjoy|keep|share|hold) the (?:quiet|silence|stillness)|(?:sit|stand|rest|stay|be) with (?:it|this|that|the breath|yourself)|(?:your |the |keep |hold )*(?:attention|awareness|mind|focus) (?:on|in|at|with) (?:the |your )?(?:lower |upper |whole |soles of the )?(?:belly|breath(?:ing)?|navel|dantian|feet|hands|palms|heart|body|cent(?:re|er)|spine|back|crown)|soften and (?:listen|feel|wait)|breath(?:ing)? awareness|natural breathing|settl(?:e|ing)|silent|hold (?:the )?silence|(?:(?:intro|outro|calm|soft|quiet) )?music|fade[ -](?:in|out))$|^body scan (?:from|lying|sitting|standing|of)\b.*$|^(?:just |quietly )*(?:watch|follow|observe|notice|listen to|feel) (?:the|your|their|our) (?:breath(?:ing)?|sea|waves|wind|room|sounds?|rain|silence)$|^(?:stand (?:in )?)?wuji(?: stance| standing)?$/iu;

/** What is written down for the day and is no part of the class. */
export const BESIDE_CLASS =
  /\b(?:tea|coffee|cake|biscuits?|chat|natter|payments?|register|feedback|raffle|photos?|notices?|money|keys?|lights?|heaters?|speaker|playlist|projector)\b/i;

/** Stillness said otherwise than by standing or sitting at the start: "palms on the eyes and be silent". */
export function isQuiet(text: string): boolean {
  if (/, (?:quiet|silence|stillness)$/i.test(text)) return true;
  const silent =
    /\b(?:in silence|silent(?:ly)?|say(?:s|ing)? nothing|nothing said|no(?:body|[- ]one) talks|no(?:body|[- ]one) moves|(?:not|without) moving|motionless|no movement|a quiet (?:place|spot|corner)|no talking|be(?:ing)? (?:still|quiet|silent)|(?:keep|stay|remain)(?:ing)? (?:still|silent|quiet)|(?:stand|sit|lie|rest)(?:t?ing)? (?:very )?(?:still|quiet|silent)(?:ly)?|(?:in|into|of) (?:the )?(?:quiet|stillness|silence)(?=$|[ ,.:;])|[,;] (?:quiet|silent|still)(?=$|[,;])|nothing else|just (?:sit|stand|breathe|be|listen)(?:ting|ing)?)\b/i;
  const placed =
    /\b(?:st(?:and|ood)s?(?:ing)?|sit(?:ting)?|lie|lying|rest(?:ing)?|eyes|palms|hands on|belly|listen|be|keep|stay|remain|breather|break|minute|settl(?:e|ing)|arriv(?:e|ing)|let|come|here|wait|pause|finish|end|close|feel(?:ing)?|hands|heart|breath)\b/i;
  return (silent.test(text) && placed.test(text)) || (QUIETLY.test(text) && !MOVES.test(text));
}

/** Quiet as a manner or a thing, and not as a part of a name: "Quiet Crane". */
const QUIETLY =
  /\b(?:quietly|silently|(?:the|in|of) (?:stillness|silence)|quiet (?:pause|end|moment|time|rest|ending|breathing)|and wait|inner smile)\b/i;
const MOVES =
  /\b(?:walk|step|circl|swing|roll|shak|turn|push|pull|wav|stretch|tap|bounc|mov|sway|form\b|flow|swim|row|twist|bend|lift|rais|press|danc|march|rock|draw|open|clos(?:e|ing) the (?!eyes)|float|practi[sc])\p{L}*/iu;

/** "Feel the feet", "Let the breath settle", "Just be here": nobody moves. */
const ONLY_FELT =
  /^(?:(?:just|only|simply|quietly|then|now|and|next)[,:]? )*(?:(?:hear(?:ing)?|listen(?:ing)? to) (?:the |your |our )?\p{L}+(?: \p{L}+)?|(?:hands|palms) on (?:the |your )?(?:heart|belly|chest), (?:listen|feel|notice)(?:ing)?(?: inside| inwards?)?|(?:(?:feel|notic|sens|watch|count|follow|observ)(?:e|ing)?|stay with|be with|rest in) (?:the |your |our )?(?:own |whole |both )?(?:feet|breath(?: come and go| coming and going| move| moving| going in and out)?|body|hands|heart(?:beat)?|belly|room|ground|floor|weight|sounds?|whole body|warmth|feeling|after-?(?:glow|effects?)|effects?|tingling|stillness)(?:[,;] (?:quiet|still|silent)(?:ly)?)?|let (?:the |your |everything |it |all |things )*(?:breath |mind |body |dust )?(?:all )?(?:settle|be(?: as (?:it is|they are))?|rest)|let (?:the |your )?breath (?:breathe|come|be|flow|go|find)(?: [\p{L}’']+){0,4}|be here|(?:notice|feel|sense) (?:what|how|where|whether) (?!to\b)\p{L}[\p{L} ’']{2,40})$/iu;

/** Whether people only feel or hear something, and nobody moves. */
export function isOnlyFelt(text: string): boolean {
  return ONLY_FELT.test(text);
}

/** What is left of a line about another: "no talking in that". */
export const FRAGMENT = /^(?:in|on|at|for|here|there|with|during|please|this|that|it)\b/i;

const PLACE_VERBS = ['step', 'bring', 'place', 'change', 'turn', 'shift', 'move', 'switch'];
const DOWN = ['down'];
const FEET = ['apart', 'together', 'wide', 'wider', 'in', 'again', 'hip'] as const;

export function isTransition(text: string): boolean {
  return isPlainTransition(text) || changesPlace(text);
}

/** Whether a change of place is one by its words alone; others may as well be said to people. */
export function isPlainTransition(text: string): boolean {
  const first = wordAmong(firstWord(text), PLACE_VERBS);
  if (
    first !== null &&
    /\b(?:feet|foot|legs?|stance|(?<!from side to )sides?(?! to side)|chair)\b|^step (?:in|back)\b/i.test(text)
  )
    return true;
  return (
    /^(?:let us |now |then |we )*(?:bring|step) (?:the |your )?feet\b/i.test(text) ||
    (/^stand(?:ing)? (?:up )?(?:behind|beside|from|in front|next|and face)\b/i.test(text) && wordCount(text) <= 6) ||
    (/^feet \p{L}/iu.test(text) && wordAmong(firstWord(text.slice(5)), FEET) !== null) ||
    /^(?:(?:down|up|back) to (?:sit(?:ting)?|stand(?:ing)?)|sit up|come (?:to|up to|back to) (?:sit|stand)(?:ing)?|lie down)\b/i.test(
      text,
    ) ||
    /^sit(?:ting)?(?:[,.]| \(|$)/i.test(
      text.replace(/^(sit(?:ting)?) (\p{L}+)/iu, (all, sit: string, next: string) =>
        wordAmong(next.toLowerCase(), DOWN) ? sit : all,
      ),
    )
  );
}

export const TALK_STARTS =
  /^(?:(?:done|finished|out|home) by|(?:pause|stop|break) for (?:a )?(?:water|drinks?|questions|photos?)|whoever|whatever|anyone|anybody|those who|i|i'll|i’ll|i'd|if|you|your|they|it|this|that|there|thank|thanks|thx|ty|cheers|good|hello|hi|helo|bye|welcome|say|tell|warn|give|call|keep|don't|don’t|dont|do not|somebody|see you|nb|let the|listen|last(?! [a-z]+,? (?:[x×] ?)?(?:\d|one|two|three|four|five|six|eight|ten|half)\b)|between|must|should|need to|make sure|remember|remind|ask|check|introduce|explain|mention|point out|demonstrate|talk about|lock up|hand out|collect (?:the |your |their |all )*(?:money|fees?|mats?|chairs?|phones?|forms?|bands?|sticks?|cushions?|names|cards?)|set up|tidy|money|notices|bring (?:the |your |a |some |spare |extra )*(?:chairs?|mats?|water|bell|speaker|music|keys?)|turn (?:on|off)|put on|come back|and now|never|not|leave out|mind|(?:the )?(?:first|last|next) (?:\w+ )?rounds? (?:are|is))\b/i;

const AS_LIKED = /,? \b(?:as|where|wherever|however) (?:you|they|we) (?:like|please|are|want|wish|prefer)\b/gi;

/** Whether a line speaks to people, or of them, rather than names what is done. */
export function isTalk(written: string, left: string): boolean {
  const [body, rest] = [written, left].map((one) => one.replace(AS_LIKED, '')) as [string, string];
  if (TALK_STARTS.test(body) && !/^let us\b/i.test(body)) return true;
  return (
    /[?]$/.test(body) ||
    / I (?!do\b)\p{Ll}/u.test(rest) ||
    /\b(?:you|your|(?<!\b(?:on|of|with|over) )them|somebody|people)\b/i.test(rest)
  );
}
