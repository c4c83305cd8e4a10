import { itemAt } from '@/core/units';
import { isItem, withoutMark } from '../line-kinds/headings';
import { indentOf } from '../model/line-words';
import type { LineKind } from '../model/model';
import { findCounts } from '../phrases/counts';
import { isCounted } from '../line-kinds/name-lines';
import { hasAmountIn } from './paragraphs';

/*
 * What comes along when a plan is copied out of a letter, a chat or a file: the lines above it and below its end, who
 * wrote when, what to bring. None of that is done or said in the class.
 */

/** Lines above a letter, but for what it is about. */
const HEAD = /^[^\p{L}]*(?:from|to|cc|bcc|date|sent|reply-to|sent by|written by|attachments?): \S/iu;
/** Over a letter inside a letter: "---- Forwarded message ----", "On 3 March Wren wrote:". */
const QUOTED_BELOW =
  /^[-_*\s]*(?:begin )?(?:forwarded|original|quoted) message[-_*:\s]*$|^(?:on|am) .{3,90}\b(?:wrote|writes)\s?:$|^[-_]{2,} ?reply above this line.*$/iu;
/** Below a letter, by a program. */
const SENT_FROM =
  /^(?:sent|posted) from (?:my|the|a) \p{L}|^(?:this (?:e-?mail|message)(?: and any (?:files|attachments).*)? (?:is|may be|was|contains?) (?:intended|confidential|meant|sent)|if you (?:have )?received this (?:e-?mail|message) in error|please consider the environment|to unsubscribe|unsubscribe\b|you (?:are )?receiv(?:e|ed|ing) this (?:e-?mail|message))|^(?:©|\(c\)|copyright) ?\d{4}|\ball rights reserved\.?$/iu;
/** A page and its number. */
const PAGE = /^[-–\s]*(?:page|p\.|sheet) ?\d{1,3}(?: ?(?:of|\/) ?\d{1,3})?[-–\s]*$/i;
/** How to reach somebody, and nothing else. */
const REACHED =
  /^(?:(?:tel|phone|mobile|mob|cell|fax|e-?mail|mail|web|website|www)[.:]? ?)?(?:(?=(?:\D*\d){7})\+?\(?\d[\d\s()./-]{6,20}\d|\S+@\S+\.\p{L}{2,}|(?:https?:\/\/|www\.)\S+)$/iu;
/** Who wrote, and at what time of day: "Marin 10:15 AM". */
const WROTE_AT = /^\p{Lu}[\p{L}'’-]*(?: \p{Lu}[\p{L}'’.-]*){0,2},? \(?\d{1,2}:\d{2} ?[AP]M\)?$/u;
/** Settings of a file that a plan was kept in. */
const OF_FILE = /^(?:tags?|categor(?:y|ies)|author|layout|draft|slug|permalink|status|created|updated|modified|id|lang|language|file(?:name)?|version): ?\S/i; // prettier-ignore

const LINE_AT_MOST = 300;

/** Whether a line is of the letter or the file that a plan stands in, and of no class. */
export function isOfLetter(line: string, under: LineKind): boolean {
  if (line.length > LINE_AT_MOST) return false;
  const opening = under === 'nothing' || under === 'talk';
  if (opening && (HEAD.test(line) || WROTE_AT.test(line) || OF_FILE.test(line))) return true;
  return QUOTED_BELOW.test(line) || SENT_FROM.test(line) || PAGE.test(line) || REACHED.test(line);
}

/** "[03/03/2025, 10:15:22] Marin: ", "3.3.25, 10:15 - Marin: " before each message of a chat. */
const CHAT =
  /^\[?\d{1,4}[/.-]\d{1,2}[/.-]\d{2,4},? \d{1,2}[:.]\d{2}(?::\d{2})?(?: ?[ap]\.?m\.?)?\]?(?: ?[-–—])? [^:\n]{1,30}: /iu;

export function withoutChatMark(line: string): string {
  return line.replace(CHAT, '');
}

const ENTITIES: ReadonlyMap<string, string> = new Map([
  ['amp', '&'], ['nbsp', ' '], ['bull', '•'], ['middot', '·'], ['ndash', '–'], ['mdash', '—'], ['quot', '"'],
  ['apos', "'"], ['#39', "'"], ['rsquo', '’'], ['lsquo', '‘'], ['ldquo', '“'], ['rdquo', '”'], ['times', '×'],
  ['hellip', '…'], ['frac12', '½'], ['frac14', '¼'], ['gt', '>'], ['lt', '<'],
]); // prettier-ignore

/** "&bull; Wrists &amp; elbows" as it is meant. */
export function withoutEntities(line: string): string {
  if (!line.includes('&')) return line;
  return line.replace(/&(#?\w{2,6});/g, (all, name: string) => ENTITIES.get(name) ?? all);
}

const FENCE = /^-{3,}\s*$/;
const FILE_HEAD_AT_MOST = 20;

/** The settings at the top of a file, between two rows of dashes, as a person would write them: "duration: 30". */
export function withoutFileHead(lines: readonly string[]): readonly string[] {
  if (!FENCE.test(lines[0] ?? '')) return lines;
  const end = lines.findIndex((line, at) => at > 0 && at < FILE_HEAD_AT_MOST && FENCE.test(line));
  const within = lines.slice(1, Math.max(1, end));
  if (end < 2 || !within.every((line) => /^\s*(?:-|[\w -]{1,30}:)/.test(line))) return lines;
  const head = within.map((line) => line.replace(/^((?:duration|length|minutes|time):) ?["']?(\d{1,3})["']?$/i, 'Duration: $2 min')); // prettier-ignore
  return ['', ...head, '', ...lines.slice(end + 1)];
}

/** Over a list of what a teacher has to bring, do or know, and nobody does in the class. */
const BESIDE =
  /^(?:please |also |to |things to |what to )?(?:bring|pack|remember|prepare|buy|print|do before(?:hand)?|check before(?:hand)?)(?: with you| along| beforehand)?$|^(?:(?:you|we|i)(?:['’]ll| will)? need|(?:what|all) (?:you|we|i) need|equipment|props|materials?|kit|gear|requirements|(?:my |some |other |extra |teacher['’]?s? |general |class |a few |after )*(?:notes?|reminders|remarks|observations|comments)(?: (?:to|for) (?:self|me|myself|next (?:time|week)|(?:the )?(?:teacher|instructor|leader|host|facilitator)s?))?|to[- ]do(?: list)?|(?:class |learning |my |our |today['’]s )*(?:aims?|goals?|objectives?|outcomes?|intentions?)|homework|playlist|attendance|who came|participants|(?:for )?next (?:time|week|class|lesson)|before class|after class|follow[- ]?up|ideas|what went (?:well|wrong)|feedback|evaluation|reflection)$/iu;
const BESIDE_AT_MOST = 15;

/** For each line whether it stands in such a list, or over it. */
export function besideClass(lines: readonly string[]): readonly boolean[] {
  const beside = lines.map(() => false);
  for (const one of aroundLetter(lines)) beside[one] = true;
  lines.forEach((line, at) => {
    for (const one of overviewAt(lines, at)) beside[one] = true;
    if (line.length > 60 || !BESIDE.test(withoutMarks(line))) return;
    // "Class notes" over everything is what the class is called.
    if (!/:\s*[*_]*$/.test(line) && lines.slice(0, at).every((above) => above.trim() === '')) return;
    const listed = (lines[at + 1] ?? '').trim() === '' ? at + 2 : at + 1;
    const first = lines[listed] ?? '';
    const marked = isItem(first) && !isItem(line);
    // Without a mark or a colon a word alone may be the name of a part.
    if (first.trim() === '' || (!marked && !/:\s*[*_]*$/.test(line) && listed === at + 2)) return;
    const items: number[] = [];
    for (let next = listed; next < Math.min(lines.length, listed + BESIDE_AT_MOST); next++) {
      const text = itemAt(lines, next);
      if (text.trim() === '' || (marked && !isItem(text) && indentOf(text) <= indentOf(first))) break;
      items.push(next);
    }
    // "Prepare" over what has amounts is a part of the class.
    if (items.filter((item) => isCounted(withoutMark(itemAt(lines, item)))).length > items.length / 2) return;
    for (const one of [at, ...items]) beside[one] = true;
  });
  return beside;
}

/** "Dear Signe,", "Hi Odd,": to one person; who is greeted in a class has no name, or hears more behind it. */
const SALUTATION =
  /^(?:dear|hi|hello|hey|hej|hallo) (?!(?:all|everyone|everybody|friends?|folks|there|class|again)\b)[\p{L}’'-]{2,20}(?: (?:and )?\p{Lu}[\p{L}’'-]{1,20})?,$/iu;
const SIGN_OFF =
  /^(?:(?:(?:with|all|many|my|very|lots of|warm(?:est)?|kind(?:est)?|best|friendly|sunny|and|the) )*(?:greetings|regards|wishes|love|hugs?|best|thanks|sincerely|cheers)|yours(?: truly| sincerely)?|thank you|take care|see you (?:soon|then|there))[,.!]?(?: x{1,3})?$/iu;
const SIGNED = /^(?:[-–—~] ?)?(?:x{1,3} )?\p{Lu}[\p{L}’'-]{1,20}(?: \p{Lu}[\p{L}’'.-]{0,20})?(?: x{1,3})?\.?$/u;
const KISSED = /^(?:[-–—~] ?)?(?:x{1,3},? \p{Lu}\p{L}{1,20}|\p{Lu}\p{L}{1,20},? x{1,3})$/u;
const END_LOOKED_AT = 4;
const OPENING_AT_MOST = 3;

/** How a letter greets, what it says before it comes to the class, and how it ends. */
function aroundLetter(lines: readonly string[]): readonly number[] {
  const written = lines.flatMap((line, at) => (line.trim() === '' ? [] : [at]));
  const textAt = (index: number): string => itemAt(lines, itemAt(written, index)).trim();
  const from = Math.max(1, written.length - END_LOOKED_AT);
  const end = written.findIndex((_, index) => index >= from && (SIGN_OFF.test(textAt(index)) || KISSED.test(textAt(index)))); // prettier-ignore
  if (end < 0 || written.length < LETTER_AT_LEAST) return [];
  const signed = KISSED.test(textAt(end)) || written.slice(end + 1, end + 2).some((at) => SIGNED.test(itemAt(lines, at).trim())); // prettier-ignore
  const greeted = written.findIndex((_, index) => index < OPENING_AT_MOST && SALUTATION.test(textAt(index)));
  if (!signed && greeted < 0) return [];
  const ending = written.slice(end, end + (signed && !KISSED.test(textAt(end)) ? 2 : 1));
  if (greeted < 0) return ending;
  // What is written to somebody, up to the first line that lists, heads or counts.
  const opening = written.slice(greeted + 1, greeted + 1 + OPENING_AT_MOST);
  const told = opening.findIndex((at) => !isTold(itemAt(lines, at)));
  return [itemAt(written, greeted), ...opening.slice(0, told < 0 ? 0 : told), ...ending];
}
const LETTER_AT_LEAST = 5;

/** A sentence of a letter that counts nothing. */
function isTold(line: string): boolean {
  return /[.!?:]$/.test(line.trim()) && line.trim().includes(' ') && !isItem(line) && !hasAmountIn(line); // prettier-ignore
}

/** Over a list of the parts that stand below it. */
const OVERVIEW = /^(?:(?:class|lesson|session|time|the|short|quick|practice) )*(?:overview|at a glance|summary|timetable|structure|timeline|breakdown|schedule|running order|contents|agenda|outline)$/i; // prettier-ignore
const NAMED_AGAIN = 0.6;

/** The lines of a list that tells beforehand which parts there are, each of which is headed further down; none for any other. */
function overviewAt(lines: readonly string[], at: number): readonly number[] {
  if (itemAt(lines, at).length > 60 || !OVERVIEW.test(withoutMarks(itemAt(lines, at)))) return [];
  let from = at + 1;
  while (from < Math.min(lines.length, at + 5) && itemAt(lines, from).trim() === '') from++;
  let to = from;
  while (to < Math.min(lines.length, from + BESIDE_AT_MOST) && itemAt(lines, to).trim() !== '') to++;
  const rows = Array.from({ length: to - from }, (_, index) => from + index);
  const heads = lines.slice(to, to + HEADS_LOOKED_THROUGH).filter((line) => line.length <= 80).map((line) => line.toLowerCase()); // prettier-ignore
  const again = rows.filter((row) => {
    const { rest } = findCounts(withoutMarks(itemAt(lines, row).replace(/^\s*\|/, '')).split(/[:|–(]/)[0] ?? '');
    const name = rest.toLowerCase().trim();
    return name.length > 2 && !isCounted(name) && heads.some((line) => line.includes(name));
  });
  return rows.length >= 2 && again.length >= NAMED_AGAIN * rows.length ? [at, ...rows] : [];
}
const HEADS_LOOKED_THROUGH = 400;

function withoutMarks(line: string): string {
  return withoutMark(line.trim().replace(/^#{1,6} /, ''))
    .replace(/[*_]/g, '')
    .replace(/ ?:$/, '')
    .trim();
}
