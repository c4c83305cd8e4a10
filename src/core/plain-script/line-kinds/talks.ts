import { itemAt } from '@/core/units';
import { findCounts } from '../phrases/counts';
import { sentenceCase, wordCount } from '../model/line-words';
import { bareName } from '../phrases/names';
import { reading, type Reading } from '../model/reading';

/*
 * What a teacher tells, asks or shows for some time, by its name or by what is to be done: "Intro talk 2 min", "Say hello
 * (30 s)", "Questions - 5 mins". None of it is moved, and none of it is said word for word.
 */

const WORDS_AT_MOST = 9;

const SMALL =
  '(?:an?|the|my|our|your|some|any|mini|short|brief|quick|little|opening|closing|final|first|last|few|bit of|words? of|time for|general|usual|new|open|group|class|personal|safety|health|parish|studio)';
/** Things that are told or talked over. */
const NAMED =
  "welcome|hellos?|hi|greetings?|intro(?:duction)?s?|talk(?:ing)?|chat|words?|natter|announcements?|notices|news|questions?(?: and answers?)?|q ?(?:&|and|\\+|/) ?a|q ?a|qs|explanations?|reminders?|house[ -]?keeping|check[ -]?ins?(?: round| circle)?|lectures?|readings?|anecdotes?|jokes?|discussion|reflections?|sharing|round of names|names|names round|feedback|goodbyes?|bye|outro|wrap[- ]?up|sign[- ]?off|farewells?|thanks|thank[ -]?yous?|story|poem|quotation|quote|theory|background|history|demo(?:nstration)?s?|briefing|brief|debrief|recap|summary|theme|thought for the day|admin|register|disclaimers?|safety|health and safety|instructions?|overview|outline|(?:opening|closing|sharing|talking) circle|(?:feedback|names?|question|sharing) round|rounds? of (?:questions|feedback|sharing|hellos|greetings|introductions)|(?:opening|closing|last|final|first|introductory) (?:words|remarks|thoughts|notes|comments)|camera(?: on| intro)?|to camera|(?:hi|hello|good (?:morning|evening|afternoon)),? (?:everyone|everybody)|what we(?:['’]ll| will)? do(?: today| tonight)?|safety (?:first|rules|reminder)|plan for today|today['’]s plan|titles?|(?:title|intro|opening|end|closing|thank[- ]you) (?:card|screen|slide)s?|opening titles|credits|(?:the )?(?:house|safety|studio|class|ground) rules(?: and .{3,20})?|what (?:we|you|they) (?:did|learned|covered|practised|had|are going to|are doing)(?: .{3,24})?";
const ENDING =
  'talk|chat|introduction|intro|reminder|reminders|notes?|announcements?|explanation|demo|demonstration|discussion|questions|story|recap|briefing|quotation|quote|poem|spiel|speech|welcome|greeting|message';
const JOINT = /,? and | ?& ?| ?\+ ?| ?\/ ?|, /;
/** "Welcome", "a short intro", "questions about the form". */
const BY_NAME = new RegExp(
  `^(?:${SMALL} )*(?:${NAMED})(?:,? (?:of|about|on|for|from|to|with|by|over|between|around|round|re) .{2,40})?$`,
  'iu',
);
/** "posture talk", "Safety reminder". */
const BY_END = new RegExp(`^(?:\\p{L}[\\p{L}'’-]* ){1,3}(?:${ENDING})$`, 'iu');

/** "hello and housekeeping", "thanks, names", "welcome + weather chat". */
function isNamed(text: string): boolean {
  if (BY_NAME.test(text)) return true;
  const parts = text.split(JOINT);
  const told = (part: string): boolean => BY_NAME.test(part) || BY_END.test(part);
  // "Close + thanks".
  return parts.every((part) => told(part) || CLOSING.test(part) || HEARD.test(part)) && parts.some(told);
}
/** "Title card, music". */
const HEARD = /^(?:music|bell|gong|logo|fade (?:in|out)|(?:(?:a|the|final|closing) )?bow)$/i;
/** What the teacher is to do: tell, ask, greet, show. */
const TO_TELL =
  /^(?:please |then |briefly |quickly |just )*(?:(?:everyone|everybody|each(?: one| person)?|all|they) (?:briefly )?(?:says?|shares?|tells?|introduces?|greets?)|\p{L}{3,} (?:says (?:hello|hi|something|thanks?|goodbye|bye|a (?:few|word))|welcomes|introduces|explains)\b|say (?:hello|hi|something|a (?:little|bit)|a few|a word|thank|thanks|goodbye|bye|who|what|how|why|where)|greet|welcome|introduc(?:e|ing)|explain(?:ing)?|instruct(?:ing)?|describing|telling|asking (?:how|who|about|if)|thanking|welcoming|announcing|reminding|check (?:how|who|if|that)|mention|describe|discuss|talk (?:a (?:little|bit|moment|minute) |briefly |shortly |quickly )?(?:about|through|over|them|to|on|everyone)|speak (?:about|to|on)|chat (?:about|with|to|while|until|as)|remind|thank|tell (?:them|everyone|everybody|people|the|a|my|about)|announce|outline|recap|summari[sz]e|go (?:over|through) (?:the )?(?:names?|rules|notices|plan|safety|theme|points|basics|posture)|check in with|ask (?:about|for|how|who|if|whether|what|after|everyone (?:how|what)|them (?:how|what))|read (?:out|the|a|them)|answer (?:any )?questions|take (?:any )?questions|hand over|invite (?:them |everyone |people )?to (?:the|a|our|my|next)|invite (?:questions|feedback|comments)|show (?:them|everyone|people|the class|how|(?:the|a) (?:\p{L}+ )?(?:shapes?|positions?|postures?|hands?(?: shape| position)?|grip|video|picture|chart|map|path|line|way|order|difference|stance))|warn (?:about|of|them|everyone)|point out|give (?:(?:the|out|some|a|them) )*(?:homework|notices?|dates|news|info\p{L}*|instructions?|thanks|feedback|handouts?|overview|introduction)|tell (?:why|how|what|who|when|where)|demo|demonstrate|recommend|advise|encourage|give (?:the|a|some) (?:history|background|context|reason)|show (?:an? |the |some )details?|sum up|speak (?:the|a|some) (?:disclaimer|welcome|introduction|words?|warning)|(?:finish|close|end) (?:with|by) (?:an? |the |some )?(?:bow|thank|thanks|goodbye|hug|clap)|bow and (?:thank|go|say)|set the scene|present (?:the|a|our|my|today)|credit|acknowledge|advertise|promote|preview|set out|frame the)\b/iu;
/** Of these the words tell how long they themselves go on: "Explain the breathing for two minutes". */
const GOES_ON = /^(?:talk|speak|chat|discuss|explain|describe|introduce)\b/i;
/** What others are to do for a time is not how long it is told: "Tell them to hold it for ten seconds". */
const TOLD_TO_DO =
  /\b(?:to (?!you\b|my\b|our\b|your\b|the\b|them\b|all\b|every|each\b)\p{L}+|that (?:they|you|we|it)) .*\d|\bfor (?:about |around )?\S+ (?:seconds?|secs?|minutes?|mins?|s|m)\b/iu;

/** "Talk: why we go slowly", "Announcements: no class next week": what it is about stands behind a colon. */
const ABOUT = /^([^:]{2,24}): (?=\p{L})(?!.*\d)/u;

/** What is seen to before and between: "shoes off", "doors, coats". */
const ADMIN =
  /^(?:shoes?|doors?|coats?|phones?|toilets?|registration|sign(?:ing)?[- ]in|mats out|set(?:ting)?[- ]up|late ?comers|late arrivals|(?:share|drink|sip|get|fetch|hand out) (?:some |the )?(?:water|tea))(?: (?:off|open|in|out|on|down|away))?$/i;
const TWO_SENTENCES = /[.!?] \p{Lu}/u;

/** "A tip about shoes", "a word on breathing", "my story of the heron". */
const ABOUT_SOMETHING =
  /^(?:(?:an?|one|my|the|some|short|quick|little|few) )*(?:tips?|notes?|words?|thoughts?|hints?|messages?|requests?|questions?|stor(?:y|ies)|legends?|myths?|fables?|tales?|jokes?|facts?|ideas?) (?:about|on|for|from|of) \p{L}/iu;

/** Whether a name or an order, without its amounts, is something that is told. */
export function isTold(words: string): boolean {
  const text = words.replace(/ ?\([^()]*\)$/, '').replace(/[.!:]+$/, '');
  if (words.length > 90 || wordCount(text) > WORDS_AT_MOST) return false;
  if (text.split(JOINT).some((part) => ADMIN.test(part)) || isNamed(text) || OUTRO.test(text) || TO_TELL.test(text)) return true; // prettier-ignore
  return ABOUT_SOMETHING.test(text) || TALKED_THROUGH.test(words);
}

/** "Standing posture - talk through from feet to crown". */
const TALKED_THROUGH =
  /^\p{L}[\p{L} ]{2,30} (?:[–—-] |\()(?:talk(?:ed|ing)?|explain(?:ed|ing)?|describe|discuss)(?: (?:it|them|this|that|everyone|people))?(?: (?:briefly|shortly|quickly))?(?: through| about| over|,|\)|$)/iu;

/** "outro, subscribe, next week". */
const OUTRO =
  /^(?:(?:hello|hi|intro|outro|notices|announcements|admin|welcome|farewell|thanks|thank you|bye)(?:(?:, | \/ | [–—-] |: | [+&] )[^,]{3,40}){1,3}|(?:hello|hi|welcome) (?:and|&|[+]) settle(?: in| down)?)$/i;

/** Whether a sentence is an order to tell, greet, ask or show: "Say a few words about falling". */
export function isToTell(sentence: string): boolean {
  return TO_TELL.test(sentence);
}

/** "Chat (5)", "Welcome [3]": of what is told a number alone is minutes. */
const MINUTES_BOXED = / ?[([](\d{1,2})[)\]]$|(?<=\p{L}) (?:[-–—] )?(\d|1\d)$/u;

/** "I want to stop and explain", "here I'd talk about": what the teacher tells, for some time. */
const SELF_TELLS =
  /^(?:(?:most (?:weeks|times|days)|usually|normally|often|sometimes|here|then|now|and|so|next|also|after that|at this point)[,]? )*(?:(?:I|we)(?:['’](?:ll|d|m|re|ve))? (?:(?:want|would|like|need|have|plan|am|are|going|will|might|usually|always|often|just|then|sometimes|briefly|quickly|may|can|to) ){0,6})?(?:(?:stop|pause|break|take (?:a )?(?:minute|moment|break))(?: (?:it |things )?(?:here|there))? (?:and|to|so (?:that )?I can) )?(?=(?:talk|explain|describe|discuss|speak|say (?:hello|hi|goodbye|thank|a few)|greet|welcome)\b)/iu;
/** Why it is told, behind its time. */
const WHY = /(?: (?:there|here))?,? (?:because|as|since|so) (?:last|they|we|people|some|many|everyone|I|it)\b.*$/iu;

/** A talk with the time that is written beside it; `null` for anything else. */
export function talkOf(written: string): Reading | null {
  const told = written.length > SELF_AT_MOST ? written : written.replace(SELF_TELLS, '');
  if (told === written) return talkIn(written);
  const [why = ''] = WHY.exec(told) ?? [];
  const found = talkIn(sentenceCase(told.replace(why, '')));
  const said = sentenceCase(why.replace(/^[\s,]+|there |here /g, ''));
  return found && why !== '' ? { ...found, said, unsure: true } : found;
}

const ASKED =
  /^(?:who|what|why|how|where|when|which|any|anyone|anything|anybody|something|are|is|do|does|did|have|has|can)\b[^.!?]{3,60}\?$|^(?:about |on )?(?:why|what|how|where|who) (?:we|you|I|they|it|this|that|the|to|is|are|was|were|comes?|happens?|everyone|everybody)\b[^.!?]{0,50}$|^why \p{L}+ (?:is|are|helps?|matters?|works?)\b[^.!?]{0,40}$|^about \p{L}/iu;

/** "Recap: three things to remember, 1 min": numbers in what is told count nothing. */
const LABELLED_TALK =
  /^(\p{L}[\p{L} ]{2,20}): (\p{L}.{2,60}?),? [([]?((?:\d{1,2}|an?|one|two|three|five|half an?) ?(?:m|mins?|minutes?|s|secs?|seconds?|['′]))[)\]]?[.]?$/iu;

const SELF_AT_MOST = 240;

function talkIn(body: string): Reading | null {
  if (
    body.length > 120 ||
    TWO_SENTENCES.test(body) ||
    /\b(?:quiet|silen(?:t|ce)|still(?:ness)?)\b/i.test(body) ||
    !/\d|\b(?:minutes?|seconds?|mins?)\b/i.test(body)
  )
    return null;
  const labelled = LABELLED_TALK.exec(body);
  if (labelled && isTold(itemAt(labelled, 1))) {
    const { seconds, rounds } = findCounts(`it, ${itemAt(labelled, 3)}`).counts;
    if (seconds !== undefined && rounds === undefined)
      return reading('talk', sentenceCase(`${itemAt(labelled, 1)}: ${itemAt(labelled, 2)}`), { seconds });
  }
  const { counts, rest, crowded } = findCounts(
    body.replace(MINUTES_BOXED, (_, boxed?: string, bare?: string) => ` ${boxed ?? bare ?? ''} min`),
  );
  const { seconds, ...others } = counts;
  if (seconds === undefined || Object.keys(others).length > 0 || crowded) return null;
  const asked = rest.trim();
  const named = ASKED.test(asked) ? asked : bareName(rest) || asked;
  // "Who is new? – 1 min".
  if (ASKED.test(named)) return reading('talk', sentenceCase(named), { seconds }, true);
  const head = ABOUT.exec(named)?.[1];
  if (head !== undefined && isNamed(head)) return reading('talk', sentenceCase(named), { seconds });
  if (
    !isTold(named) ||
    (TOLD_TO_DO.test(body) && !isNamed(named) && !GOES_ON.test(body) && !TALKED_THROUGH.test(named))
  )
    return null;
  return reading('talk', sentenceCase(named), { seconds });
}

/** What a part is by its name, where it is one step: told, still, or moved. */
export function kindOfPart(title: string): 'talk' | 'silence' | 'movement' {
  if (isTold(title) || CLOSING.test(title)) return 'talk';
  return STILL.test(title) ? 'silence' : 'movement';
}

const STILL = /settl|still|quiet|silen|medit|\brest|relax|arriv|ground|cent(?:er|re)ing/i;
const CLOSING = /^(?:the )?(?:clos(?:e|ing)|end(?:ing)?|finish(?:ing)?|open(?:ing)?|begin(?:ning)?|start)$/i;

/** "Circle, names, any aches?", "How is everybody?": asked of all, and nothing that is said into a silence. */
const ASKED_OF_ALL =
  /^(?:(?:circle|round|say|share|our|with)[ ,]+)*(?:names?|introductions?|hellos?|check[- ]?ins?)\b|\b(?:any (?:aches|pains|injuries|news|questions)|how (?:is|are|was) (?:every(?:one|body)|you|your (?:day|week))|who(?:['’]s| is) new)\b[^.!]*\?$/i;

/** Whether people talk in a quiet part, by what stands in it. */
export function isTalkedThrough(line: string): boolean {
  return ASKED_OF_ALL.test(line.trim());
}
