import { stemmer } from 'stemmer';
import { remembered } from '@/core/units';

/** A word of a text as the meanings look at it. */
export interface Word {
  /** Small letters, apostrophes gone: "don't" is "dont". */
  readonly plain: string;
  /** By Porter (1980), "An algorithm for suffix stripping", as the package `stemmer` has it. */
  readonly stem: string;
  /** Place in the text, in characters. */
  readonly from: number;
  readonly to: number;
  /** Which sentence of the text, and which part of it between commas; both from 0. */
  readonly sentence: number;
  readonly clause: number;
  /** The word, by its place among the words, by which this one is denied or forbidden; `null` where none does. */
  readonly deniedBy: number | null;
  /** Stands in a condition, a question of whether, or in what somebody finds for themselves. */
  readonly supposed: boolean;
}

/** The stem of a word in small letters. */
export const stemOf = remembered(stemmer);

/** A word, or a mark that ends something: a sentence, or a part of one. */
const PIECE = /[\p{L}\p{N}]+(?:['’][\p{L}]+)*|[.!?;:–—\n]+|,|\{[^{}]*\}| - /gu;

/**
 * Words that deny or forbid what follows, to the end of the clause, as in NegEx (Chapman and others 2001, "A simple
 * algorithm for identifying negated findings", from memory); the list is ours.
 */
const DENYING = new Set(
  `no not never nor neither without avoid cannot cant dont doesnt didnt wont wouldnt shouldnt isnt arent wasnt neednt
  mustnt hasnt havent couldnt nobody nothing none stop instead hardly refrain`.split(/\s+/),
);
/** What a denial ends at within its clause. */
const ENDS_DENYING = new Set('but however yet though although until only just and so because then'.split(' '));
/** "Not only" denies nothing; "no doubt" and "no wonder" neither. */
const DENIES_NOTHING = new Set(['not only', 'no doubt', 'no wonder', 'not just', 'why not']);
const SUPPOSING = new Set('if whether unless suppose'.split(' '));

interface Cut {
  readonly plain: string;
  readonly from: number;
  readonly to: number;
  readonly sentence: number;
  readonly clause: number;
}

/** A word in small letters without its apostrophes; "I'll" is not ill, nor "we'll" well. */
export function withoutApostrophes(word: string): string {
  return word.replace(/^(i|we|he|she)['’]ll$/, '$1').replace(/['’]/g, '');
}

function cut(text: string): Cut[] {
  const words: Cut[] = [];
  let sentence = 0;
  let clause = 0;
  for (const match of text.matchAll(PIECE)) {
    const [piece] = match;
    if (piece.startsWith('{')) continue;
    if (piece === ',' || piece === ' - ') clause++;
    else if (/^[.!?;:–—\n]/.test(piece)) {
      sentence++;
      clause++;
    } else {
      const plain = withoutApostrophes(piece.toLowerCase());
      words.push({ plain, from: match.index, to: match.index + piece.length, sentence, clause });
    }
  }
  return words;
}

/** The words of a text with their stems, and which of them are denied or only supposed. */
export function readWords(text: string): readonly Word[] {
  const words = cut(text);
  let deniedBy: number | null = null;
  let [supposed, clause, sentence] = [false, -1, -1];
  return words.map((word, at) => {
    if (word.sentence !== sentence || (word.clause !== clause && !listsOn(words, at) && !hangsOn(words, at)))
      [deniedBy, supposed] = [null, false];
    ({ clause, sentence } = word);
    const before = `${words[at - 1]?.plain ?? ''} ${word.plain}`;
    const ends = ENDS_DENYING.has(word.plain) && words[at + 1]?.plain !== 'or' && before !== 'as though';
    if (ends && !goesOnForbidding(words, at, deniedBy)) deniedBy = null;
    const read: Word = { ...word, stem: stemOf(word.plain), deniedBy, supposed };
    const pair = `${word.plain} ${words[at + 1]?.plain ?? ''}`;
    const denies = DENYING.has(word.plain) && !DENIES_NOTHING.has(pair) && !DENIES_NOTHING.has(before);
    if (denies || before === 'rather than') deniedBy ??= at;
    if (SUPPOSING.has(word.plain) || findsFor(words, at)) supposed = true;
    return read;
  });
}

/** "Do not gulp the air and hold it": what is forbidden at the start of a sentence is so behind "and" as well, but for what is asked for instead. */
function goesOnForbidding(words: readonly Cut[], at: number, deniedBy: number | null): boolean {
  if (deniedBy === null || words[at]?.plain !== 'and') return false;
  const start = words.findIndex(({ sentence }) => sentence === words[at]?.sentence);
  const forbids = deniedBy - start < FORBIDDING_AT_MOST && !INSTEAD.has(words[at + 1]?.plain ?? '');
  return forbids && FORBIDDING.test(words.slice(start, deniedBy + 1).map(({ plain }) => plain).join(' ')); // prettier-ignore
}

const FORBIDDING_AT_MOST = 7;
const FORBIDDING =
  /^(?:please )?(?:do not|dont|never|no need|no|nobody|there is no|theres no|you (?:do not|dont|neednt)|(?:i would|id) rather you did not)$/;
/** What begins something else behind "and". */
const INSTEAD = new Set(
  'keep let stay breathe relax remember enjoy rest come take move feel stand sit just only then now i you we they he she it the your this that there if when always simply do be make go start'.split(
    ' ',
  ),
);

/** "Never force, push or hold": a comma of a list ends no denial, where "or" or "nor" is still to come in it. */
function listsOn(words: readonly Cut[], at: number): boolean {
  const sentence = words[at]?.sentence;
  for (let next = at; next < at + 4 && words[next]?.sentence === sentence; next++) {
    const plain = words[next]?.plain;
    if (plain === 'or' || plain === 'nor') return next > at;
  }
  return false;
}

/** "Never flop over, head hanging", "do not fold, letting it drop": what goes with it is denied as well. */
function hangsOn(words: readonly Cut[], at: number): boolean {
  const clause = words[at]?.clause;
  const goesWith = [words[at], words[at + 1]].some((one) => one?.clause === clause && GOING.test(one?.plain ?? ''));
  if (!goesWith || BEFORE_GOING.has(words[at]?.plain ?? '')) return false;
  // "…, holding it is fine" is a sentence of its own.
  for (let next = at; words[next]?.clause === clause; next++) if (TELLING.has(words[next]?.plain ?? '')) return false;
  return true;
}

const GOING = /^(?!(?:morning|evening|everything|anything|something|nothing|during|breathing)$)\p{L}{3,}ing$/u;
const BEFORE_GOING = new Set('keep stay go and then just by for while now with without'.split(' '));
const TELLING = new Set('is are was were will can may does helps makes gives keeps lets heals works feels has have'.split(' ')); // prettier-ignore

const FINDING = new Set('find found feel like notice enjoy'.split(' '));
const FINDERS = new Set('i people some many we'.split(' '));

/** "I find ...", "some people feel ...": told of oneself or others, not promised. */
function findsFor(words: readonly Cut[], at: number): boolean {
  return FINDING.has(words[at]?.plain ?? '') && FINDERS.has(words[at - 1]?.plain ?? '');
}
