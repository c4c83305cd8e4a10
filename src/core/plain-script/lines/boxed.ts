import { findCounts, hasAmount } from '../phrases/counts';
import { amountAlone } from '../line-kinds/amounts-alone';
import { isTold } from '../line-kinds/talks';

/* Amounts in brackets: alone below a name, and behind one before what is done in it. */

/** An amount as the line of a movement that has none yet, and whether it is a guess. */
interface AmountBelow {
  readonly text: string;
  readonly unsure: boolean;
}

/** "(2 min)", "[6]", "make it 6", right below a name: how long or how often, and no pause behind it. */
export function amountBelow(body: string): AmountBelow | null {
  const boxed = BRACKETED.exec(body)?.[1];
  if (boxed !== undefined) return { text: /^\d{1,2}$/.test(boxed) ? `x${boxed}` : boxed, unsure: false };
  const alone = amountAlone(body);
  if (alone === undefined) return null;
  const { counts, bare } = findCounts(body);
  return { text: alone, unsure: !/^[x×\d]|:/i.test(body) && (bare || !hasAmount(counts)) };
}

const BRACKETED = /^[([]([^()[\]]{1,40})[)\]]\.?$/;

/** "HIP CIRCLES (1:30): 8 clockwise, 8 anti": rounds are led, whatever the time for them; else it is the step's. */
export function withoutBoxedTime(text: string): string | null {
  const [, name = '', time = '', rest = ''] = BOXED_TIME.exec(text) ?? [];
  if (name === '' || isTold(name) || isTold(`${name}: ${rest}`)) return null;
  const { counts } = findCounts(rest);
  return hasAmount(counts) ? `${name}: ${rest}` : `${name}, ${time}. ${rest.charAt(0).toUpperCase()}${rest.slice(1)}`;
}

const BOXED_TIME = /^((?:\d{1,2}[.)] |[-*•] )?\p{L}[^():]{2,40}?) ?[([](\d{1,2}:\d{2}|\d{1,2} ?(?:min|mins|m|['′]))[)\]]: (?=\S)(.{3,160})$/u; // prettier-ignore
