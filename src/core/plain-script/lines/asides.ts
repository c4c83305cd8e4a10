import { breathsOf } from './breath-lines';
import { reading, type Reading } from '../model/reading';
import { versionIn } from './versions';

/*
 * What a line without amounts tells of the movement above it, in words of its own: how it is breathed ("arms rise (in)",
 * "out with the push"), a caution ("C/I: hip replacement"), a smaller or larger version ("beginners: no step").
 */

const LONGEST = 160;

/** A breath, a caution or a level; `null` where it is none of them. */
export function tellsOfStep(written: string): readonly Reading[] | null {
  if (written.length > LONGEST) return null;
  const body = written.replace(/^[([]([^()[\]]+)[)\]][.!]?$/, '$1');
  const breaths = breathsTold(body) ?? (body === written ? null : orNull(breathsOf(body)));
  if (breaths) return breaths;
  const caution = CAUTION.exec(body)?.[0];
  return caution === undefined ? versionIn(written) : [reading('caution', body.slice(caution.length).trim(), {}, true)];
}

const orNull = (found: readonly Reading[]): readonly Reading[] | null => (found.length > 0 ? found : null);

const WAY = '(?:in|out|inhal(?:e|ing)|exhal(?:e|ing)|in-?breath|out-?breath|breath(?:e|ing) (?:in|out))';
/** What goes with the breath before or behind it: "(in) arms rise", "arms rise on the in-breath". */
const BEFORE = [
  new RegExp(`^[([](${WAY})[)\\]]:? (\\p{L}.+)$`, 'iu'),
  new RegExp(`^(?:[↑↓←→] ?)?(${WAY})(?:,|\\.{2,}|…) ?(\\p{L}.+)$`, 'iu'),
  new RegExp(`^(in-?breath|out-?breath|inhalation|exhalation|breathing (?:in|out))(?::|,| [–-]) (\\p{L}.+)$`, 'iu'),
  /^(?:on|with|during|by) (?:(?:an?|the|your|each|every) )?((?:in|out)[ -]?breath|inhale|exhale|inhalation|exhalation),? (\p{L}.+)$/iu,
  /^(?:when|while|as you(?: are)?) (breath(?:e|ing) (?:in|out)|inhal(?:e|ing)|exhal(?:e|ing)),? (\p{L}.+)$/iu,
  /^(in|out) ((?:with|as|on) the \p{L}.+)$/iu,
  /^as (?:the|your) breath (?:comes|goes|flows|moves) (in|out),? (\p{L}.+)$/iu,
  /^(in|out) (?:through|via|by) (?:the |your )?(?:nose|mouth),? (\p{L}.+)$/iu,
  /^(?:take|draw|let) (?:(?:an?|the|your|one|deep|long|slow|easy) )*breath (in|out|go),? (?:and )?(?:then )?(\p{L}.+)$/iu,
] as const;
const BEHIND = [
  new RegExp(`^(\\p{L}.+?) [([](${WAY})[)\\]]$`, 'iu'),
  new RegExp(`^(\\p{L}.+?) (?:=|[–-]) (${WAY})$`, 'iu'),
  /^(\p{L}.+?),? (?:on|with) (?:an?|the|your|each|every) ((?:in|out)(?:[ -]?breath)?|inhale|exhale|inhalation|exhalation)$/iu,
  /^(\p{L}.+?), (breathe (?:in|out)|inhale|exhale)$/iu,
  /^(\p{L}.+?),? and (?:then )?(breathe (?:in|out)|inhale|exhale)$/iu,
  /^(\p{L}.+?),? (?:while )?(breathing (?:in|out)|inhaling|exhaling)$/iu,
  /^(\p{L}.+?),? (?:as|when|while) (?:you|we|they|everyone|everybody) (breathes? (?:in|out)|inhales?|exhales?)$/iu,
] as const;
/** Between the way in and the way out, in one line. */
const BETWEEN = /\s*(?:[,;/·]|\.(?= )|\band then\b|\bthen\b|\band\b|\s[–-]\s)\s*/i;

function breathTold(part: string): Reading | null {
  const before = BEFORE.map((form) => form.exec(part)).find((match) => match !== null);
  const behind = before ? undefined : BEHIND.map((form) => form.exec(part)).find((match) => match !== null);
  const [way, words] = before ? [before[1], before[2]] : [behind?.[2], behind?.[1]];
  if (way === undefined || words === undefined) return null;
  return reading(kindOf(way), words.replace(/[.,;]$/, ''), {}, true);
}

/** The breaths that a line tells: one, or a way in and a way out; `null` where it tells none. */
export function breathsTold(body: string): readonly Reading[] | null {
  if (
    !/\b(?:in|out|breath go|inbreath|outbreath|(?:in|ex)hal(?:e|ing|ation))\b/i.test(body) ||
    breathsOf(body).length > 0
  )
    return null;
  const text = body.replace(/[.!]$|^(?:(?:and|then|now|so|next)[,:]? )+/gi, '');
  for (const parts of [text.split(/\.(?= )\s*/), text.split(/\s*(?:[,;/·]|\.(?= ))\s*/), text.split(BETWEEN)]) {
    if (parts.length !== 2) continue;
    const [first, second] = parts.map((part) => breathTold(part) ?? breathNamed(part));
    if (first && second && first.kind !== second.kind) return [first, second];
  }
  const one = breathTold(text);
  return one && [one];
}

/** "IN arms rise", beside its opposite in the same line. */
function breathNamed(part: string): Reading | null {
  const [, way, words] = /^(in|out):? (\p{L}.+)$/iu.exec(part) ?? [];
  return way === undefined || words === undefined ? null : reading(kindOf(way), words, {}, true);
}

const kindOf = (way: string): 'inhale' | 'exhale' => (/^(?:in|breath(?:e|es|ing) in)/i.test(way) ? 'inhale' : 'exhale');

/** Short labels of a caution; one in other words is said where it stands, and found by the checks. */
const CAUTION = /^(?:c\/i|ci|contra(?:indicated)?) ?[:–-]/iu;
