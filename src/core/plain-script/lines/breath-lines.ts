import { withAirSpelled } from './air-spelled';
import { breathsLabelled } from './breath-labels';
import { findCounts } from '../phrases/counts';
import { firstWord } from '../tokens/first-words';
import { asSentence } from '../model/line-words';
import type { LineKind } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { wordAmong } from '../tokens/tokens';

/* Breaths that a line leads. */

const BREATH =
  /^(?:(?:so|and|then|now|next),? |next: |long |slow |as you |on the |the (?=(?:in|ex)hale (?!(?:is|has|was|takes|lasts|gets|comes|goes|needs|becomes)\b)\p{L}+s\b))*(?:(in|out)(?::|;| [-–—]| =|,| (?=(?:through|by|via) (?:the |your )?(?:nose|mouth)\b)| (?=up\b|down\b|to\b|when\b|(?!stand|sit|walk|kneel|ly|pass|clos|open(?:ing)? )\p{L}+ing\b))|(inhale|exhale)s?\b|breath(?:e|ing)? (in|out|ot|uot|otu)\b(?! (?:the|your) (?:lower )?(?:belly|back|chest|ribs|abdomen|kidneys|dantian)\b)|(in|out)$)/iu;
const NEXT_BREATH =
  /(?<!\bbreath(?:e|ing)?)(?:\s*[,.;\/·–—-]+\s*(?:and |then )*|\s+(?:and |then )+|\s+)(?=(?:then |on the |as you )*(?:(?:in|out)[:;]|(?:inhale|exhale)\b|breath(?:e|ing)? (?:in|out)\b|out (?:when|to|as)\b|out as\b))/i;

/** "In the Swimming Dragon you breathe in when …". */
const SOMEBODY_BREATHES =
  /^(?:(?:in|for|during|by|with) (?:the |this )?\p{L}[^,.;:!?]{2,40}?,? )?(?:you|we|they|one|everyone|everybody) (?:always |usually )?breathes? (?=(?:in|out) (?:when|as|while|on|with) )/iu;

/** The breaths that a line leads: "in: … out: …", "inhale …, exhale …", "breathe in …". */
export function breathsOf(written: string): Reading[] {
  const text = written.replace(SOMEBODY_BREATHES, 'Breathe ');
  if (ONLY_WAYS.test(text)) return [reading('inhale', 'Breathe in.'), reading('exhale', 'And out.')];
  const labelled = breathsLabelled(text);
  if (labelled) return [...labelled];
  const pair = bothWays(text) ?? waysBehind(text);
  if (pair) return pair;
  if (!BREATH.test(text)) return [];
  return text.split(NEXT_BREATH).flatMap((part) => {
    const piece = part.trim().replace(/^(?:,|and|then) /i, '');
    const match = BREATH.exec(piece);
    if (!match) return [];
    const word = (match[1] ?? match[2] ?? match[3] ?? match[4] ?? '').toLowerCase();
    const kind = /^in/.test(word) ? 'inhale' : 'exhale';
    const { counts, rest } = findCounts(piece);
    const colon = /^(?:in|out)(?:[:;]| =| [–—])/i.test(piece);
    const words = (counts.hold === undefined ? piece : rest).replace(
      colon ? /^(?:in|out)(?:[:;]| =| [–—])\s*/i : /^$/,
      '',
    );
    const held = counts.hold === undefined ? {} : { hold: counts.hold };
    return [reading(kind, colon ? words : asSentence(words), held)];
  });
}

const LINK = '(?:[:;,]| ?[-–—=→]>?)? *';
const SAYS_MORE =
  /^(?:pairs|twos|threes|silence|total|all|turn|order|place|front|between|your own|the (?:hall|room|corner|dark|middle|garden|same|next|first|last))\b|^of\b/i;
/** "in up, out down", "Breathe in as you lift and out as you lower", "out -> push, in -> back". */
const BOTH_WAYS = new RegExp(
  `^(breathe? |breath(?:ing)?[:,]? )?(in|out)(${LINK})((?=\\p{L}{2})[^.!?]*?[\\p{L}\\d)])[.\\s]*(?:[,;/|·–—-]|\\.|\\band\\b|\\bthen\\b)[\\s]*(?:and |then )*(?:breathe? )?(in|out)(${LINK})(\\p{L}{2}.*)$`,
  'iu',
);
/** "in rise out sink": a few words each, with nothing between. */
const BARE_PAIR = /^()(in|out)() (\p{L}+(?: \p{L}+){0,2}) (in|out)() (\p{L}+(?: \p{L}+){0,2})$/iu;
/** "Breathe in... and out...". */
const ONLY_WAYS =
  /^(?:and |now |so )*(?:breathe )?in ?(?:\.{2,}|…|,|\.)? ?(?:and |then )*(?:breathe )?out ?(?:\.{2,}|…|[.!])?$/i;
const PAIR_AT_MOST = 160;

/** A way in and a way out that are told in one line by the bare words; `null` where they are not. */
function bothWays(text: string): Reading[] | null {
  if (text.length > PAIR_AT_MOST) return null;
  const [all, breathe = '', first = '', , does = '', second = '', , doesThen = ''] =
    BOTH_WAYS.exec(text) ?? BARE_PAIR.exec(text) ?? [];
  if (all === undefined || first.toLowerCase() === second.toLowerCase()) return null;
  if (SAYS_MORE.test(does) || SAYS_MORE.test(doesThen)) return null;
  const led = /^breathe /i.test(breathe);
  return [
    [first, does],
    [second, doesThen],
  ].map(([way = '', told = '']) => {
    const words = told === told.toUpperCase() ? told.toLowerCase() : told;
    const kind = way.toLowerCase() === 'in' ? 'inhale' : 'exhale';
    const spoken = led || /^(?:as|when|while|on|with|to|through|by|for|slowly|again)\b/i.test(words);
    return reading(kind, spoken ? asSentence(`${led ? 'breathe ' : ''}${way.toLowerCase()} ${words}`) : words.replace(/[.]$/, '')); // prettier-ignore
  });
}

/** "Arms float up, breathe in. Arms sink, breathe out." */
const WAYS_BEHIND =
  /^(?!(?:as|while|when|if|once)\b)(\p{L}[\p{L}'’]*(?: \p{L}[\p{L}'’]*){1,8}),? (?:and )?(?:breathe (in|out)|(in|ex)hale)[.,;] (?:and |then )*(\p{L}[\p{L}'’]*(?: \p{L}[\p{L}'’]*){1,8}),? (?:and )?(?:breathe (in|out)|(in|ex)hale)[.]?$/iu;

const AS_ONE = /\b(?:(?:as|when|while) (?:you|we|they|one)|(?:on|with) (?:the|your|an?|each|every))$/i;

const wayOfBreath = (word: string): 'inhale' | 'exhale' => (/^in$/i.test(word) ? 'inhale' : 'exhale');

function waysBehind(text: string): Reading[] | null {
  const [all, first = '', one, oneHale, second = '', other, otherHale] = WAYS_BEHIND.exec(text) ?? [];
  // "Round the back as you breathe out": what is done as one breathes is read otherwise.
  if (all === undefined || [first, second].some((done) => AS_ONE.test(done))) return null;
  const [way, otherWay] = [one ?? oneHale, other ?? otherHale].map((of) => wayOfBreath(of ?? ''));
  if (way === undefined || otherWay === undefined || way === otherWay) return null;
  return [reading(way, first.trim()), reading(otherWay, second.trim())];
}

const BREATHS = ['inhale', 'exhale'];
const LED_BREATHS = [...BREATHS, 'breathe'];

/** With a slip in its first word put right: "inahle lift". */
export function withBreathSpelled(text: string): string {
  const inAir = withAirSpelled(text);
  if (inAir !== text) return inAir;
  const first = firstWord(text);
  const led = first !== 'breathe' && /^\p{L}+ (?:in|out)\b/iu.test(text) ? LED_BREATHS : BREATHS;
  const spelled = wordAmong(first, led);
  return spelled === null ? text : `${spelled}${text.slice(first.length)}`;
}

/** "Breathing: in 4, out 6 for 2 mins", "Breathe in 4 out 6, 8 times", where no movement stands above: a step by itself. */
const BREATHING =
  /^(?:\p{L}[.)] |\d{1,2}[.)] |[-*•] )?(?:breath(?:ing|e|s)?|breath work)(?::| [–-]|,)? (?=(?:in|inhale|out) )/iu;

export function breathingStep(text: string, under: LineKind): readonly Reading[] | null {
  if (under === 'movement' || text.length > 120 || !BREATHING.test(text)) return null;
  const { counts, rest } = findCounts(text.replace(BREATHING, ''));
  const counted = (counts.rounds === undefined) !== (counts.seconds === undefined);
  return counts.breath && counted && rest === '' ? [reading('movement', 'Breathing', counts, true)] : null;
}
