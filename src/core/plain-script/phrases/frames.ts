import { itemAt, rememberedLately } from '@/core/units';
import { word } from './amounts';
import { NUMBER_IN_WORDS, tokensOf, type Token } from '../tokens/tokens';
import { singleSpaced } from '../model/line-words';

/*
 * Sentences that tell what is done, around the step that they are about: "You begin by standing still for a minute.",
 * "Next comes Gathering Kelp, which we do six times.", "I had them circle the wrists ten times". A small grammar: what
 * joins it to the sentence before, who does it, how they come to it; then the step.
 */

/** Longer sentences say more than a step. */
const FRAMED_UP_TO = 200;

type Phrases = ReadonlyMap<string, readonly (readonly string[])[]>;

/** Words that join a sentence to the one before, a phrase of them at a time. */
const JOINING = phrases(
  'if there is time', 'if there’s time', "if there's time", 'if there is still time', 'if time', 'if time allows', 'if we have time', 'if i have time', 'if you have time', 'time permitting',
  'usually', 'normally', 'mostly', 'generally', 'otherwise', 'please', 'and', 'so', 'then', 'now', 'next', 'also', 'again', 'first', 'firstly', 'secondly', 'thirdly', 'finally', 'lastly', 'last', 'first of all',
  'last of all', 'first thing', 'second thing', 'third thing', 'fourth thing', 'fifth thing', 'next thing', 'last thing', 'there is a bit where', 'there’s a bit where', "there's a bit where", 'there is a part where', 'there is a moment where', 'after', 'afterwards', 'after that', 'after this', 'after which', 'after these', 'from there', 'from here', 'later', 'later on', 'to finish', 'to start',
  'to begin', 'to end', 'to close', 'to open', 'at the very end', 'right at the end', 'at the very start', 'at the very beginning', 'at the very last', 'to finish off', 'to start with', 'to begin with', 'to finish with', 'to end with', 'to close with', 'at the end', 'at the start',
  'at the beginning', 'in the middle', 'in between', 'here', 'ok', 'okay', 'right', 'well', 'followed by', 'for a start', 'once more', 'as usual',
  'as always', 'last week', 'last time', 'this week', 'today', 'in the end', 'at last', 'for a change', 'as a warm-up', 'part one', 'part two', 'part three', 'following this', 'this is followed by', 'that is followed by', 'it is followed by', 'following that', 'it goes on with', 'it begins with', 'it starts with', 'it ends with',
); // prettier-ignore
/** Who does it. */
const DOERS = phrases(
  ...['we', 'you', 'they', 'i', 'everyone'].flatMap((one) => ["'ll", "'d", "'re", "'ve"].flatMap((end) => [one + end, one + end.replace("'", '’')])),
  'we', 'you', 'they', 'he', 'she', 'i', 'everyone', 'everybody', 'the class', 'the group', 'the whole class', 'the whole group', 'all', 'the students',
  'students', 'participants', 'we all', 'you all', 'they all', 'all of us', 'all of them', 'all of you', 'the session', 'the lesson', 'it all',
); // prettier-ignore
/** What may stand between who does it and what is done. */
const HELPING = words(
  'will would can could should may might then all also just simply now next always usually normally finally first slowly quietly gently each both are am is be was were have had to going need quickly briefly',
);
/** How they come to it, with the words that lead on to what it is. */
const COMING = words(
  'begin begins began begun start starts started open opens opened end ends ended finish finishes finished close closes closed continue continues continued carry go goes went do does did doing have had take takes took make makes made practise practises practised practice practiced perform performed play played work works worked spend spends spent try tried get gets got come comes came add adds added repeat repeats repeated move moves moved follow follows followed pass passes passed use used give gave put puts lead leads led teach taught thinking planning suggest propose plan',
);
const LEADING_ON = words('by with to into through onto on off up out over it down straight of about');
/** Verbs that only open a step where "by" or "with" follows: "Close the door" is a name. */
const OPENING_WITH = words(
  'begin begins start starts open opens end ends finish finishes close closes continue carry go move warm wind settle',
);
/** "Follow that with", "Put in", "Give me": what is asked for comes next. */
const ASKED_FOR = phrases('follow that with', 'follow this with', 'follow it with', 'put in', 'give me', 'give us', 'i want', 'i’d like', "i'd like", 'i would like', 'we need', 'we want', 'add', 'include', 'into', 'straight into', 'on to', 'onto', 'over to', 'teach the new one', 'teach the next one', 'teach them the new one', 'let us do', 'let’s do', "let's do"); // prettier-ignore
/** Who is led: "I had them circle the wrists". */
const LED = phrases('them', 'everyone', 'everybody', 'people', 'us', 'the class', 'the group', 'you', 'the students', 'them all', 'everyone in the room'); // prettier-ignore
const LEADING = words('let have had get got make made ask asked lead led start take took guide guided bring brought invite invited has tell told give gives gave offer'); // prettier-ignore
const COMES = phrases('comes', 'come', 'came', 'is', 'are', 'was', 'were', 'follows', 'follow', 'there is', 'there are', 'there’s', "there's", 'we have', 'there were', 'there was', 'it is', 'it’s', "it's"); // prettier-ignore
const NUMBERED =
  /^(?:the )?(?:(?:first|second|third|fourth|fifth|sixth|seventh|next|last|final|only)(?: (?:real|proper|main|new|big))?(?: (?:shape|form|exercise|movement|move|one|thing|part|piece|posture|drill|pattern|up|of (?:these|them)))?|(?:shape|form|exercise|movement|move|number|piece|posture|drill|pattern) (?:one|two|three|four|five|six|seven|eight|nine|ten|\d{1,2}))(?:,| (?:is|was|will be)(?: (?:simply|just|only))?(?: (?:called|named))?(?: to)?|:) (?=\p{L})|^(?:the |our )?(?:main|big|new|real|other|only|one|real) (?:thing|one|form|work|exercise|movement|piece)(?: (?:\p{L}+ ){1,3}| )(?:is|was|will be)(?: called)? (?=\p{L})/iu;

/** "For Walking in the Mist, take three minutes". */
const FOR_NAME =
  /^(?:[Ff]or|[Ii]n|[Ww]ith) (\p{Lu}[^,:]{2,40}), (?:take |give it |allow |do |we (?:do|take) |it is )?/u;

/** Past forms of what is done when nobody moves. */
const BASE_FORMS: ReadonlyMap<string, string> = new Map([
  ['sat', 'sit'],
  ['stood', 'stand'],
  ['lay', 'lie'],
  ['rested', 'rest'],
  ['held', 'hold'],
  ['sits', 'sit'],
  ['stands', 'stand'],
  ['lies', 'lie'],
  ['rests', 'rest'],
  ['holds', 'hold'],
  ['waits', 'wait'],
  ['waited', 'wait'],
  ['paused', 'pause'],
  ['shook', 'shake'],
  ['swung', 'swing'],
]);

const AMOUNT = `(?:(?:for|about|around|only|just|exactly|some|a good|roughly|nearly|another) )*(?:\\d|(?:${NUMBER_IN_WORDS}|twice|thrice|once|half an?|a (?:minute|couple|dozen|few))\\b)`;
/** "…, which is held for": a posture. */
const HELD_TELLING = new RegExp(
  `[,;:]? ?(?:which |that |and |it )?(?:(?:we|you|they|i)(?:['’]ll| will)? hold(?: it| this| that| the shape| the posture)?|is held|are held|held)[:,]? (?=${AMOUNT})`,
  'iu',
);
/** "…, which you'll do", "… goes", "… took us" before an amount. */
const TELLING = new RegExp(
  `[,;:]? ?\\b(?:which |that |and )?(?:(?:we|you|they|i|everyone|everybody|people)(?:['’]ll|['’]d| will| would| can| all)? (?:do|did|lead|led|count|repeat|repeated|practi[sc]e[ds]?|perform|performed|make|made|go|went|play|played|take|took)|do|done|goes|took|takes|lasts|lasted|gets|is done|are done|wants|needs|has|is repeated|is performed|was done|were done|to be done|going on|went on)(?: (?:it|this|that|them|these|those|us|me|each of them|on|again|up|next|through))*[:,]? (?=${AMOUNT})`,
  'iu',
);
/** "hold Embracing the Tree for a minute". */
const HOLD_NAMED = new RegExp(`^hold (\\p{Lu}\\p{Ll}+ing\\b[^,.\\d]{3,50}?)(?:,? for|,) (?=${AMOUNT})`, 'u');
const CAME_NEXT =
  /,? (?:came|comes|come|is|are|was|follows|followed|followed on) (?:next|after (?:that|this)|then|first|last|later|again)\b[,:]?(?= )|,?(?<!\b(?:arms?|hands?|eyes?|gaze|head|hips?|waist|weight|body|rest|elbows?|knees?|feet|shoulders?)) follows?(?=,)/iu;
/** Why, when and if, behind all. */
const CLAUSE_BEHIND =
  /,? (?:before|if|while|because|so that|until|since|unless|whenever|though|although) (?:you|they|we|i|it|there|everyone|everybody|the|that|your|their|anybody|anyone|somebody|needed|necessary)\b[^.]*\.?$|, (?:they|people|everyone|everybody|most(?: of them)?) (?:all |usually |always |often |really |just )*(?:like|love|want|need|enjoy|find|know)\b[^.]*\.?$/iu;

/** "After that comes “Gathering the nets” six times": its only marks are around a name. */
const NAME_QUOTED =
  /(?<=^[^"“”]*\b(?:comes?|is|are|do|with|then|and|into|by|called|repeat|through) )["“](\p{Lu}[^"“”.!?,]{2,40})["”](?=[^"“”]*$)/u;
/** "…, which they know well, …" */
const KNOWN =
  /, which (?:they|you|we|everyone|everybody) (?:all )?(?:know|like|love|remember)s?(?: \p{L}+){0,2}(?=,|$)/iu;
/** "Rolling the shoulders, let's say twelve". */
const SAY_SO = new RegExp(`, (?:let['’]?s say|say|maybe|perhaps) (${NUMBER_IN_WORDS}|\\d{1,2})[.!]?$`, 'iu');
/** "I do the rolls with them". */
const WITH_THEM =
  /(?<=\bI (?:do|go through|practi[sc]e) .*) with (?:them|everyone|everybody|the group)(?=,| for\b|$)/iu;

/** A sentence without what only tells of the step in it; `null` where none of that is found. */
export const withoutFrame = rememberedLately(lookForFrame);

function lookForFrame(sentence: string): string | null {
  if (sentence.length > FRAMED_UP_TO || !FIGURE.test(sentence)) return null;
  const named = sentence.replace(NAME_QUOTED, '$1').replace(KNOWN, '');
  if (NO_STEP.test(named)) return null;
  const told = withoutOpening(named.replace(WITH_THEM, '').replace(FOR_NAME, '$1: ').replace(NUMBERED, ''))
    .replace(SAY_SO, ', $1 times')
    .replace(HELD_TELLING, ', hold ')
    .replace(TELLING, ', ')
    .replace(CAME_NEXT, ',');
  if (told === sentence) return null;
  const step = singleSpaced(told.replace(CLAUSE_BEHIND, '')).trim().replace(HOLD_NAMED, '$1, hold ');
  return step === '' ? null : step;
}

/** A step that a sentence tells of has an amount. */
const FIGURE = new RegExp(`\\d|\\b(?:an?|another|${NUMBER_IN_WORDS}|once|twice|thrice|half|dozen|minutes?)\\b`, 'i');

/** What asks, quotes, forbids or says what the teacher does tells of no step. */
const NO_STEP =
  /[?"“”]|^(?:if(?! (?:there(?:['’]s| is)(?: still)? time|time|(?:we|i|you) have time)\b)|when|don['’]?t|do not|never)\b|\b(?:what|how|why|where|so (?:the|that|we|you|they))\b|\band I (?!(?:count|do|repeat)\b)/i;

/** Without who does it and how they come to it. */
function withoutOpening(sentence: string): string {
  const tokens = tokensOf(sentence);
  const at = behindOpening(tokens, skip(tokens, 0, JOINING));
  const first = at === null ? undefined : tokens[at];
  if (first === undefined) return sentence;
  const rest = sentence.slice(first.from);
  const base = BASE_FORMS.get(first.text);
  return base === undefined ? rest : base + rest.slice(first.text.length);
}

/** Behind what is asked for, or who does it, or how it comes; `null` where none of that stands. */
function behindOpening(tokens: readonly Token[], from: number): number | null {
  const wanted = skip(tokens, from, ASKED_FOR, 1);
  if (wanted > from) return wanted;
  const done = skip(tokens, from, DOERS, 1);
  return done > from ? behindDoer(tokens, done) : behindNobody(tokens, from);
}

/** Behind "we all begin by", "I had them", "you": what is done; `null` where that is no step. */
function behindDoer(tokens: readonly Token[], from: number): number | null {
  const self = /^i(?:$|['’])/.test(word(tokens, from - 1));
  let at = from;
  let led = behindLed(tokens, at);
  while (led === null && HELPING.has(word(tokens, at))) led = behindLed(tokens, ++at);
  if (led !== null) return led;
  // "They circle": the verb is the step's. What only the teacher does is none, and "everybody for himself" no verb.
  if (!COMING.has(word(tokens, at))) return self || NO_VERB.has(word(tokens, at)) ? null : at;
  const part = behindPart(tokens, at + 1);
  if (part !== null) return part;
  at++;
  while (LEADING_ON.has(word(tokens, at))) at++;
  return at;
}

const NO_VERB = words(
  'for with in on at of to who that without from by as than not never know feel need want remember',
);

/** Behind "the middle part with", as one finishes it; `null` for anything else. */
function behindPart(tokens: readonly Token[], from: number): number | null {
  if (word(tokens, from) !== 'the') return null;
  for (let at = from + 2; at < from + 5; at++) if (/^(?:with|by)$/.test(word(tokens, at))) return at + 1;
  return null;
}

/** Behind "Next comes", "Finish with", "Have them", "Take" before a number; `null` where none of that stands. */
function behindNobody(tokens: readonly Token[], from: number): number | null {
  const comes = skip(tokens, from, COMES, 1);
  if (comes > from && (from > 0 || word(tokens, from) === 'comes')) return comes;
  const led = behindLed(tokens, from);
  if (led !== null) return led;
  const first = word(tokens, from);
  // "And five minutes of sitting".
  if (from > 0 && ((tokens[from]?.value ?? null) !== null || word(tokens, from - 1) === ',')) return from;
  if (OPENING_WITH.has(first)) {
    let at = from + 1;
    while (/^(?:off|up|out|down)$/.test(word(tokens, at))) at++;
    if (/^on (?:with|by)$/.test(`${word(tokens, at)} ${word(tokens, at + 1)}`)) at++;
    return /^(?:by|with|on)$/.test(word(tokens, at)) ? at + 1 : behindPart(tokens, at);
  }
  const counted = (tokens[from + 1]?.value ?? null) !== null;
  return /^(?:take|do|make|give|have|add|spend|try|allow)$/.test(first) && counted ? from + 1 : null;
}

/** Behind "had them", "ask everyone to", "take them through"; `null` where nobody is led. */
function behindLed(tokens: readonly Token[], from: number): number | null {
  if (!LEADING.has(word(tokens, from))) return null;
  const led = skip(tokens, from + 1, LED, 1);
  if (led === from + 1) return null;
  let at = led;
  while (/^(?:all|to|do|doing|in|through|into|just|each|off|with|by)$/.test(word(tokens, at))) at++;
  return at;
}

/** Behind as many of these phrases as stand here one after the other, commas between them. */
function skip(tokens: readonly Token[], from: number, all: Phrases, atMost = 6): number {
  let at = from;
  for (let times = 0; times < atMost; times++) {
    const found = all.get(word(tokens, at))?.find((phrase) => phrase.every((one, by) => word(tokens, at + by) === one));
    if (!found) break;
    at += found.length;
    while (word(tokens, at) === ',') at++;
  }
  return at;
}

/** Phrases as their words by the first of them, the longest first. */
function phrases(...all: readonly string[]): Phrases {
  const cut = all.map((one) => tokensOf(one).map(({ text }) => text)).sort((a, b) => b.length - a.length);
  const byFirst = new Map<string, (readonly string[])[]>();
  for (const phrase of cut) byFirst.set(itemAt(phrase, 0), [...(byFirst.get(itemAt(phrase, 0)) ?? []), phrase]);
  return byFirst;
}

function words(all: string): ReadonlySet<string> {
  return new Set(all.split(' '));
}
