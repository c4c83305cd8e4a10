import type { LineKind } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { isManner, isOnlyBreath } from '../phrases/breath-counts';
import { findCounts, hasAmount } from '../phrases/counts';
import { isNameLike } from '../line-kinds/name-lines';
import { wordCount } from '../model/line-words';
import { breathsTold, tellsOfStep } from './asides';
import { breathsOf, withBreathSpelled } from './breath-lines';

/** The breath that a line sets or leads, or what else it tells of the step above; `null` for any other line. */
export function breathIn(body: string, under: LineKind): readonly Reading[] | null {
  const { counts, rest } = findCounts(body);
  const { breath, rests: _, ...others } = counts;
  if (breath && Object.keys(others).length === 0 && isOnlyBreath(rest)) return [reading('setting', '', counts)];
  // "very slowly, in 5, out 5", below a step.
  if (breath && Object.keys(others).length === 0 && under === 'movement' && isManner(rest))
    return [reading('setting', '', counts), reading('said', rest.replace(/^\(|[\s,;:–-]+$/g, ''))];
  // "When sitting: keep the back free", "On chairs: lean left and right": no pace and no sides are set there.
  const mayTell =
    under === 'movement' &&
    (Object.keys(counts).length === 0 || (!hasAmount(counts) && counts.breath === undefined && body.includes(': ')));
  const spelled = withBreathSpelled(body);
  const among = under !== 'movement' || breath || hasAmount(counts) ? null : breathsAmong(spelled);
  if (among) return [...among.breaths, { ...reading('said', among.said), sets: { before: among.said } }];
  const told = mayTell ? tellsOfStep(body) : null;
  if (told) return told;
  // "Long exhale (in 4, out 8), 6 rounds" is a step by its counts.
  const breaths = breath && counts.rounds !== undefined ? [] : breathsOf(spelled);
  // "Inhale, lift. Exhale, sink. (x6)": how often belongs to what is breathed.
  const amountBehind = counts.rounds === undefined ? undefined : APART_BEHIND.exec(body)?.[0];
  const rounds = amountBehind === undefined ? undefined : findCounts(`x ${amountBehind}`).counts.rounds;
  const often = rounds === undefined ? [] : [reading('setting', '', { rounds: counts.rounds })];
  // "Breathe out, rest 30 s" tells more than the breath.
  const more = (counts.seconds?.[0] ?? 0) >= LONGER_THAN_A_BREATH;
  return breaths.length > 0 ? [...breaths.map((one) => ({ ...one, unsure: one.unsure || more })), ...often] : null;
}

/** Seconds; no way of a breath lasts so long. */
const LONGER_THAN_A_BREATH = 15;

/** An amount in brackets or behind a comma, at the end. */
const APART_BEHIND = /(?:[([]|[,;] |[–—-] )(?:x|×)? ?[\p{L}\d]{1,8} ?(?:x|×|times|rounds|reps|breaths)?[)\]]?[.!]?$/iu;

/** Where a sentence ends and the next begins. */
const NEXT_SENTENCE = /(?<=\p{L}{2}[.!]) (?=\p{Lu})/u;
const OF_BREATH = /\b(?:breath|inhal|exhal|in[- ]breath|out[- ]breath)/i;

/** "Breathe out.": what stands behind it tells what is done meanwhile. */
const BARE_BREATH_WORDS = 3;

/** The sentences of several that lead the breath, and what is said before and behind them; `null` where they are no others. */
function breathsAmong(text: string): { readonly breaths: readonly Reading[]; readonly said: string } | null {
  const sentences = text.split(NEXT_SENTENCE);
  const led = sentences.filter((one) => OF_BREATH.test(one));
  const [first = '', last = ''] = [led[0], led.at(-1)];
  const [from, to] = [sentences.indexOf(first), sentences.lastIndexOf(last)];
  const others = sentences.filter((_, at) => at < from || at > to);
  // "Rowing the boat. Inhale as you pull." begins with a name.
  if (sentences.slice(0, from).some((one) => wordCount(one) <= BARE_BREATH_WORDS || isNameLike(one.slice(0, -1))))
    return null;
  if (others.length === 0 || led.some((one) => wordCount(one) <= BARE_BREATH_WORDS && !one.includes(':'))) return null;
  const line = sentences.slice(from, to + 1).join(' ');
  const breaths = breathsTold(line) ?? breathsOf(line);
  return breaths.length === 0 ? null : { breaths, said: others.join(' ') };
}
