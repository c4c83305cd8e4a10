import { stepsApart } from './amounts-apart';
import { wordCount } from '../model/line-words';
import { NUMBER_IN_WORDS } from '../tokens/tokens';

/*
 * What a person dictates has no stops: "start with two minutes standing then lifting the water eight times then rest".
 * Its sentences begin at the words with which people go on to something else.
 */

const NUMBER = `(?:\\d{1,2}|${NUMBER_IN_WORDS})`;
const ORDINAL = '(?:very )?(?:first|second|third|fourth|fifth|sixth|seventh|eighth|next|last|final)';
const THING = '(?:one|movement|exercise|form|posture|piece|part|thing)';
const PRAISE = '(?:okay|ok|alright|all right|well done|lovely|beautiful|nice|great|good)';
/** Behind these, praise tells of something: "that was lovely", "a nice stretch". */
const PRAISED =
  "a|an|and a|is|are|feel|feels|feeling|looks|very|really|it|be|was|been|the|your|more|of|have|as|too|that|that[’']?s|it[’']?s|something|how";
/** Behind these, what begins a sentence goes on with one. */
const GOING_ON =
  "to|you|we|they|i|let[’']?s|can|will|should|must|may|just|not|never|also|or|as|when|while|if|that|which|who|how|where|until|before";
const ASKING = 'as|when|if|that|so|while|because|where|how|what|until|like|than|before|which';

/** Words that a sentence begins with. */
interface Opener {
  readonly words: string;
  /** Words behind which it is none. */
  readonly notBehind?: string;
}

const SEQUENCE: readonly Opener[] = [
  {
    // "Six right then six left", "then the same on the other side", "then own pace" belong to what stands before them.
    words: `then(?! (?:(?:about )?${NUMBER} (?:(?:on|to) )?(?:the |your )?(?:left|right|other|back|more)|(?:on )?(?:the )?(?:same|other|left|right|reverse|swap|switch|change|repeat|back|over|own)\\b|(?:at|in) (?:their|your|our) own))`,
    notBehind: 'now and|by|since|until|till|from',
  },
  { words: `(?:the )?${ORDINAL} thing|(?:first|last) of all`, notBehind: 'the|of' },
  { words: "it[’']s an?", notBehind: ASKING },
  {
    words:
      'after (?:that|this)|from there|finally|lastly|followed by|to (?:finish|end|close|start|begin)(?= (?:with|off|we|just|hands|the|let|stand|sit|some|our|a)\\b)',
  },
  {
    words: '(?:we )?(?:start|begin|finish|end|close)(?:ing)? (?:with|off|by|seated|standing|sitting|lying)',
    notBehind: `will|ll|re|going|${GOING_ON}`,
  },
  {
    words: `(?:the )?${ORDINAL}(?: ${THING})? (?:is|will be|comes|we(?:[’']ll| will)? (?:do|have|come|go))`,
    notBehind: 'what|this|that|as|the',
  },
  {
    words: "first(?: of all| up| one)?(?= (?:we|i|just|let|let[’']?s) )|today (?:is|we|we[’']ll|we[’']re)",
    notBehind: 'the|for|of|class',
  },
  {
    words: 'next(?! (?:to|week|time|month|year|door|class|lesson|session|breath|mon|tues|wednes|thurs|fri|satur|sun))',
    notBehind: 'the|your|our|their|my|this|you|is',
  },
  {
    words: 'now(?! (?:backwards?|forwards?|the same)\\b)',
    notBehind: 'for|right|by|until|till|just|from|even|up to|is|are',
  },
  { words: '(?:slowly |gently )?open (?:the|your) eyes', notBehind: `slowly|gently|${GOING_ON}` },
  { words: '(?:change|swap|switch) (?:sides?|feet|legs|hands|arms|over)', notBehind: `then|${GOING_ON}` },
  {
    words: `(?:${NUMBER} more|last (?:one|two|three))(?! (?:is|on|times?)\\b)`,
    notBehind: `the|for|do|your|with|after|then|${GOING_ON}`,
  },
  { words: `${NUMBER} on this side`, notBehind: 'do|then|for|of|hold' },
];

const SPEAKING: readonly Opener[] = [
  {
    words: `${PRAISE}(?! (?:morning|evening|afternoon|day|posture|idea|time|for|to|about|enough|at|way|place|stretch))`,
    notBehind: PRAISED,
  },
  {
    words: `so(?= (?:we|we[’']ll|we[’']re|just|breath(?:e|ing)|let|let[’']?s|that(?:[’']?s| is)(?! (?:${NUMBER}))|find|take|bring|stand|hello|the (?:next|first|last|second|left|right)|today|if|feet|keep|i|it[’']?s|circle|lift|raise|step|turn|push|pull|put|place|open|reach|bend|shift|sit|come|hold|your|the (?:hands|arms)) )`,
    notBehind: 'or|do|even|ever',
  },
  {
    words:
      "(?:we (?:do|stay|hold|go|come|take|repeat|rest|are|will|want|turn|stand|sit|shift|move|just)|we[’'](?:ll|re)|let[’']s|i(?:[’']d| would) like|i want you)",
    notBehind: `${ASKING}|today|first|now|then|so|after|next|${ORDINAL}(?: ${THING})?|the one|finally|here`,
  },
  {
    words:
      'you(?= \\p{L}+ (?!and\\b|to\\b|are\\b))(?! (?:know|are|were|have|can|may|might|should|could|will|like|want|need|feel)\\b)',
    notBehind: `${ASKING}|do|did|are|were|with|for|to|of|from|thank|see|and|or|around|behind|under|between|towards|away from|in front of|at|let|help|give|show|tell|leave|want|like|if|all|let me|both|every time|each time|time|then|now|here|today`,
  },
  { words: 'they (?:can|may|should|could|do|just)', notBehind: ASKING },
  {
    words:
      '(?:you (?:can|may|might|should|could|will)|if (?:you|your|it|the|anyone|anybody|they|somebody)(?! (?:like|want|need|can|wish|prefer|feel like)))',
    notBehind: `${ASKING}|only|or|see|even|smaller|slower|lower|lighter|easier|less`,
  },
  {
    words:
      "(?:remember (?:to|not)|remind|tell (?:them|everyone|everybody|people)|ask them|mind (?:the|your)|watch (?:the|your|for)|notice|feel (?:the|your|how)|soften|keep (?:the|your|it|them|on|breathing)|try (?:to|not)|(?:let|relax) (?:the|your|it|that|them|everything|go)|don[’']?t|do not|make sure|be careful|careful|take care|shake (?:it|them|that) (?:off|out)|hold (?:it|that|this) (?:there|here)|hold on to|just (?:listen|stand|sit|rest|feel|notice|let))",
    notBehind: GOING_ON,
  },
  {
    words: '(?:breath(?:e|ing) (?:in|out|naturally|normally|easily|however|as you)|inhal(?:e|ing)|exhal(?:e|ing))',
    notBehind: `with|by|start|keep|on|of|deep|slow|each|every|an|the|your|our|minutes?|quietly|after|${GOING_ON}`,
  },
  {
    words: `(?:thanks|say (?:thank|goodbye|bye)|bow and|thank (?:you|everybody|everyone|them)|see you|that(?:[’']?s| is| was) (?:it|all|the end|us|me|${NUMBER}))`,
    notBehind: 'say|you|we|i|they|to|say a|let me|so',
  },
];

const OPENS = new RegExp(`(?<=\\s)(?:${[...SEQUENCE, ...SPEAKING].map(withGuard).join('|')})(?![\\p{L}’'])`, 'giu');

function withGuard({ words, notBehind }: Opener): string {
  return notBehind === undefined ? `(?:${words})` : `(?<!(?<!\\p{L})(?:${notBehind}) )(?:${words})`;
}

/** Words between two sentences: they belong to the second. */
const BETWEEN = new RegExp(
  `(?<=^|\\s)(?:and(?: slowly| gently| softly)?|so|then|please|(?<!left and )right|but|now|well|(?<!(?<!\\p{L})(?:${PRAISED}) )${PRAISE}) $`,
  'iu',
);
const BETWEEN_AT_MOST = 24;

/** "As you breathe out let the arms sink": what such a clause tells comes behind it. */
const SUBORDINATE =
  /^(?:(?:and|so|then|now|but|okay|ok) )*(?:as|when|while|if|before|after the|once|every time|each time)\b/i;
const SUBORDINATE_WORDS = 9;

const ELSE = new RegExp(`^(?:and )?(?:${PRAISE}|now|then|next|so)\\b`, 'i');

/** A text without stops as its clauses, one behind the other; each with the words that join it. */
export function clausesOf(text: string): readonly string[] {
  const clauses: string[] = [];
  let from = 0;
  let held = false;
  for (const cut of [...cutsIn(text), text.length]) {
    const told = text.slice(from, cut).replace(/^[\s,]+|[\s,]+$/g, '');
    const behind = text.slice(cut);
    const short = cut < text.length && SUBORDINATE.test(told) && wordCount(told) < SUBORDINATE_WORDS;
    // "Not above the shoulder if it hurts okay that was ten": of what stands before it, where something else begins.
    const last = clauses.at(-1);
    if (short && last !== undefined && ELSE.test(behind)) {
      clauses[clauses.length - 1] = `${last} ${told}`;
      from = cut;
      continue;
    }
    held = short && !held && !SUBORDINATE.test(behind);
    if (told === '' || held) continue;
    clauses.push(...partApart(told).flatMap(stepsApart).map(withCommas));
    from = cut;
  }
  return clauses;
}

/** "Warm up shoulder rolls ten backwards": the name of a part before the first step in it. */
const PART_FIRST = new RegExp(
  `^((?:and |then |(?:the )?${ORDINAL} thing |the |a )*(?:warm(?:ing)?[ -]?up|cool(?:ing)?[ -]?down|main (?:part|form|set|section)))(?= (?!the\\b|your\\b|with\\b|for\\b|by\\b|in\\b|on\\b|and\\b|again\\b|we\\b|is\\b|${NUMBER}\\b)\\p{L}+ .*${NUMBER}\\b)`,
  'iu',
);

function partApart(clause: string): readonly string[] {
  const part = PART_FIRST.exec(clause)?.[1];
  return part === undefined ? [clause] : [part, clause.slice(part.length).trim()];
}

/** Where the clauses of a text begin, but for the first. */
function cutsIn(text: string): readonly number[] {
  const cuts = new Set<number>();
  let before = { index: 0, cut: 0 };
  for (const { index } of text.matchAll(OPENS)) {
    let cut = index;
    // What joins goes back to the opener before at most, and there on to where that begins.
    while (cut > before.index) {
      const between = BETWEEN.exec(text.slice(Math.max(0, cut - BETWEEN_AT_MOST), cut))?.[0];
      if (between === undefined) break;
      cut -= between.length;
    }
    before = { index, cut: cut === before.index ? before.cut : cut };
    cuts.add(before.cut);
  }
  return [...cuts].filter((cut) => cut > 0).sort((a, b) => a - b);
}

const COMMAS: readonly RegExp[] = [
  // "Open the book that's arms out to the side".
  new RegExp(`(?<=\\p{L}{3}) (?=that[’']s (?!it\\b|all\\b|the end|${NUMBER}\\b)\\p{L}+ \\p{L}+)`, 'giu'),
  // "The waves so that is eight waves".
  new RegExp(` so that(?:[’']?s| is) (?=${NUMBER} )`, 'giu'),
  // "Lifting the water in on the rise out on the fall", "the heron hold twenty seconds".
  /(?<=\p{L}) (?=(?:in|out) (?:on|as|with) the \p{L}+ (?:and )?(?:in|out) (?:on|as|with) )/giu,
  /(?<=(?:in|out) (?:on|as|with) the \p{L}+) (?=(?:in|out) (?:on|as|with) )/giu,
  new RegExp(
    `(?<=\\p{L})(?<! (?:to|we|then|and|you|they)) (?=(?:hold|stay)(?: it| there)?(?: for)? (?:about )?${NUMBER} )`,
    'giu',
  ),
  /(?<=\p{L})(?<! (?:the|your|both|our|their|with|of|as|when|and|let|keep|lift|raise|then|a|shake|on|left|right|that[’']?s|it[’']?s|is)) (?=(?:hands?|feet|arms|palms|eyes|knees) (?:in front|on (?:the|your)|by|at|together|under|out|wide|closed|open|shut|soft|loose|hip|shoulder)\b)/giu,
  new RegExp(`(?<=\\p{L}) (?=${NUMBER} one way)`, 'giu'),
  /(?<=\p{L}) (?=no (?:talking|words|counting|cues)\b|holding on )/giu,
  /(?<=(?:minutes?|seconds)) (?=quiet\b)/giu,
];

const withCommas = (text: string): string => COMMAS.reduce((told, place) => told.replace(place, ', '), text);
