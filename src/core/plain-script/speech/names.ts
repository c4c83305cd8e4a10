import { rememberedLately } from '@/core/units';
import { capitalised, wordCount } from '../model/line-words';
import { NUMBER_IN_WORDS, NUMBER_WORDS } from '../tokens/tokens';

/*
 * Sentences of a class that is spoken word for word which name a movement: "The first movement is Lifting the Net.",
 * "Next, holding the lantern.", "Now we are herons."; and what a sentence without a name would be called.
 */

/** What joins a sentence to the one before. */
const LEAD = '(?:(?:and|so|(?:second|next) to last|last but one|first|first of all|now|next|then|ok|okay|alright|all right|right|good|great|nice|lovely|beautiful|well|from here|from there|after that|to finish|to end|to close|to start|to begin|finally|lastly|also|here)[,:]? )*'; // prettier-ignore
const LEADS = new RegExp(`^${LEAD}`, 'i');
const ORDINAL = '(?:very )?(?:first|second|third|fourth|fifth|sixth|seventh|eighth|next|last|final|new|other)';
const THING = '(?:movement|exercise|form|posture|piece|one|move|practice|thing|shape|stretch)';
const TODAY =
  '(?: (?:of )?(?:today|tonight|for today|for tonight|this morning|this evening|we (?:do|practi[sc]e|have)))?';
const CALLED = '(?:called|named|known as|(?:that |which )?(?:we|I) call)';
const WE = "(?:(?:we|I|you)(?:['’](?:ll|re|ve|d))?(?: are| have| will| can| may| want to| got| going to| gonna| always| usually| just| now)*|let['’]?s|let us)"; // prettier-ignore
/** Behind these a name may be written in small letters. */
const FRAMES = [
  `(?:the |our |your |my |today['’]s )?${ORDINAL} ${THING}${TODAY}(?:(?: is|['’]s| will be| comes| was)(?: ${CALLED})?:?|[,:])`,
  `(?:the |our |your )?${ORDINAL}(?: ${THING})?${TODAY}(?: is)? ${CALLED}`,
  `(?:${THING} (?:number )?(?:${NUMBER_IN_WORDS}|\\d{1,2}))(?: is|['’]s|:|,|\\.)(?: ${CALLED})?`,
  `(?:this|that|it|this (?:next )?(?:one|${THING}))(?: is|['’]s) ${CALLED}`,
  `(?:first up|next up|up next|up first|last up)(?: is|['’]s|:|,)?`,
  `${WE} (?:com(?:e|ing)|mov(?:e|ing)|go(?:ing)?|get(?:ting)?|carry|turn(?:ing)?|continue|start(?:ing)?|begin(?:ning)?|finish(?:ing)?|end(?:ing)?|close|open|warm up)(?: on| in| off| back| straight| right)*(?: to| into| with| by)(?: doing)?`,
  `${WE} (?:do|try|practi[sc]e|add|learn|hold|play with)(?: (?:the |our |your )?${ORDINAL} ${THING},? (?:which |that )?(?:is )?(?:${CALLED}))?`,
  `(?:here|next|now|then) (?:comes|come|is)`,
  `(?:${WE} )?(?:.{0,20} )?what (?:I|we) call`,
].map((frame) => new RegExp(`^${LEAD}${frame},? (?:what (?:I|we|people|they|some people) call )?(?:(?:a|an|the|some|our|my|your|to|one called|something called) )?(.{3,160}?)[.!:]?$`, 'iu')); // prettier-ignore
/** "Next one is pushing the boat six times each side": behind the first of them also with its amount. */
const TOLD_OFF = 2;
const AMOUNT_BEHIND = new RegExp(`,? (?:for )?(?:about )?(?:\\d{1,2}|${NUMBER_IN_WORDS}) (?:times|rounds|seconds|minutes?|breaths|each|on each|to each)\\b.*$`, 'i'); // prettier-ignore
/** Behind these only a name with capitals is one. */
const CAPITAL_FRAMES = [
  new RegExp(`^${LEAD}(?:week|day|lesson|part|number|module|exercise|movement) [\\p{L}\\d]+(?: again)?, (?:the )?(.{3,60}?)[.!:]?$`, 'iu'), // prettier-ignore
  new RegExp(`^${LEAD}(?:(?:and|the) )*(?:${ORDINAL},|(?:comes|follows)) (?:the |a )?(.{3,60}?)[.!:]?$`, 'iu'),
  new RegExp(`^.{0,80}\\b(?:${CALLED}) (?:the )?(.{3,60}?)[.!:]?$`, 'iu'),
  new RegExp(`^${LEAD}(?:the |our )?${ORDINAL}(?: ${THING})? is (?:the )?(.{3,60}?)[.!:]?$`, 'iu'),
  new RegExp(`^${LEAD}(?:this is |it is |it['’]s |${WE} (?:have |do |hold )?|into |on to |onto |to )?(?:the )?(.{3,60}?)[.!:]?$`, 'iu'), // prettier-ignore
];
/** "Next, holding the lantern.", "Now big waves: breathe in …": a few words behind what joins. */
const AFTER_NEXT = /^(?:(?:and|ok|okay|good|great|alright)[,:]? )*(?:next|now|then|finally|lastly)[,:]? (?:for |it['’]s |we (?:are|have|do|hold) |we['’]re )?(?:a |an |the |our |some )?(\p{L}[\p{L}'’-]*(?: [\p{L}'’-]+){0,4})[.!]?$/iu; // prettier-ignore
const GERUND_OR_NOUNS = /^(?!(?:being|coming|going|standing|sitting|something|nothing|everything|bring)\b)\p{L}{2,}ing (?:the|a|an|your|our|to|like)? ?\p{L}/iu; // prettier-ignore
const TITLE_CASE = /^\p{Lu}[\p{L}'’-]*(?: (?:\p{Lu}[\p{L}'’-]*|the|of|a|an|in|on|to|for|and|with|like|its|his|her|your|from|at|under|over|by|into))*$/u; // prettier-ignore
const WE_ARE = /\bwe(?: are|['’]re) (?:a |an |the )?\p{L}+(?: \p{L}+)?[.!]?$/iu;
/** What is no name, whatever stands before it. */
const NO_NAME =
  /^(?:that|this|it|these|those|them|the (?:same|other|left|right|next|last|middle|cent(?:er|re))|same|other|another|more|again|left|right|middle|cent(?:er|re)|breath(?:e|ing)?|little|bit|few|something|anything|all|both|one|few|next|last|stillness|silence|quiet|rest|(?:standing|sitting)(?! like\b)|breath|end|start|class|practice|session|moment|minute|while|now|here|there|ready|done|on to|onto|finish(?:ed)?|be|do|doing|try|trying|is|are|stand|sit|lie|wait|pause|stay|i|you|we|your|my|each|every|just|and|but|or|if|when|as|with|without|for|not|don['’]t|keep|let|bring|come|go|slowly|gently|softly|quietly|very|inhale|exhale|in|out|up|down)\b/i;
const WITH_AMOUNT = new RegExp(`\\b(?:\\d|${NUMBER_IN_WORDS}|minutes?|seconds?|times|breaths?)\\b`, 'i');
const LONGEST_NAME = 7;

const SIDE_BEHIND =
  /, (?:we )?(?:first|start(?:ing)?|begin(?:ning)?|on)(?: with| on| to)?(?: the)? (?:left|right)(?: (?:side|leg|arm|foot|hand))?(?: first)?$/i;

export interface SpokenName {
  readonly name: string;
  /** Whether it may as well be no name. */
  readonly unsure: boolean;
}

/** The name of a movement that a sentence gives; `null` where it gives none. */
export const namedInSpeech = rememberedLately(lookForName);

function lookForName(sentence: string): SpokenName | null {
  const behind = LATER.exec(sentence)?.[1];
  const later = behind === undefined ? null : namedIn(behind);
  return later?.unsure === false ? later : namedIn(sentence);
}

/** "Now find your stance, because we're going to do the Harbour Wave." */
const LATER = /, (?:because|so|and) (we(?: |['’]).{8,60}\p{Lu}.*)$/u;

function namedIn(sentence: string): SpokenName | null {
  const [head = '', behind = ''] = beforeColon(sentence);
  const told = nameFrom(behind?.replace(/^the (?=\p{Lu})|[.!]$/gu, ''));
  if (told !== null && isTitled(told) && / \p{Lu}/u.test(told)) return { name: told, unsure: false };
  for (const [index, frame] of FRAMES.entries()) {
    const found = frame.exec(head)?.[1] ?? (behind === '' ? undefined : frame.exec(`${head}: ${behind}`)?.[1]);
    const name = nameFrom(index < TOLD_OFF ? found?.replace(AMOUNT_BEHIND, '') : found);
    // "And now week one again, Parting the Reeds."
    const titled =
      name === null || isTitled(name) ? null : nameFrom(/, (\p{Lu}[^,.!?:;]{3,40})[.!]?$/u.exec(head)?.[1]);
    if (titled !== null && isTitled(titled)) return { name: titled, unsure: false };
    if (name !== null) return { name: capitalised(name), unsure: !isTitled(name) };
  }
  for (const [index, frame] of CAPITAL_FRAMES.entries()) {
    const name = nameFrom(frame.exec(head)?.[1]);
    const led = index < 4 || LEADS.exec(head)?.[0] !== '';
    const whole =
      name !== null &&
      head
        .replace(/[.!:]$/, '')
        .replace(SIDE_BEHIND, '')
        .endsWith(name);
    if (name !== null && isTitled(name) && (led || (whole && / \p{Lu}/u.test(name)))) return { name, unsure: !led };
  }
  const next = nameFrom(AFTER_NEXT.exec(head)?.[1]);
  if (next !== null && (behind !== '' || GERUND_OR_NOUNS.test(next) || WE_ARE.test(head)))
    return { name: capitalised(next), unsure: true };
  return null;
}

/** "Now big waves: breathe in …" as its name and what is told. */
function beforeColon(sentence: string): readonly string[] {
  const [, head, behind] = /^([^:]{4,60}): (\S.*)$/u.exec(sentence) ?? [];
  return head === undefined || behind === undefined ? [sentence] : [head, behind];
}

/** "Drawing the Rope, on the left": without what is told behind it. */
function nameFrom(found: string | undefined): string | null {
  const name = (found ?? '').replace(/["“”]/g, '').replace(/(?:,| which | that | and then | as (?:you|we) | so that ).*$/i, '').replace(/ (?:together|today|now|again|next|slowly|please)$/i, '').trim(); // prettier-ignore
  const titled = isTitled(name) && / \p{Lu}/u.test(name);
  if (name.length < 3 || (NO_NAME.test(name) && !titled) || WITH_AMOUNT.test(name) || wordCount(name) > LONGEST_NAME)
    return null;
  return /[.!?…:;()]/.test(name) ? null : name;
}

function isTitled(name: string): boolean {
  return TITLE_CASE.test(name);
}

/** What only leads to what is done. */
const TO_CLAUSE = new RegExp(
  `^${LEAD}(?:(?:please|just|simply|slowly|gently|carefully|very|softly|quietly|let me see you|I(?:['’]d like| want) you to|${WE}|you can|you may|we can|can you|who can|(?:start|begin|keep|get)(?= \\p{L}+ing\\b)|try to|begin to|start to|(?:start|begin) (?:by|with)|with|everyone|everybody)[,:]? )*(?:(?:be |now |just |only |also |do |then |slowly |gently |all |let )*)`,
  'iu',
);
/** What is told behind it. */
const BEHIND_CLAUSE =
  /(?:[,;:…]|\.{2,}| (?:two|three|four|five|six|eight|nine|ten|twelve|\d+) times\b| (?:until|till|as you|as we|as if|as though|while|when|so that|so|in order|and then|(?:gently |slowly )?(?:about|around) (?:a|one|two|three|half|thirty|twenty)|on the (?:inhale|exhale|in-breath|out-breath)|for (?:about |around |a )?|with your eyes|like this|like that|and (?:let|keep|feel|come|back|down|out|in))\b).*$/i;
const NO_CLAUSE =
  /^(?:(?:lower|release|let go|come back|moving|going|me too|lovely|beautiful|wonderful|excellent|perfect|yes|back and forth|forward and back|left and right|(?:the )?same(?: (?!but\b).*)?|finish|end|begin|start|go|stop|come|welcome|freeze|hold|stay|rest|repeat|continue|(?:do|hold|repeat|go through|try) (?:it|this|that|these|those)(?: (?:there|here|again))?)$|(?:give|stop|tell|show|count) (?:you|with|for)|(?:the )?(?:first|second|third|next|last) thing|i|it|its|there|that|these|those|they|don['’]t|do not|never|not|no|if|as|like|keep|notice|feel|remember|imagine|make sure|be|is|are|was|you(?:['’]ve|['’]re)?|my|and|but|or|in|out|up|down|one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty|forty|sixty|\d+|maybe|perhaps|watch|soften|relax|nice|great|good|well|ready|hold on (?:to|with)|very|last|almost|only|because|this|when|while|who|what|how|where|which|does|did)\b/i;
/** "You can hold on to the wall.": for whoever wants. */
const ALLOWED =
  /^(?:(?:and|but|or|also)[,]? )*you (?:can|may|might|could) (?:also |always |just )*(?:hold on|use|lean|touch|sit|hold (?:the|a|your) (?:wall|chair|table|back))\b/i;
const CLAUSE_WORDS_AT_MOST = 8;
/** "Place the hands on the hips and make big circles": how they are held, and what is done. */
const PLACED_TO_MOVE = /^(?:put|place|rest|lay|bring|step|stand|sit) [^,.;:]{6,60}?,? and (?:then )?((?:make|draw|do) \p{L}.+|(?:circle|rock|sway|swing|turn|twist|bounce|shake|roll) \p{L}.+)$/iu; // prettier-ignore
/** What is done first. */
const FIRST_OF_TWO = /^(.{10,50}?) and (?:\p{L}+ ){2,}/u;

/** What is done in a sentence, as a name: "Now rub the palms together until they are warm." */
export const nameOfClause = rememberedLately(lookForClause);

function lookForClause(sentence: string): string | null {
  if (ALLOWED.test(sentence)) return null;
  const whole = sentence.replace(/[.!?…]+["”)]?$/, '').replace(TO_CLAUSE, '');
  const [, second] = NO_CLAUSE.test(whole) ? (/, (?:and|then|and then) (\p{L}.+)$/u.exec(whole) ?? []) : [];
  const name = (second ?? PLACED_TO_MOVE.exec(whole)?.[1] ?? whole)
    .replace(BEHIND_CLAUSE, '')
    .replace(/^((?:make|draw|do) .{3,40}?) with (?:them|it|both)$/i, '$1')
    .replace(/^((?:the )?same but .{4,}) (?:to|on) the (?:left|right)$/i, '$1')
    .replace(/ (?:and|or|the|a|then|gently|slowly|now|first)$/i, '')
    .trim();
  if (name.length < 3 || NO_CLAUSE.test(name)) return null;
  if (/^(?:(?:big|long|deep|slow) )*(?:breath(?:e|ing)?|inhale|exhale)\b/i.test(name)) return 'Breathing';
  if (/^(?:take|have) (?:a|one|another) (?:\p{L}+ ){0,3}breath\b/iu.test(name)) return 'Breathing';
  const short = wordCount(name) > CLAUSE_WORDS_AT_MOST ? (FIRST_OF_TWO.exec(name)?.[1] ?? name).split(' ').slice(0, CLAUSE_WORDS_AT_MOST).join(' ').replace(/ (?:and|or|the|a|an|to|of|your|with|in|on)$/i, '') : name; // prettier-ignore
  return capitalised(short.replace(/^(?:the|your|our) (?=\p{L}+ \p{L})/iu, ''));
}

/** "Hip circles.", "Chin tucks.": things by themselves, that are done. */
const THINGS =
  /^(?!(?:soft|tiny|big|slow|small|easy|gentle|long|good|loose|both|two|three|no|straight|relaxed|little|heavy|bent|last|next|more|palms|feet|knees|hands|eyes|shoulders|elbows|fingers|toes|heels)\b)\p{L}{3,}(?: (?!(?:your|the|and|on|in|to|of|up|down)\b)\p{L}+)? \p{L}+[^s\P{L}]s[.!]?$/iu;

export function isNamedThing(sentence: string): boolean {
  return THINGS.test(sentence) && !isMovedFirst(sentence);
}

const isMovedFirst = (sentence: string): boolean =>
  MOVES.test(/^\p{L}+/u.exec(sentence)?.[0] ?? '') &&
  !/(?:circle|roll|swing|stretch|twist|raise|turn|lift|press|push|pull|bend)s[.!]?$/i.test(sentence);

const PLACED =
  /^(?:stay|(?:close|open|shut) (?:your|the) eyes|both (?:feet|hands)|(?:hands|palms) (?:on|over)|sit|stand|put|place|bring|come|feet|find|step|weight|lean|lie|face|start with your feet|bend (?:the|your) knees|turn out)\b/i;

/** Whether a sentence only tells how to stand or sit. */
export function isPlacing(sentence: string): boolean {
  return PLACED.test(sentence.replace(TO_CLAUSE, ''));
}

/** Whether a sentence goes on to what is done next: "Next we pull up the anchor." */
export function goesOn(sentence: string): boolean {
  return new RegExp(`^(?:${LEAD}${WE}|(?:and |so |ok |okay )*(?:now|next|then))\\b`, 'i').test(sentence);
}

const STILL =
  /\b(?:stand(?:ing)?|sit(?:ting)?|li(?:e|ying)(?: down)?|rest(?:ing)?|stay(?:ing)?|remain|be|being|listen|notice|feel|settle|quiet(?:ly)?|silen(?:ce|t)|still(?:ness)?|nothing|wait|pause|breathe|stay with|arriv(?:e|ing)|hands? (?:on|over|rest|come)|palms? (?:on|over|rest)|(?:close|shut) (?:your|the) eyes|eyes (?:closed|close))\b/i;
const MOVES =
  /\b(?:rais|lift|lower(?! (?:belly|back|abdomen|dan|tan))|turn|step|shift|bend|roll|reach|shak|circl|press|draw|rub|tap|push|pull|sway|swing|float|open(?! (?:your|the) eyes)|bounc|stamp|scoop|pour|walk|rock|twist|stretch|fold|rise|sink|drop|touch|mov|massag|pat|brush|wav|row)\p{L}*\b|\bon (?:one|(?:the|your) (?:left|right)) (?:leg|foot)\b/iu;

/** Whether nobody moves in what a sentence tells. */
export function isStillClause(sentence: string): boolean {
  return STILL.test(sentence) && !MOVES.test(sentence);
}

/** Whether somebody moves in what a sentence tells. */
export function isMovedIn(sentence: string): boolean {
  return MOVES.test(sentence);
}

/** How it is done, told to those who do it. */
const CORRECTS =
  /^(?:(?:and|but|just|try to|please|remember)[,:]? )*(?:keep|don['’]t|do not|never|no (?:rush|hurry|need)|let (?:the|your)|if |notice|feel|soften|relax|make sure|watch|remember|only (?:go|bend|lift|turn|sink|reach|as (?:far|low|high|wide))|breathe(?! (?:in|out))|slow(?:ly)?\b|gently|easy|imagine|think of|it (?:should|does)|your|the|every|like|as if|nice and|soft|small|tiny|see if|stay (?:low|soft|tall)|you (?:may|might|can)|as (?:low|high|wide|far|slow)|use (?:the|your)|there['’]s no)\b/i;
/** "Elbows heavy.", "Knees soft." */
const OF_A_PART =
  /^(?:(?:and|so|your|the)[,]? )*(?:elbows?|knees?|shoulders?|wrists?|fingers|hands?|palms?|chin|jaw|face|neck|hips?|feet|heels?|eyes?|toes|tongue|belly|arms?) (?:stay |are |nice and |very )?(?:heavy|soft|loose|low|relaxed|easy|wide|light|quiet|level|long)[.!]?$/i;
/** What ends it. */
const ENDS =
  /\b(?:come back|let (?:that|it|them|this) go|rest|release|stop|be still|shake it|hands down|arms down|to (?:the )?(?:middle|cent(?:er|re))|open your eyes|finish|other|again|last|done)\b/i;

/** "And again.", "Last one.": heard while it is done. */
const URGES =
  /^(?:(?:and|good|nice|lovely|great|ok|okay|that['’]s it)[,!.]? )*(?:again|once more|one more(?: (?:time|like that))?|two more|three more|halfway(?: there)?|nearly there|that['’]s (?:it|right)|keep (?:it )?going|up|down|and up|and down)[.!…]*$/i;

/** Whether a sentence corrects what is being done, and does not end it: "Don't lift your shoulders." */
function isCorrection(sentence: string): boolean {
  const held = OF_A_PART.test(sentence) || (CORRECTS.test(sentence) && !ENDS.test(sentence));
  return held || URGES.test(sentence) || lastOnes(sentence) !== null;
}

/** "soft knees", "let the ribs breathe", "keep the shoulders low". */
const HOW = /^(?:(?:soft|loose|heavy|relaxed|easy|light) \p{L}+|(?:let|keep) (?:the|your) \p{L}.{2,60})[.!]?$/iu;

/** Whether a few words tell how it is done while it is done. */
export const saysHow = (words: string): boolean => HOW.test(words) && isCorrection(words);

const LAST = /^(?:(?:and|ok|okay|good)[,]? )*(?:the |your |our )?last (one|two|three|four|time|round|breath)[.!…]*$/i;

/** How many are left, as "Last two." tells it; `null` for anything else. */
export function lastOnes(sentence: string): number | null {
  const many = LAST.exec(sentence)?.[1]?.toLowerCase();
  return many === undefined ? null : (NUMBER_WORDS.get(many) ?? 1);
}

const LEFT_OVER = /^(?:(?:and|okay|good)[,]? )*(?:just )?(?:two|three) more\b[^,;]{0,24}[.!…]*$/i;

/** Whether a sentence tells how many rounds are left: "Two more.", "And the last one." */
export function countsDown(sentence: string): boolean {
  return LEFT_OVER.test(sentence) || lastOnes(sentence) !== null;
}

/** How many of the sentences behind an amount are said in its rounds; all, where some below count them down. */
export function saidInRounds(sentences: readonly string[], below: boolean): number {
  const end = sentences.findIndex((one) => !isCorrection(one));
  const corrections = end < 0 ? sentences.length : end;
  return below ? sentences.length : Math.max(corrections, sentences.findLastIndex(countsDown) + 1);
}
