import { findCounts } from '../phrases/counts';
import type { LineKind } from '../model/model';
import { layered, layersIn } from '../line-kinds/layers-counted';
import { eachOfList } from './of-list';
import { ownAfter } from './own-after';
import { reading, type Reading } from '../model/reading';
import { onLast } from './told-behind';
import { settingIn } from '../line-kinds/step-settings';
import { NUMBER_IN_WORDS, NUMBER_WORDS } from '../tokens/tokens';

/*
 * What a whole line tells of the movement above it: how people breathe in it, which layers join, its other side, how long
 * they go on by themselves; below a list without amounts, the amount of each.
 */

/** Where a line stands below a step. */
interface BelowStep {
  readonly under: LineKind;
  readonly inset: boolean;
  /** Whether the movement above has no amount yet. */
  readonly wantsAmount: boolean;
}

/** What a line tells of the step above; `null` where it tells anything else. */
export function ofStepAbove(body: string, { under, inset, wantsAmount }: BelowStep): readonly Reading[] | null {
  const each = under === 'movement' || under === 'silence' ? eachOfList(body) : null;
  if (each) return each;
  if (under !== 'movement') return null;
  // Below what has its amount, a breath with its own is a step.
  if (!wantsAmount && !inset && /^breath(?:ing|s)?[:,]? (?:[–-] )?\d/i.test(body)) {
    const { counts, rest } = findCounts(body.replace(/^\p{L}+[:,]? (?:[–-] )?/u, ''));
    if (counts.breath && counts.rounds !== undefined && rest === '') return [reading('movement', 'Breathing', counts, true)]; // prettier-ignore
  }
  const set = settingIn(body) ?? (wantsAmount ? countAlone(body) : null);
  if (set) return set;
  const last = onLast(body);
  if (last) return [last];
  const alone = wantsAmount ? null : ownAfter(body, inset);
  if (alone) return [alone];
  const layers = layersIn(body);
  if (layers && (layers.length > 1 || inset)) return [layered(body, layers)];
  const [, first] = SIDES_IN_TURN.exec(body) ?? [];
  if (first !== undefined) return [onBothSides(first)];
  const [, second] = SAME_ON.exec(body) ?? [];
  return second === undefined ? null : [onBothSides(/^r/i.test(second) ? 'left' : 'right')];
}

/** "6", "six", "6 waves", right below a name: how often, by nothing but a number. */
function countAlone(body: string): readonly Reading[] | null {
  const [, number = ''] = COUNT_ALONE.exec(body) ?? [];
  const rounds = NUMBER_WORDS.get(number.toLowerCase()) ?? Number(number);
  return rounds > 1 ? [reading('setting', '', { rounds }, true)] : null;
}

const COUNT_ALONE = new RegExp(
  `^(?:count to |total )?(\\d{1,2}|${NUMBER_IN_WORDS})(?: (?!(?:min|sec|hour|side|leg|arm|hand|way|foot|feet|people|chair|beginner|newcomer|student|level|breath)\\p{L}*\\b)\\p{Ll}{3,}s)?(?:,? (?:please|only|or so|then rest))*[.!]?$`,
  'iu',
);

function onBothSides(first: string): Reading {
  return reading('setting', '', { sides: 'one-then-other', startSide: /^r/i.test(first) ? 'right' : 'left' });
}

/** "We did it on the left lead and then the right.", "first on the right, then on the left". */
const SIDES_IN_TURN =
  /^(?:(?:we|they|I|all|everybody|everyone|and|then|first|now) )*(?:(?:do|did|done|does|take|took|repeat(?:ed)?|practi[cs]ed?|led|lead) )?(?:it |this |that |them )?(?:all )?(?:first )?(?:on |to |with )(?:the )?(left|right)(?: (?:lead|leg|side|foot|hand|arm))?,? (?:and )?then (?:again )?(?:on |to |with )?(?:the )?(?:right|left|other)(?: (?:lead|leg|side|foot|hand|arm))?[.!]?$/i;

/** "same, L leg forward", "repeat on the right": the step above with its other side. */
const SAME_ON =
  /^(?:and |then )*(?:(?:do )?(?:the |exactly the )?(?:same|repeat|again|ditto|as (?:above|before))(?: again| thing| movement| exercise| form)?)[:,]?(?: (?:but|now|with|on|to|for|the))* (left|right|l|r)(?: (?:leg|foot|side|arm|hand))?(?: (?:forwards?|in front|leading|leads|first|back))?[.!]?$/i;
