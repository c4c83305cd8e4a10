import { OF_ONE } from '../phrases/alike';
import { COUNTED_WORDS, NUMBER_FIRST, ROUND_WORDS } from '../phrases/amounts';
import { findCounts } from '../phrases/counts';
import { wordCount } from '../model/line-words';
import type { Counts } from '../model/model';
import { bareName } from '../phrases/names';
import { reading, type Reading } from '../model/reading';

/*
 * What one part of the body does, behind its name: "Ankles: 8 pumps, 8 circles each way (R first)", "Knees: 6 extensions
 * per leg", "Hips: marching 30 secs slow, 30 secs fast", "Arms: “hold the moon” 4 breaths; “scoop water” 6 breaths".
 */

const LINE_AT_MOST = 200;
const PARTS_AT_MOST = 8;
const WORDS_OF_A_NAME = 6;
const BODY =
  'ankles?|knees?|hips?|waist|spine|trunk|torso|core|shoulders?|elbows?|wrists?|hands?|fingers?|thumbs?|arms?|legs?|feet|foot|toes?|heels?|neck|head|face|jaw|eyes|chest|(?:upper |lower )?back|belly|upper body|lower body|sides?';
const LABELLED = new RegExp(
  `^(?:then |next )?((?:${BODY})(?:(?: and | ?& ?| ?\\+ ?| ?/ ?)(?:${BODY}))?): (\\S.*)$`,
  'iu',
);
const FIRST = /,? ?\(?(?:starting )?(r|l|right|left)(?: side| foot| leg| hand| arm)? first\)?$/i;
const COUNTS_ROUNDS = new RegExp(`^\\d{1,2} (?:${[...ROUND_WORDS, ...COUNTED_WORDS].join('|')})\\b`, 'i');
/** Of one step: "8 circles back, 8 circles forward". */
const WAYS = /\b(?:back|backwards?|forwards?|left|right|in|out|inwards?|outwards?|clockwise|anticlockwise)\b/i;

interface Part {
  readonly name: string;
  readonly counts: Counts;
  readonly quoted: boolean;
}

/** The steps with their amounts; `null` for any other line, also where one step has its amount behind its name. */
export function stepsOfBody(body: string): readonly Reading[] | null {
  const [, label = '', text = ''] = body.length > LINE_AT_MOST ? [] : (LABELLED.exec(body) ?? []);
  if (label === '') return null;
  const first = FIRST.exec(text)?.[1];
  const written = text.replace(FIRST, '').replace(/\.$/, '').split(text.includes(';') ? /; (?:and |then )*/ : /, (?:and |then )*/).map((one) => one.trim()); // prettier-ignore
  // "hip: 10 circles" counts its rounds.
  const alone = written.length === 1;
  if (written.length > PARTS_AT_MOST || (alone && (!NUMBER_FIRST.test(text) || COUNTS_ROUNDS.test(text)))) return null;
  const parts = together(written.map(partOf));
  if (parts === null || (parts.length > 1 && parts.some(({ name }) => WAYS.test(name)))) return null;
  return parts.map(({ name, counts, quoted }) => {
    const starts = first !== undefined && counts.sides !== undefined ? { startSide: /^r/i.test(first) ? 'right' as const : 'left' as const } : {}; // prettier-ignore
    return reading('movement', quoted ? name : `${label}: ${name}`, { ...counts, ...starts }, true);
  });
}

function partOf(written: string): Part | null {
  const quoted = /^["“]/.test(written);
  const { counts, rest } = findCounts(written.replace(/["“”]/g, '').replace(NUMBER_FIRST, '$1x '));
  const name = bareName(rest);
  const amount = (counts.rounds === undefined) !== (counts.seconds === undefined);
  const plain = amount && counts.hold === undefined && !counts.held && name !== '' && !/[.!?():]/.test(name);
  return plain && wordCount(name) <= WORDS_OF_A_NAME ? { name, counts, quoted } : null;
}

/** All parts, those that only tell how with the one before them: "30 secs slow, 30 secs fast"; `null` where one is none. */
function together(parts: readonly (Part | null)[]): readonly Part[] | null {
  const all: Part[] = [];
  for (const part of parts) {
    const before = all.at(-1);
    if (part === null) return null;
    if (!OF_ONE.test(part.name)) all.push(part);
    else if (before?.counts.seconds && part.counts.seconds && /slow|fast|quick|easy/i.test(part.name))
      all.splice(-1, 1, { ...before, counts: { ...before.counts, seconds: sum(before.counts.seconds, part.counts.seconds) } }); // prettier-ignore
    else return null;
  }
  return all.length === 0 ? null : all;
}

type Seconds = NonNullable<Counts['seconds']>;
const sum = ([a, b, c]: Seconds, [d, e, f]: Seconds): Seconds => [a + d, b + e, c + f];
