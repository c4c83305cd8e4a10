import { itemAt } from '@/core/units';
import { capitalised } from '../model/line-words';
import { hasAmountIn } from './paragraphs';
import { NUMBER_IN_WORDS, NUMBER_WORDS } from '../tokens/tokens';

/*
 * The clauses of a plan that was dictated, as they would be noted: without what leads from one to the next, each with its
 * amount where a noted step has it.
 */

/** Of the clauses of a plan so many have an amount. */
const PLAN_SHARE = 0.4;
const NUMBER = `(?:\\d{1,2}|${NUMBER_IN_WORDS})`;
const LED =
  /^(?:(?:and|(?:first|last) of all|(?:first|second|third|fourth|fifth|sixth|next|last) thing|(?:next|last|first) (?:is|comes)|first|then|so|okay|ok|right|now|well|next|after (?:that|this)|from there|finally|lastly|to (?:finish|end|close)|after the (?:warm[ -]?up|movements|exercises|form|set|break|rest)|do|(?:we (?:go|move|come) (?:into|on to|to) )?(?:the )?(?:first|second|third|next|last) (?:set|part|block|half),? (?:which |that )?is) )+(?=\p{L}+ \p{L})/iu;
/** "Heel raises fifteen": so often. */
const OFTEN = new RegExp(
  `(?<=\\p{L}{2}(?<!(?<!\\p{L})(?:number|part|day|week|lesson|level|set|to|of|same|all))) (\\d{1,2}|(?!one$|two$)(?:${NUMBER_IN_WORDS}))$`,
  'iu',
);
/** "The wave which is both arms up and down": its name, and how it is done. */
const DESCRIBED = new RegExp(
  `^((?:\\p{L}+ ){1,4}?\\p{L}{3,}),? (?:(?:which|that) is|that[’']s) (?!it\\b|all\\b|the end|called\\b|${NUMBER}\\b)(\\p{L}+ \\p{L}.+)$`,
  'iu',
);
const OFTEN_BEHIND = new RegExp(`,? (${NUMBER} times)$`, 'iu');
/** "We do nine of those", behind what is told. */
const OF_THOSE = new RegExp(`^(?:and )?(?:we )?do (?:it )?(${NUMBER}) (?:of (?:those|these|them)|times)$`, 'iu');
/** "Four movements each one eight times so opening the chest": the first of them. */
const EACH_OF = new RegExp(
  `^(?:we (?:do|have|practi[sc]e) |there are )?(${NUMBER}) (?:\\p{L}+ )?(?:movements|exercises|things|forms|pieces|postures)(?: and)?,? (?:each(?: one)?|all(?: of them)?) (${NUMBER}) times(?: each)?(?: so| which are| and they are)? (\\p{L}.+)$`,
  'iu',
);

/** Whether clauses are those of a plan, and not of what is spoken. */
export function isPlanned(clauses: readonly string[]): boolean {
  const counted = clauses.filter(hasAmountIn).length;
  const told = counted > 1 && counted >= PLAN_SHARE * clauses.length;
  return told || clauses.some((clause) => EACH_OF.test(withoutLead(clause)));
}

/** A clause without what leads to it from the one before. */
export const withoutLead = (clause: string): string => capitalised(clause.replace(LED, ''));

/** The clauses of a plan as they would be noted. */
export function asNoted(clauses: readonly string[]): readonly string[] {
  const told = clauses.map((clause) => withoutLead(clause).replace(OFTEN, ', $1 times'));
  return withEachCounted(withThoseCounted(told)).map(described);
}

function described(clause: string): string {
  const [, name, how] = DESCRIBED.exec(clause) ?? [];
  return name === undefined || how === undefined ? clause : `${name}: ${how.replace(OFTEN_BEHIND, ', $1')}`;
}

/** "The wave. We do nine of those." as one. */
function withThoseCounted(clauses: readonly string[]): readonly string[] {
  const out: string[] = [];
  for (const clause of clauses) {
    const often = OF_THOSE.exec(clause)?.[1];
    const above = out.at(-1);
    if (often !== undefined && above !== undefined && !hasAmountIn(above))
      out[out.length - 1] = `${above}, ${often} times`;
    else out.push(clause);
  }
  return out;
}

/** Each of so many that follow, with the amount that is told of all. */
function withEachCounted(clauses: readonly string[]): readonly string[] {
  const at = clauses.findIndex((clause) => EACH_OF.test(clause));
  if (at < 0) return clauses;
  const [, many = '', often = '', first = ''] = EACH_OF.exec(itemAt(clauses, at)) ?? [];
  const count = NUMBER_WORDS.get(many.toLowerCase()) ?? Number(many);
  const below = clauses.slice(at + 1, at + count);
  const own = below.findIndex(hasAmountIn);
  const named = [first, ...(own < 0 ? below : below.slice(0, own))];
  return [
    ...clauses.slice(0, at),
    ...named.map((name) => `${name}, ${often} times`),
    ...clauses.slice(at + named.length),
  ];
}
