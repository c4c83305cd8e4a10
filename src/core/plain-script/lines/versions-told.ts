import type { Reading } from '../model/reading';
import { reading } from '../model/reading';
import { isTransition } from '../line-kinds/line-signs';
import { capitalised, wordCount } from '../model/line-words';

/*
 * Another way to do the movement above by any of the words that such lines have: who it is for, what it is against the
 * usual way, or a condition. All are guesses; what is sure of them stands in `versions.ts`.
 */

const LABEL_WORDS = 6;
const LABELLED =
  /^(\p{L}[^:?=–—.!\d]{0,40}?|\p{L}|(?:[Ss]tage|[Ll]evel|[Vv]ersion|[Oo]ption|[Vv]ariation|[Ll]) ?\d)(?: ?[:?=]| [–—-]) (\S.+)$/u;

const SITS = /\b(?:seated|sit(?:s|ting)?|sitters?|chairs?|wheelchairs?|armchairs?|stools?|seats?|bench(?:es)?)\b/i;
/** Smaller or larger than what stands above, for somebody, or instead of it. */
const DIFFERS =
  /\b(?:versions?|options?|variations?|variants?|alternativ\p{L}*|easi?er|harder|gentl\p{L}*|simpl\p{L}*|stronger|smaller|bigger|deeper|lower|higher|slower|lighter|less|more|reduc\p{L}*|advanced|experienced|newer|newcomers?|beginners?|new|tired|tiring|hard|easy|young\p{L}*|older|kids|children|seniors?|support|instead|extra|adapt\p{L}*|experience|practice|strength|stamina|modif\p{L}*|progress\p{L}*|regress\p{L}*|^for \p{L}+|level|those who|whoever|others?|optional(?:ly)?|with (?:an? |the )?(?:chair|wall|support|stick|help)|old hands|too \p{L}+|next (?:step|level|stage)|choose|choice|challenge|first[- ]timers?|novices|regulars|folks?|fit(?:ter)?|able|stages? \d|l(?:evel)? ?\d)\b|^[a-c]$/iu;
/** What a label says of all. */
const OF_ALL =
  /^(?:breath\p{L}*|inhale|exhale|note|cue|say|tip|key|focus|image|picture|think|feel|look|remember|music|theme|for all|for everyone|more of|no more|not too|nb|important|why|how|where|when|purpose|good for)\b/iu;

const IF_LIKED =
  /^(?:if (?:you|they) (?:like|want|wish|can|prefer|need(?: it| to)?|feel (?:strong|able|good))|alternatively|instead|otherwise),? \p{L}|^(?=.*\b(?:lower|higher|deeper|bigger|smaller|wider|slower|further|less|more|easier|harder)\b)[^.!?]{4,60} (?:if|when) (?:you|they) (?:like|want|wish|can|prefer|need(?: it| to)?)[.!]?$/iu;
const SMALLER_IF =
  /^(?:keep|make|do|take) (?:it|this|the \p{L}+) (?:small|smaller|low|lower|high|higher|short|shorter|easy|easier|slow|slower)\b[^.!?]{0,10} (?:if|when|for) \p{L}[^.!?]*$|^(?:smaller|bigger|higher|less|slower|half)\b[^.!?]{2,40} (?:if|when|for) \p{L}[^.!?]*$/iu;
const FOR_SOME =
  /^(?:for (?:an? )?(?:more|extra|lighter|easier|gentler|harder|stronger|deeper|slower) (?!of\b)\p{L}+,? \p{L}+|for (?:an? )?(?:lighter|easier|gentler|harder|stronger|deeper|slower)|[^.!?\d]{3,40} for (?:the (?:experienced|advanced|trained|flexible|supple|keen|strong|brave|young|fit|others)|those who (?:can|have more|are (?:used|strong|fit|able))|experienced|advanced)\b[^.!?]*$|(?:light|easy|gentle|simple|soft|short|small|hard|strong|full|big|deep)(?:er)? (?:version|option|variation),? \p{L}+|instead of|if too)\b|^(?:those|people|anyone|students|everyone) with (?:more|less|a lot of|some|no) \p{L}+,? \p{L}|^(?:(?:more|less|very) )?(?:advanced|experienced|older|younger|new(?:er)?|tired|fit(?:ter)?|stiff(?:er)?|strong(?:er)?|weak(?:er)?|slow(?:er)?|keen|able|mobile|nervous|unsure) (?:students|people|ones|members|participants|folks?|bodies) \p{L}|^(?:first[- ]?timers?|beginners|newcomers|novices|regulars|old hands) \p{L}|^(?:the others|others|the rest|the young) (?:go|do|may|can|take|add|stay|keep)\b|^any(?:one|body) (?:tired|new|stiff|weak|strong|keen|fit|unsure|slower)\b \p{L}|^with (?:more |some |enough )?(?:experience|practice|strength),? \p{L}/iu;
const LESS_OR_MORE =
  /^(?:you|they) (?:can|may|could) (?:also )?(?:add|try|skip|leave out) \p{L}|^only (?:small|half|a little|the \p{L}+) (?:if|when)\b|^(?:big|full|wide|small|half|low|deep|high)(?: (?:range|circles?|stance|steps?|version))? (?:if|when) (?:you|they) (?:can|like|want)\b|^(?:simply|just|or|all) without (?:the |your |any )?\p{L}|^not (?:so|very|that|as|quite) \p{L}+\? ?\p{L}|^(?:easier|harder|simpler|gentler|lighter|stronger|smaller|bigger|slower) (?:version|option|variation|way|form) \p{L}|^(?!do\b|take\b|make\b)\p{L}+ it if (?:you|they) (?:can|like|want)\b|^[^.!?:\d]{3,40}: (?:for )?(?:the )?(?:beginners|newcomers|advanced(?: ones| people| students)?|experienced(?: ones| people| students)?|regulars)[.]?$|^(?:whoever|those who) (?:likes?|wants?|can|feels?|wish(?:es)?)(?: it| to)? (?!sit|watch|rest|stop)\p{L}+s? (?:the|your|their|a|both|one)\b|^(?:you|they) (?:can|may|could) (?:also )?(?:make|do|take) (?:it|this) (?:smaller|bigger|lower|higher|slower|deeper|easier|harder|less|half)\b|^try (?:it|this) (?:without|with (?:the |your )?eyes|on (?:your|the) toes|lower|slower|faster)\b|^(?:as|for) (?:an? )?(?:extra |real |bigger )?challenge,? \p{L}|^(?:when|if) (?:tired|weak|stiff|new|strong|unsure|bored|low on energy),? \p{L}|^those who (?:know|have done|already)\b|^(?:add|try|take|include|skip|leave out) [^.!?]{3,40} (?:if|when|once) (?:you|they) (?:know|can|feel|are ready|have got)\b|^(?:or|maybe|perhaps) (?:just|only|simply|without) (?:the |your |one )?\p{L}|^without (?:the |your |any )?\p{L}+ (?:if|when|for)\b|^to make (?:it|this|that) (?:a (?:bit|little) )?(?:harder|easier|stronger|simpler|gentler|more \p{L}+|less \p{L}+),? \p{L}|^make (?:it|this) (?:harder|easier|stronger|simpler|gentler|bigger|smaller) by\b|^(?:just |only )?(?:the )?(?:arms|hands|legs|feet|upper body)(?: only| alone) (?:if|when|for)\b|^(?:slow|tired|stiff|new|weak|strong|struggling|wobbly|unsure|bored)\? ?\p{L}/iu;
const GROWS = /^(?:start|begin) (?:small|low|easy|slow|high)\b[^.]{0,12}\b(?:grow|go|get|then|bigger|deeper|lower)\b/i;
const SITTING =
  /^those who (?:sit|are sitting|are seated),? \p{L}|^sitting, (?:only|just)\b|^(?:on|in|from) (?:the |your )?(?:edge|front|back) of (?:an? |the |your )?(?:chair|seat),? \p{L}|^(?:if|when) (?:you|they) (?:prefer|like|want|need|have|choose|wish|would rather) (?:to )?sit\b|^with (?:an? |the |your )?(?:chair|stool),? (?:sit|do)\b|^sit(?:ting)?(?: tall| down| upright)?, (?:do|the same|feet flat, (?:arms|hands))\b|^(?:the )?(?:chair|seated|sitting) (?:group|crew|row|half) \p{L}|^(?:seated|sitting) (?:the same|participants|version|option|people|students)\b|^you (?:can|may|could) (?:also )?(?:sit|stay seated|do (?:it|this) sitting)\b|^sit and (?:lift|tap|raise|turn|lean|reach|circle|press|keep|let)\b|^(?:can|may|could) (?:also )?(?:stay|be|do (?:it|this)) (?:seated|sitting)\b|^(?:also )?(?:good|fine|possible|works|nice|ok(?:ay)?) (?:on|in|from) (?:an? |the |your )?(?:chair|stool|bench|seat|wheelchair)\b|^sitters \p{L}|^(?:stay|remain) (?:on|in) (?:an? |the |your )?(?:chair|stool|bench|seat|wheelchair)(?: and|,) \p{L}|^(?:(?:also|same|works|or|all) )+(?:seated|sitting)(?: down)?(?: too| as well)?[.!]?$|^(?:seated|sitting)(?: down)?(?: version| option)?(?: too| as well| as (?:before|above))[.!]?$|^sit down (?:for|if|instead)\b|^(?:if|when) (?:you(?:['’]re| are)?|they(?:['’]re| are)?|someone is|anyone is) (?:seated|sitting|on a chair|in a chair)\b,? \p{L}|^(?:seated|sitting|chair) (?:people|folks?|students|ones|group) \p{L}|^(?:sitting|seated)(?: down)? (?:works?|is fine|goes)\b|^(?:those|people|anyone|everyone) (?:sitting|seated|(?:on|in) (?:a |the |their )?chairs?) \p{L}|^(?:seated|sitting|chair) (?:version|option|variation)s? ?[(]?\p{L}|^(?:do|try|take|practi[sc]e) (?:it|this|the same|that)(?: one)? (?:sitting|seated|(?:on|in|from) (?:a|the|your) chair)\b|^sit(?: down)? (?:for|through|during) (?:this|it|that)(?: one)?\b|^(?:the )?same(?: thing| again| movement)? (?:sitting|seated|(?:on|in|from) (?:a|the|your) chair)\b|^(?:(?:it|this) )?(?:can|could|may) (?:also )?be done (?:sitting|seated|(?:on|in|from) (?:a|the) chair)\b|^sit and (?:do|move|use)\b|^(?:on|in|from) (?:an? |the |your |their )?(?:chairs?|seats?|stools?|wheelchairs?),? (?!x?\d)\p{L}/iu;

/** A guess at another way to do the movement above; `null` for a line that tells of none. */
export function versionGuessed(body: string): Reading | null {
  const [, label = '', text = ''] = LABELLED.exec(body) ?? [];
  if (
    text !== '' &&
    wordCount(label) <= LABEL_WORDS &&
    /\p{L}{2}/u.test(text) &&
    !OF_ALL.test(label) &&
    !isTransition(label)
  ) {
    const named = { label: capitalised(label.trim()) };
    if (SITS.test(label) && !/^with\b/i.test(label)) return { ...reading('seated', text, {}, true), ...named };
    if (DIFFERS.test(label)) return { ...reading('level', text, {}, true), ...named };
  }
  if (SITTING.test(body)) return reading('seated', body, {}, true);
  return IF_LIKED.test(body) ||
    GROWS.test(body) ||
    SMALLER_IF.test(body) ||
    FOR_SOME.test(body) ||
    LESS_OR_MORE.test(body)
    ? reading('level', body, {}, true)
    : null;
}
