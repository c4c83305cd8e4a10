import { findCounts } from '../phrases/counts';
import { reading, type Reading } from '../model/reading';

/*
 * Below a list of names, one amount for each of them: "(all 1 min)", "each x8", "1 min each", "8 of each".
 */

const ALL =
  '(?:(?:do )?(?:all|each|every one|everything)(?: (?:of (?:these|them|the above|those)|above|for|are|is|exercise|movement|one))*)';
const FIRST = new RegExp(`^${ALL}[:,=]? ?(?:for )?(?=[\\dx×]|\\p{L})`, 'iu');
const LAST = /,? ?(?:(?:of |for |on )?(?:each|all|every one)(?: (?:of (?:these|them|the above|those)|exercise|movement|one))?|apiece|a ?piece|per (?:exercise|movement|item|joint))$/i; // prettier-ignore
const LINE_AT_MOST = 48;

/** "about a minute each, last one slower". */
const BESIDE = /^(.{4,26}?\b(?:each|apiece)), (?!\d)(\p{L}.{3,30})$/iu;

/** The amount that a line gives to each of a list above it, and what it tells beside; `null` where it gives none. */
export function eachOfList(body: string): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST || !/\b(?:all|each|every|everything|apiece|piece|per)\b/i.test(body)) return null;
  const whole = body.replace(/^[([]([^()[\]]+)[)\]]\.?$/, '$1').replace(/[.!]$/, '');
  const [, text = whole, beside = ''] = BESIDE.exec(whole) ?? [];
  const amount = FIRST.test(text) ? text.replace(FIRST, '') : text.replace(LAST, '');
  if (amount === text || /\b(?:sides?|legs?|arms?|ways?|directions?|foot|feet|hands?)\b/i.test(text)) return null;
  const { counts, rest } = findCounts(amount);
  const { rounds, roundsWithin: _, seconds, ...others } = counts;
  const one = (rounds === undefined) !== (seconds === undefined);
  if (!one || Object.keys(others).length > 0 || rest !== '') return null;
  const set = { ...reading('setting', '', findCounts(text).counts, true), sets: { each: counts } };
  return beside === '' ? [set] : [set, reading('said', beside)];
}
