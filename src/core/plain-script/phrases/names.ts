import { rememberedLately } from '@/core/units';
import { wordCount } from '../model/line-words';

/*
 * What stands around the name of a step in a plan that somebody wrote for themselves, and is no part of it.
 */

/** "First form: ", "Spare: ", "Extra if there is time: ", "then ", "we are doing ", "last of all there are ". */
const LEADS = [
  /[([](?:optional|if (?:there(?: is|['’]s) )?(?:time|needed|wanted)|time permitting|maybe|new|extra|bonus|spare)[)\]]:? (?:[–—-] )?/u,
  /\d{1,2}(?:st|nd|rd|th)[:.)] /u,
  /(?:the )?(?:last|first|final) (?=(?:\d|half|one|two|three|four|five|ten)[^:–—-]{0,10}(?:min|sec|s\b|m\b)[^:–—-]{0,8}[:–—-])/u,
  /(?:just |simply |only )?(?:do|try) (?:some |the )?(?!nothing|this|that|it\b|what|as\b|the same|not\b)(?=\p{L})/u,
  /(?:first|firstly|last|lastly|finally), /u,
  /(?:it(?:['’]s| is| was) (?:called|named)|(?:a|the|another) (?:movement|exercise|form|move|one|posture)(?: that| which)? (?:I|we|they|you) call) (?=\p{L})/u,
  /(?:(?:we|I|they) )?(?:tried|did|practi[sc]ed|added|repeated|taught|showed) (?!not\b|it\b|this\b|that\b|what\b)(?=\p{L}{2})/u,
  /(?:start|begin|open|finish|end|close|continue|carry on|go on|move on|warm up|started|began|opened|finished|ended|closed|went on|moved on)(?:ing)? (?:off )?(?:with|w|on to|to|by) (?:the |some )?(?=\p{L}{2})/u,
  /(?:ex|exercise|drill)\.? ?\d{1,2}[.)]? (?!(?:with|to|of|and|in|on|for|again|each|times|rounds|reps|mins?|minutes?|x|slow|more)\b)(?=\p{L}{3})/u,
  /(?:review|recap|revise|revision|recall|drill|practi[sc]e)(?: (?:of |from )?last (?:week|wk|time|lesson|class))?: (?!(?:all|both|everything|the (?:whole|last))\b)(?=\p{L}{2})/u,
  /after (?:the |that )?(?:\p{L}[\p{L}'’-]* ?){1,4}?,? (?:comes?|we (?:do|have)|there['’]?s|follows) (?!an? )(?=\p{L}{2})/u,
  /there follows? (?=\p{L}|\d)/u,
  /(?:for|in) the (?:middle|main part|start|end|beginning|warm[- ]?up)(?: of (?:the |this )?(?:class|lesson|session|hour))?,? (?:(?:I|we|you) (?:like|do|use|have|take|want)|there is|comes?) (?=\p{L}{2})/u,
  /(?:practi[sc]e|perform|run through|work on|revise|review|(?:to )?see|learn|(?:it is |it['’]s )?time for|go(?:ing)? (?:through|into)|mov(?:e|ing) (?:on to|into)|follow(?:ed)? (?:this |that )?(?:by|with)|repeat) (?=(?:the |some )?(?:\p{L}+ )?\p{L}+ing\b|(?:the |some )?(?:\p{L}+ ){1,3}\p{L}{2,}s\b)/u,
  /practi[sc]e (?:the |some )?(?!(?:with|in|on|at|time|alone|again|of|and|it|this|that|the)\b)(?=\p{L}{3,} \p{L}{3}|[x×~]? ?\d)/u,
  /for (?=(?:the |some )?(?:\p{L}+ )?\p{L}+(?:ings?|s)$)/u,
  /(?:to|as an?|for the) (?:warm[- ]?up|finish|start|begin|close|end|cool[- ]?down),? (?=\p{L}{2})/u,
  /(?:please(?: do)?|maybe|perhaps|very (?:gently|slowly|softly)|slowly,|gently,|softly,|all together,?|together,?(?: we (?:all )?do)?|once (?:more|again),?|(?:next|also)? ?with (?:the |your )?(?:feet|knees|hands|arms|eyes|legs) \p{L}+,) (?=\p{L}{2})/u,
  /(?:(?:still|while) )?(?:standing|sitting|seated|lying)(?: down| up)?, (?=(?:the )?(?:\p{L}+ ){0,2}\p{L}{3,}(?:ings?|s)$|\p{L}+ing )/u,
  /(?:when|once|after|while|as soon as) (?:they|we|you|everyone|everybody|all)(?: are| is|['’]re)? \p{L}+(?: (?:up|down|enough))?,? (?:we (?:do|go into|start|try) )?(?=\p{L}{2})/u,
  /(?:(?:the|our) )?main (?:part|thing|exercise|work|bit|event)(?: for)?(?: today)? is (?=\p{L}{2})/u,
  /(?:today['’]s (?:new |main |big )?(?:one|thing|exercise|form|movement|part)? ?is|today we (?:learn|do|practi[sc]e|try|start)|new(?: today| this week)?:) (?=\p{L}{2})/u,
  /(?:take|recording|clip|video|scene|shot)\.? (?:no\.? ?)?\d{1,2} ?(?::|[–—-]) (?=\p{L}{2})/u,
  /(?:(?:ok|okay|good|very good|well|lovely|great|right|so|and|then|now),? )*let['’]?s (?:all |just |now |also )?(?!(?:do|take|try|have|see|go|say|not)\b)(?=\p{L}{3})/u,
  /(?:otherwise|usually|normally|mostly),? (?=\p{L}{3})/u,
  /(?:ok|okay|good|very good|lovely|great|well done),? (?:and |then |now )+(?=\p{L}{3})/u,
  /and (?=(?:the|a|an) |\p{L}+ing\b|(?!(?:breathe|hold|rest|relax|release|pause|stay|again|repeat|let|feel|so|up|down|out|back|in)\b)\p{L}{3}|[x×~]? ?\d)/u,
  /(?:(?:and|then|now|so|next),? )*(?:(?:back|over|straight|right|on) (?:in)?to|onto|into) (?:the |some )?(?!(?:back|wall|cent(?:re|er)|middle|start|beginning|front|side|floor|mat|chair|left|right|neutral|normal|standing|sitting|it|you|where)(?=$|[ ,.;]*(?:$|[,.;]))|your\b)(?=\p{L}{2}|[x×~]? ?\d)/u,
  /(?:and )?(?:then|next|now|finally),? (?=\d{1,2} \p{Lu})/u,
  /(?:and |so |then |next |now |after that )*(?:we(?:['’]re| are|['’]ll(?: be)?| will(?: be)?)?|i['’]ll) (?:do|doing|start(?:ing)? with|commence with|begin(?:ning)? with|go(?:ing)? into|move on to|have|come to|mov(?:e|ing) (?:in)?to) (?!(?:them|everyone|everybody|people|us|the (?:class|group))\b)/u,
  /(?:and |so |then )*(?:next|now|first|last) (?:is|was|were|up is|up was|came|comes?|there['’]?s|there is) /u,
  /after that,? (?:is |comes |there['’]?s )?(?=the |a )/u,
  /(?:I|we|they)(?:['’]d| would)? (?:like|do|add|use|take|put in|have|run|lead|teach|give|practi[sc]e) (?:the )?/u,
  /(?:and |then |finally,? |last of all,? |at the end,? )*there(?:['’]s| is| are) (?=\p{L}|\d)/u,
  /(?:optional|time permitting|if (?:there(?:['’]s| is| are)|we have|I have) (?:still )?time)[:,] /u,
  /(?:and |so )?(?:the )?(?:first|second|third|fourth|fifth|last|next) (?:one|up|thing)(?: is| we do is|:|,) /u,
  /(?:and )?(?:then|next|now|finally|afterwards|after that|followed by)[,:]? (?:(?:comes?|came) (?:the |some )?(?=\p{L}+(?: \p{L}+)* (?:for|\d)|\p{L}+ing\b|\p{L}+ \p{L}+s\b))?(?=["“]?\p{L}|[x×~]? ?\d)/u,
  /(?:the )?(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|last|next|final|extra|spare|optional|bonus)\b[^:.,]{0,24}: (?=\p{L}[\p{L}'’-]*(?: \p{L}|$|[ ,:;–—-]*[\dx×(]))(?!(?:very|slow|only|once|twice|about|maybe|half|an?|as) )/u,
  /the one where (?:you|we|they|everyone|everybody) (?:all )?(?=\p{L}{3})/u,
  /(?:an? )?bit of fun(?: now)?: (?=\p{L}{3})/u,
  /(?:the )?(?:opening|main|new)(?: (?:exercise|form|move|movement|one|set|part|piece|breath|posture|section|bit))?: /u,
  /(?:\d{1,2}(?:st|nd|rd|th) (?:form|exercise|movement|move|part|set|piece|section|posture)|(?:form|exercise|movement|move|part|set|piece|section|posture) (?:no\.? ?)?\d{1,2} ?=)(?::| [–-])? (?=[\p{L}"“])/u,
  /(?:form|exercise|ex|one|movement|move|part|set|piece|section|no|number|drill|station)\.? ?(?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)[^:.,]{0,10}(?::| [–—-]|\.(?= \p{L})) /u,
];
/** Any of them, at the start of a line. */
export const BEFORE_NAME = new RegExp(`^(?:${LEADS.map(({ source }) => source).join('|')})`, 'iu');
/** "as always", "this morning", "in all", "very slowly": how, when, and what is only added. */
const BEHIND =
  /(?:[,;–—-]|\b)\s*(?:as well|too|here|already|repeated|as (?:always|usual|before|ever)|that['’]?s|(?:comes|is) (?:next|first|last)|(?:@|at|with) (?:the )?breath(?:ing)? (?:pace|speed|tempo)|as you know|(?<=[,;] ?)(?:from )?(?:top|head) to (?:bottom|toes?|foot)|for the (?:first|second|last) time|this (?:morning|evening|time|week)|today|tonight|again|after|then|so|swap(?: over| sides)?|change(?: over| sides)?|please!?|in all|in total|altogether|all in all|total|(?:feels|does|works) (?:good|nice|well|wonders|best|enough|fine|plenty|lovely)(?: (?:here|now|then|there|after (?:that|this|all (?:that|this))|for (?:us|me|them|everyone|most people)))?|more or less|or so|ish|and|(?:very |really |nice and |quite )?(?<!\b(?:knees?|jaw|elbows?|shoulders?|wrists?|hands?|eyes|face|belly|neck|arms?|fingers|gaze|feet) )(?:easy|soft|relaxed|calm)|(?:very |really |nice and |quite )?(?:slow(?:ly)?|easily|gentl[ey]|softly|unhurried|calmly)|no (?:hurry|rush)|don['’]?t rush|(?:only )?if (?:there is |there's |we have )?(?:time|early|needed|late)|depending on (?:the )?time|lol|haha|pls|plz|as (?:many|much|often|long)(?: times)? as (?:\p{L}+ ?){1,4}|to (?:finish|start|begin|warm up|end)(?: with)?|a (?:bit|little|touch) \p{L}+er|at the (?:very )?(?:end|start|beginning)|for a start|max(?:imum)?|tops|each|per person|which)[.!]*$/iu;
/** The words that what is only added can end with, but for "a little lower" and "as many as …". */
const ENDS: ReadonlySet<string> = new Set(
  'good nice wonders best fine plenty lovely there that this me us them everyone people enough well too here already repeated always usual before ever thats s next first last pace speed tempo know bottom toe toes foot time morning evening week today tonight again after then so over sides side swap change please all total altogether less ish and slow slowly easy easily gently gentle soft softly relaxed unhurried calm calmly hurry rush early needed late lol haha pls plz finish start begin up end with beginning max maximum tops each person which'.split(
    ' ',
  ),
);

/** Whether a name ends with a word that may be only added; most do not, and need no further look. */
function mayBeAdded(name: string): boolean {
  const last = /\p{L}+(?=[.!?]*$)/u.exec(name.slice(-ENDS_WITHIN))?.[0].toLowerCase() ?? '';
  return ENDS.has(last) || last.endsWith('er') || / as\b/i.test(name);
}

/** No longer word is among those. */
const ENDS_WITHIN = 16;

/** "(slowly!)", "(in / out)", "(please)". */
const ADDED_IN_BRACKETS =
  /\((?:very |nice and )?(?:slow(?:ly)?|easy|gentl[ey]|soft(?:ly)?|relaxed)[!.]*\)|\((?:in ?\/ ?out|inhale ?\/ ?exhale|(?:on|with) (?:the )?breath)\)|\(\s*[,;!.?]*\s*(?:please|pls|if time)?\s*[!.]*\)/gi;

/** "Rowing – repeat", "Rowing, do it": how often is taken already. */
const REPEATED_BEHIND =
  /^(.*\p{L}.*?)(?:[,;:(]| [–—-])? ?\(?(?:and )?\b(?:repeat(?:ed|ing)?|do(?:ing)? (?:it|this|that|these|them)|perform(?:ed)?)(?: (?:it|this|that|all))?$/iu;

const AROUND_AT_MOST = 6;
const WORDS_OF_A_NAME = 5;

/** A name without what stands around it. Nothing else of the line is looked at. */
export const bareName = rememberedLately(lookForName);

function lookForName(text: string): string {
  let name = text.trim();
  if (name.includes(')')) name = name.replace(/\s+\)/g, ')').replace(/^\(([^()]+)\)$/, '$1');
  // "Drift. Two minutes at each one's pace.": the sentence before the amounts names it.
  const stop = name.includes('.') ? name.search(/(?<=\p{L}{3}|[\d).])\.\s/u) : -1;
  const first = stop < 0 ? '' : name.slice(0, stop);
  if (/\p{L}/u.test(first) && wordCount(first) <= WORDS_OF_A_NAME) name = first;
  for (let count = 0; count < AROUND_AT_MOST; count++) {
    const led = name.replace(BEFORE_NAME, '').replace(REPEATED_BEHIND, '$1');
    const ended = mayBeAdded(led) ? led.replace(BEHIND, '') : led;
    const shorter = (ended.includes('(') ? ended.replace(ADDED_IN_BRACKETS, '') : ended)
      .replace(/[\s,;:/…#=>+!–—-]+$|\.+$/, '')
      .replace(/^[\s,;:.–—-]+|^(?:[Oo]f|OF|to)(?: just)? (?=\p{L})/u, '')
      .trim();
    // What is nothing but manner is the name: "Slowly".
    if (shorter === name || shorter.length < 2) break;
    name = shorter;
  }
  return name;
}

/** Words that a name does not end with, and that tell of something in it. */
const LEFT_OVER =
  /\b(?:of|with|for|during|to|at|by|the|a|an|and|or|another|took|came|did|goes|us|about|per|from|last)$/i;
const TELLS =
  /\b(?:we|you|they|he|she|i|us|our|your|their|my|his|her|is|are|was|were|do|did|came|took|went|goes|comes|will|can|should|must|may|have|had|has)\b/i;

/** Whether what is left as a name looks like more or less than one: a clause, a list, a bracket, a figure. */
export function isDoubtful(name: string): boolean {
  return (
    /[:()\d"“”?!;=/|@]|, .*, | [-–—] /.test(name) ||
    /\b(?:if|which|because|when|until|unless|that|or|maybe|then|them|they|everybody|everyone|somebody|leave|time|rest|again|minutes?|seconds?|secs?|mins?)\b/i.test(
      name,
    ) ||
    /^(?:first|second|third|fourth|fifth|last|next|final|one|two|three|of|for|max|min|only|until|with|in|on|at|by|from|plus|and|or|but|so)\b/i.test(
      name,
    ) ||
    /^\p{Ll}+$/u.test(name) ||
    /\b(?:the|an?|the only|your|and|first|w|as above)$/i.test(name) ||
    LEFT_OVER.test(name) ||
    TELLS.test(name) ||
    wordCount(name) > 5
  );
}
