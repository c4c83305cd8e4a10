import { settingIn } from '../line-kinds/step-settings';
import { reading, type Reading } from '../model/reading';
import { labelledAs } from './labelled';
import { readRemark } from './step-lines';
import { amountThenTold } from './tails';

/* What is told of a step beside it: in its row, behind it, or behind its amount on a line of its own. */

/** What stands beside a step in its row: its breath, what a label says of it, or what is said. */
export function remarkOf(remark: string): readonly Reading[] {
  const set = settingIn(remark);
  if (set) return set;
  const sentences = LABEL_BEHIND.test(remark) ? remark.split(/(?<=[.!?;]) (?=\S)/) : [];
  if (sentences.length > 1) return sentences.flatMap(remarkOf);
  const found = readRemark(remark);
  return found[0]?.kind === 'said' ? (labelledAs(remark, 'movement') ?? found) : found;
}

/** "Look far ahead. Caution: sore backs bend less." */
const LABEL_BEHIND =
  /[.!?;] (?:caution|careful|warning|safety|easier|harder|option|level \d|seated|contra\w*|cue|say|note): /i;

/** "6 times, soft knees": the amount of the step above, and what is told of it. */
export function countedAbove(body: string): readonly Reading[] | null {
  const found = amountThenTold(body);
  return found && [reading('setting', '', found.counts), ...remarkOf(found.tail)];
}
