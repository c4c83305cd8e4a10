import { findCounts } from '../phrases/counts';
import { bareName } from '../phrases/names';
import { reading, type Reading } from '../model/reading';

/** "Brush knee: L x6, R x6, alternate x12": one side, the other as often, then both. */

const LINE_AT_MOST = 160;
const SIDE = '(?:on |to )?(?:the )?(l|r|left|right)(?: (?:side|leg|foot|arm|hand))?(?: only)?';
const OFTEN = '[x×:]? ?(\\d{1,2})(?: ?[x×]| times| rounds| reps)?';
const BOTH = '(alternat\\p{L}+|both(?: sides| together)?|together|l ?/ ?r|changing(?: sides)?)';
const FORM = new RegExp(
  `^(\\p{L}.{2,60}?)(?:[,:]| [–-])? ${SIDE} ?${OFTEN}[,;]? (?:and |then )*${SIDE} ?${OFTEN}[,;]? (?:and |then |finally )*${BOTH} ?${OFTEN}[.)]?$`,
  'iu',
);

/** "4L 4R then 4 alternating": the numbers first. */
const NUMBERS_FIRST = new RegExp(
  `^(\\p{L}.{2,60}?)(?:[,:]| [–-])? ${OFTEN} ?${SIDE}[,;]? (?:and |then )*${OFTEN} ?${SIDE}[,;]? (?:and |then |finally )*${OFTEN} ?${BOTH}[.)]?$`,
  'iu',
);

/** The movement on one side and then the other, and once more on both; `null` for any other line. */
export function sidesThenBoth(body: string): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST) return null;
  const [, named = '', first = '', often, second = '', again, how = '', both] = FORM.exec(body) ?? numbersFirst(body);
  if (named === '' || often !== again || first.charAt(0).toLowerCase() === second.charAt(0).toLowerCase()) return null;
  const name = bareName(named);
  const startSide = /^r/i.test(first) ? 'right' : 'left';
  const together = /^(?:both|together)/i.test(how) ? '' : 'alternating ';
  return [
    reading('movement', name, { rounds: Number(often), sides: 'one-then-other', startSide }, true),
    reading('movement', name, findCounts(`x, ${together}x${both}`).counts, true),
  ];
}

/** The same in the order of the other form. */
function numbersFirst(body: string): readonly (string | undefined)[] {
  const [all, name, often, first, again, second, both, how] = NUMBERS_FIRST.exec(body) ?? [];
  return [all, name, first, often, second, again, how, both];
}
