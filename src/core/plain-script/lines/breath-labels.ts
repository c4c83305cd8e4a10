import { findCounts, hasAmount } from '../phrases/counts';
import { asSentence } from '../model/line-words';
import type { Counts } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { NUMBER_WORDS } from '../tokens/tokens';

/*
 * The ways of a breath with a mark behind their names: "in - arms rise", "Inhale → lift; exhale → sink", "(in) lift",
 * "in 4: lift", "IN lift OUT sink".
 */

const LONGEST = 200;
const WORD =
  'breathe? in|breathe? out|breathing in|breathing out|in-?breath|out-?breath|in breath|out breath|inhalation|exhalation|inhal(?:e|ing)s?|exhal(?:e|ing)s?|inh|exh|in|out|i|o|e';
const UNIT = '(?: ?(?:s|secs?|seconds?|counts?|beats?))?';
const COUNT = `(?: ?(?:\\((?:for )?|for )?(\\d{1,2}|two|three|four|five|six|seven|eight)${UNIT}\\)?)?`;
const MARK = '(?: ?(?::|→|[-=]>|=| \\/(?= )|\\.{2,}|…)| [–—-](?= )|(?<=[)\\]])(?= )|\\))';
const LED = '(?:(?:and|now|then|next)[,:]? )*(?:(?:on|with|during) (?:the |an? |each )?)?';
const BY = '(?: \\((?:through |by )?(?:the )?(?:nose|mouth)\\)| (?:through|by|via) (?:the )?(?:nose|mouth)(?=:))?';
const LABEL = new RegExp(`^${LED}[([]?(${WORD})[)\\]]?${BY}${COUNT}${MARK}(?: (?=\\S)|(?=\\p{L}))`, 'iu');
/** A count stands before the mark, or a blank is enough behind it. */
const COUNTED = new RegExp(
  `^${LED}(${WORD})(?: \\((?:for )?| for | )(\\d{1,2}|two|three|four|five|six|seven|eight)${UNIT}\\)?(?:,|(?<=\\))) (?=\\p{L})`,
  'iu',
);
const CAPITALS = /^(IN|OUT|INHALE|EXHALE)() (?=\p{Ll})/u;
const ABBREVIATED = /^(inh|exh)()\. (?=\p{L})/iu;
/** Before the next of them: a mark, or a blank alone. */
const NEXT = /(?:\s*[,;.|/·]\s*(?:and |then )*|\s+(?:and |then )*)(?=\S)/gu;
const BEHIND = new RegExp(`^(.+?) \\((\\d{1,2})${UNIT}\\)$`, 'iu');

interface Label {
  readonly word: string;
  readonly seconds: number | null;
  readonly at: number;
  readonly length: number;
}

/** The breaths that a line leads with marks behind their names; `null` where it does not. */
export function breathsLabelled(text: string): readonly Reading[] | null {
  if (
    text.length > LONGEST ||
    !/^\W*(?:and|now|then|next|on|with|during|in|out|inh|exh|breath|i\b|o\b|e\b)/i.test(text)
  )
    return null;
  const inside = /^\((?!(?:in|out|inhale|exhale)\))(.+)\)[.]?$/iu.exec(text)?.[1] ?? text;
  const first = labelAt(inside, 0);
  if (!first) return null;
  const labels = [first];
  const ends: number[] = [];
  for (const mark of inside.matchAll(NEXT)) {
    const previous = labels.at(-1);
    const at = mark.index + mark[0].length;
    if (!previous || mark.index < previous.at + previous.length) continue;
    const next = labelAt(inside, at);
    if (!next || isIn(next.word) === isIn(previous.word)) continue;
    labels.push(next);
    ends.push(mark.index);
  }
  // "I: Opening" is numbered.
  if (/^i$/i.test(first.word) && labels.length < 2 && !/^i:/.test(inside)) return null;
  const found = labels.map((label, index) =>
    breathOf(label, inside.slice(label.at + label.length, ends[index] ?? inside.length)),
  );
  return found.every((one) => one !== null) ? found : null;
}

function labelAt(text: string, at: number): Label | null {
  const rest = text.slice(at);
  const match = LABEL.exec(rest) ?? COUNTED.exec(rest) ?? CAPITALS.exec(rest) ?? ABBREVIATED.exec(rest);
  if (!match) return null;
  const [all, word = '', count] = match;
  const seconds = count ? (NUMBER_WORDS.get(count.toLowerCase()) ?? Number(count)) : null;
  return { word, seconds, at, length: all.length };
}

const isIn = (word: string): boolean => /^(?:i|inh|in\b|in-|inhal|breath\w* in|inbreath)/i.test(word);
/** What a teacher says, and does not only write. */
const SPOKEN = /^(?:inhale|exhale|breathe (?:in|out))$/i;

/** One way of a breath; `null` where nothing is told of it, or an amount of something else. */
function breathOf({ word, seconds }: Label, written: string): Reading | null {
  const [, told = written, behind] = BEHIND.exec(written.trim()) ?? [];
  const text = told.trim().replace(/[\s,;|/·]+$/u, '');
  const { counts, rest } = findCounts(text);
  const { hold, ...others } = counts;
  if (!/\p{L}{2}/u.test(text) || hasAmount(others) || rest === '') return null;
  const lasting = seconds ?? (behind === undefined ? null : Number(behind));
  const amounts: Counts = {
    ...(hold === undefined ? {} : { hold }),
    ...(lasting === null || lasting < 1 ? {} : { seconds: [lasting, lasting, lasting] }),
  };
  const words = (hold === undefined ? text : rest).replace(/^["“]([^"”]+)["”][.]?$/, '$1');
  const action = (words === words.toUpperCase() ? words.toLowerCase() : words).replace(/[.]$/, '');
  const one = reading(isIn(word) ? 'inhale' : 'exhale', action, amounts);
  if (!SPOKEN.test(word)) return one;
  const small = action.replace(/^\p{Lu}(?!\p{Lu})/u, (letter) => letter.toLowerCase());
  return { ...one, said: asSentence(`${word.charAt(0).toUpperCase()}${word.slice(1).toLowerCase()}, ${small}`) };
}
