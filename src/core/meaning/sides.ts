import { readWords, type Word } from './words';

/** What "right" stands before where it means straight or all the way: "right down", "right in front". */
const STRAIGHT = new Set(
  `now away up down through there here in at behind beside before next under over above below on onto into out back round
  around across along by after inside outside off to from beyond where when`.split(/\s+/),
);
/** What may follow a side that is owned: "the right one", "the left again"; of anything else it is the fitting one. */
const AFTER_SIDE = new Set(
  `one again first and or as with while long slow slowly easy goes go leads now this side of`.split(' '),
);
/** "That is right", "it feels right": fitting, no side. */
const JUDGING = new Set(
  'is are feels feel felt just all quite be seems seem sounds looks get got exactly slow thats its alright'.split(' '),
);
/** "What is left", "nothing left", "I left the door": remaining, or went away. */
const REMAINING = new Set(
  `is are was were what nobody nothing anything something noone anyone everyone who breath breaths round rounds minute minutes
  time energy little much few i you he she we they it have has had been being got one two three four five six some more more`.split(
    /\s+/,
  ),
);
const LEFT_TAILS = new Set('overs overs over out behind alone off unsaid to in the it my your at'.split(' '));
/** A side is owned, or moved to. */
const OWNS = new Set(
  'the your my his her its our on to onto toward towards with from turn step lean look go goes goes face shift circle swing'.split(
    ' ',
  ),
);
const SIDED = new Set(
  `hand hands foot feet leg legs arm arms knee knees hip hips side shoulder shoulders heel toe toes palm elbow wrist thigh ear
  ankle cheek fist fingers eye lung rib ribs kua buttock corner edge wall window`.split(/\s+/),
);

/** The sides that a text names by itself, each once; "all right", "right now" and "what is left" name none. */
export function sidesNamed(text: string): ('left' | 'right')[] {
  const words = readWords(text);
  const named = words.flatMap(({ plain }, at) => {
    if (plain === 'left') return isLeftSide(words, at) ? ['left' as const] : [];
    if (plain === 'right') return isRightSide(words, at) ? ['right' as const] : [];
    return [];
  });
  return [...new Set(named)];
}

/** The word beside another, of the same clause. */
function beside(words: readonly Word[], at: number, by: -1 | 1): string | null {
  const other = words[at + by];
  return other && other.clause === words[at]?.clause ? other.plain : null;
}

function isRightSide(words: readonly Word[], at: number): boolean {
  const [before, after] = [beside(words, at, -1), beside(words, at, 1)];
  if (after !== null && SIDED.has(after)) return true;
  if (after !== null && before === 'just') return false;
  if (after !== null && (before === 'the' || before === 'a') && !AFTER_SIDE.has(after) && !STRAIGHT.has(after))
    return false;
  if (before !== null && JUDGING.has(before)) return false;
  if (before === 'every' || before === 'no') return false;
  const owned = before !== null && OWNS.has(before);
  if (after !== null && STRAIGHT.has(after)) return owned && (before === 'the' || before === 'your' || before === 'my');
  // "Right, and out": an answer, not a side, where more follows it. "Right." before anything else as well.
  if (before === null && (after === null || after === 'and' || after === 'then')) return at > 0 || words.length === 1;
  return true;
}

function isLeftSide(words: readonly Word[], at: number): boolean {
  const [before, after] = [beside(words, at, -1), beside(words, at, 1)];
  if (after !== null && SIDED.has(after)) return true;
  if (before !== null && REMAINING.has(before)) return false;
  if (after !== null && LEFT_TAILS.has(after)) return before === 'the' || before === 'your' || before === 'my';
  return true;
}
