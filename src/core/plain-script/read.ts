import { isInMinutes } from './layout/bare-minutes';
import { amongNames } from './layout/blocks';
import { partsApart } from './layout/parts-apart';
import { withStopsTold } from './layout/dictated';
import { asOutline, withStepsListed, withWaysJoined } from './layout/outline';
import { overDetails } from './layout/over-details';
import { findCounts } from './phrases/counts';
import { doneAgain } from './builder/done-again';
import { headsBelow, isPartName } from './layout/heads';
import { ScriptBuilder } from './builder/builder';
import { loneStops } from './layout/lone-stops';
import { belowEach, evened, withMarkApart } from './layout/normalise';
import { besideClass, withoutFileHead } from './layout/letters';
import { HEAD_AT_MOST, isItem, namesPart, opensInset, opensItems, opensList } from './line-kinds/headings';
import { isRemark } from './line-kinds/name-lines';
import { SCRIPT_LIMITS, type LineKind, type ReadScript } from './model/model';
import { withAmountsOfAbove } from './layout/as-above';
import { withEachBelow } from './layout/each-below';
import { readSpeech } from './speech/speech';
import { linesHeard, spokenLines } from './speech/word-for-word';
import { withSentencesApart } from './sentences-apart';
import { spokenHeads, withoutSpeaker } from './layout/spoken-scripts';
import { withStretches } from './phrases/stretches';
import { withCapitals, withoutBreaks } from './layout/paragraphs';
import { areToldOff, withToldOffMarked } from './layout/ordinals';
import { withoutRowMarks } from './layout/rows';
import { withSlipsMended } from './tokens/slips';
import { withTables } from './layout/tables';
import { withAmountsJoined, withTimeMarks } from './layout/time-marks';
import { lastingByClock, withTimes } from './layout/time-column';
import type { NewId } from '@/core/document';
import { itemAt } from '@/core/units';

/** What only the tidy form has. */
const TIDY = /^(?:target|### (?:movement|talk|silence|transition)): /;
/** A time before a line, as `withTimes` writes it. */
const TIMED = /^\s*(?:[-*•] )?(?:\d{1,3}-\d{1,3} min: |\[?\d{1,2}:\d{2})/;
/** Between the heads of a table and its rows. */
const RULED = /^\s*\|(?:\s*:?-{2,}:?\s*\|)+\s*$/;
/** A row of dashes or equals signs makes a heading of the line above it. */
const UNDERLINE = /^\s*(?:={3,}|-{3,})\s*$/;

/**
 * Reads a script: the tidy form exactly, ordinary writing as well as it can be understood, line by line. `put` holds
 * lines (by number, from 1) whose kind a person has put right. Text beyond the limits is passed over; the caller
 * checks them first. So is what stands below more steps than a class can have: `unreadFrom` says where that begins.
 * Never fails: what is not understood is said so on its line.
 */
export function readScript(newId: NewId, text: string, put: ReadonlyMap<number, LineKind> = new Map()): ReadScript {
  const lines = text
    .slice(0, SCRIPT_LIMITS.characters)
    .replace(/^\uFEFF/, '')
    .split(/\r\n|\r|\n/)
    .slice(0, SCRIPT_LIMITS.lines);
  const isTidy = lines.some((line) => TIDY.test(line));
  const builder = new ScriptBuilder(newId, isShouted(lines), isTidy);
  const heard = isTidy ? null : linesHeard(lines);
  const told = isTidy ? lines : (heard ?? withStopsTold(lines.map(withCapitals)));
  const bare = asSet(told, isTidy);
  const lasting = lastingByClock(bare);
  const parts = nameParts(bare);
  const inMinutes = isInMinutes(bare);
  const belows = belowEach(bare);
  const named = amongNames(bare);
  const detailed = isTidy ? null : overDetails(bare);
  const apart = isTidy ? [] : partsApart(bare);
  const stops = isTidy ? [] : loneStops(bare);
  const beside = besideClass(bare);
  const again = doneAgain(bare);
  const spoken = spokenHeads(bare);
  const speech = isTidy ? [] : readSpeech(bare, heard !== null);
  bare.forEach((line, index) => {
    if (builder.passOver(itemAt(lines, index))) return;
    const below = itemAt(belows, index);
    const names = detailed?.names[index] === true;
    builder.take(
      RULED.test(below) ? '' : names ? line.replace(/^#{2,6}\s+|\s*:\s*$/g, '') : line,
      put.get(index + 1) ?? null,
      {
        written: itemAt(lines, index),
        again: again.get(index),
        speech: speech[index] ?? null,
        underlined: UNDERLINE.test(bare[index + 1] ?? ''),
        opens: !names && (apart[index] === true || opensBelow(bare, index, below)),
        apart: apart[index] === true,
        stopsAlone: stops[index] === true,
        heads: !names && headsBelow(bare, index),
        named: named[index] === true,
        partAbove: isPartName(writtenAbove(bare, index)),
        detailed: names,
        ofDetails: detailed?.within[index] === true,
        beside: beside[index] === true,
        headsSpoken: spoken[index] === true,
        alone: (bare[index + 1] ?? '').trim() === '',
        timedBelow: TIMED.test(below),
        parts,
        inMinutes,
        numbersOn: numbersOn(line, below),
        lastsSeconds: detailed?.lasting[index] ?? lasting[index] ?? null,
      },
    );
  });
  const read = builder.done();
  return { ...read, sentencesApart: isTidy ? null : withSentencesApart(lines, told, read.lines) };
}

/** The lines with what their layout tells written into each: tables, columns of times, amounts for several. */
function asSet(lines: readonly string[], isTidy: boolean): readonly string[] {
  if (isTidy) return withStepsListed(lines.map(withoutRowMarks).map(withMarkApart));
  const unmarked = withWaysJoined(asOutline(lines).map(withoutRowMarks));
  // Who speaks word for word says "First exercise: …".
  const toldOff = areToldOff(unmarked) && spokenLines(unmarked) === null;
  const spelled = (toldOff ? withToldOffMarked(unmarked) : unmarked).map(withSlipsMended);
  const set = withStepsListed(
    withTimes(
      withAmountsJoined(
        withTimeMarks(withTabs(withTables(withoutBreaks(withoutSpeaker(evened(withoutFileHead(spelled))))))),
      ),
    ),
  );
  return withAmountsOfAbove(withEachBelow(withStretches(set)));
}

/** The line above that is not empty; underlines are passed over. */
function writtenAbove(lines: readonly string[], at: number): string {
  for (let above = at - 1; above >= Math.max(0, at - ABOVE_AT_MOST); above--) {
    const line = itemAt(lines, above);
    if (line.trim() !== '' && !UNDERLINE.test(line)) return line;
  }
  return '';
}
const ABOVE_AT_MOST = 3;

/** Whether a list begins below a line, or steps that stand further in. */
function opensBelow(lines: readonly string[], at: number, below: string): boolean {
  const line = itemAt(lines, at);
  if (opensList(line, below) && !isRemarkOn(lines[at - 1] ?? '', line)) return true;
  return opensItems(lines, at) || opensInset(lines, at);
}

/** "Soft knees" right below one of a list is how that is done, and no part over the next. */
function isRemarkOn(above: string, line: string): boolean {
  return isItem(above) && !isItem(line) && isRemark(line.trim());
}

const PARTS_SHARE = 0.5;

/** Whether the lines that begin with a time name the parts of a class, and not its steps. */
function nameParts(lines: readonly string[]): boolean {
  const timed = lines
    .filter((line) => TIMED.test(line))
    .map((line) => line.replace(TIMED, '').replace(/^[\]\s:–—-]+/, ''));
  const parts = timed.filter(
    (line) => line.length <= HEAD_AT_MOST && namesPart(findCounts(line).rest.replace(/[.:]$/, '')),
  );
  return parts.length > 1 && parts.length >= PARTS_SHARE * timed.length;
}

/** Whether a line and the one below it have a number and the next. */
function numbersOn(line: string, below: string): boolean {
  const numberOf = (one: string): number => Number(/^\s*(\d{1,2})[.)] /.exec(one)?.[1]);
  return numberOf(below) === numberOf(line) + 1;
}

const ROWS_AT_LEAST = 3;

/** Rows whose columns stand between semicolons, with tabs between them. */
function withTabs(lines: readonly string[]): readonly string[] {
  const marks = lines.map((line) => line.split(';').length - 1);
  const most = Math.max(0, ...marks);
  const rows = marks.filter((one) => one === most).length;
  const written = lines.filter((line) => line.trim() !== '').length;
  if (most < 2 || rows < ROWS_AT_LEAST || rows < 0.6 * written) return lines;
  return lines.map((line, at) => (marks[at] === most ? line.replace(/ *; */g, '\t').trimEnd() : line));
}

/** Whether most lines are in capitals, but for a unit or a word; a few headings are. */
function isShouted(lines: readonly string[]): boolean {
  const written = lines.filter((line) => /\p{L}{2}/u.test(line));
  const capitals = written.filter((line) => {
    const large = line.match(/\p{Lu}/gu)?.length ?? 0;
    return large > 0 && large > 0.6 * (line.match(/\p{L}/gu)?.length ?? 0);
  });
  return written.length >= 6 && capitals.length > 0.7 * written.length;
}
