import { isOnlyBreath } from '../phrases/breath-counts';
import { secondsFrom } from '../model/model';
import { findCounts, hasAmount } from '../phrases/counts';
import { wordCount } from '../model/line-words';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { reading, type Reading } from '../model/reading';
import { readRemark, readStep } from './step-lines';
import { isToTell } from '../line-kinds/talks';
import { breathsOf } from './breath-lines';
import type { Standing } from '../model/standing';

/* What is told, with an amount in brackets behind it: of the step above, of a breath, of a guided silence. */

const WORDS_OF_A_NAME = 6;
const WORDS_OF_A_STEP = 8;
/** Seconds; less is a pause behind what is said. */
const STEP_FROM = 30;
const OTHER_WAY = /^(?:and |now |then )*(?:the )?(?:other|opposite) (?:way|direction)(?: round)?[.!]?$/i;
/** What is done, by its first word: "Roll them back." */
export const isDone = (sentence: string): boolean =>
  /^(?:roll|circle|swing|shake|turn|lift|raise|push|pull|sway|bounce|tap|rub|stretch|reach|open|close|twist|rock|step|walk|march|float|gather|press|draw|row|pat|shrug|drop|bend|hold|squeeze|massage|wave)\b/i.test(
    sentence,
  );

/** "Raise the arms as you breathe in. (8 times)", "Breathe in… and out… (x3)": what is told, and the amount of the step. */
export function amountBehindWords(body: string, { under, wantsAmount }: Standing): readonly Reading[] | null {
  const [, told = '', inner = ''] = WORDS_THEN_AMOUNT.exec(body) ?? [];
  if (told === '' || !MAY_COUNT.test(inner) || findCounts(told).counts.rounds !== undefined) return null;
  const { counts, rest } = findCounts(inner);
  if (!hasAmount(counts) || !/^(?:repeat)?$/i.test(rest) || counts.breath) return null;
  const led = findCounts(told);
  if (led.counts.breath && isOnlyBreath(led.rest.replace(/\p{L}+ (?:the|your) (?:nose|mouth)/iu, ''))) return [reading('movement', 'Breathing', { ...counts, breath: led.counts.breath }), reading('said', told)]; // prettier-ignore
  if (OTHER_WAY.test(told) && under === 'movement') {
    const [time = 0] = counts.seconds ?? [];
    return [reading('setting', '', { ...counts, ...(time > 0 ? { seconds: secondsFrom([time, time], 2) } : {}), sides: 'both-directions' }, true)]; // prettier-ignore
  }
  const [first = '', ...more] = told.split(/(?<=[.!?…])\s+/);
  const named = under !== 'movement' && /^\p{Lu}/u.test(first) && wordCount(first) <= WORDS_OF_A_NAME && isDone(first);
  if (named) return [reading('movement', first.replace(/[.!]$/, ''), counts, true), ...(more.length > 0 ? [reading('said', more.join(' '))] : [])]; // prettier-ignore
  const timed = counts.seconds !== undefined && counts.seconds[0] >= STEP_FROM && counts.rounds === undefined;
  if (timed && [first, ...more].some(isToTell)) return [{ ...reading('talk', 'Talk', { seconds: counts.seconds }, true), said: told }]; // prettier-ignore
  // "Stand like a tree. (30 seconds)", where the step above has its amount.
  if (
    timed &&
    !wantsAmount &&
    more.length === 0 &&
    wordCount(first) <= WORDS_OF_A_STEP &&
    breathsOf(first).length === 0
  ) {
    const [step, ...others] = readStep(`${first.replace(/[.!?…]+$/, '')}, ${inner}`, true, 'nothing');
    if (step && (step.kind === 'movement' || step.kind === 'silence')) return [{ ...step, unsure: true }, ...others];
  }
  const words = readRemark(told);
  const breathes = words.some(({ kind }) => kind === 'inhale' || kind === 'exhale');
  return under === 'movement' || breathes
    ? [...words, reading('setting', '', counts, !wantsAmount && !breathes)]
    : null;
}

/** "legs heavy… arms heavy… (2 min)": guided for some time, and nobody moves. */
const GUIDED = /^(\p{L}[^.…\d]{2,30})(?:\.{2,}|…) ?(\p{L}[^\d()]{2,160}?(?:\.{2,}|…)) ?[([](\d[^()[\]]{1,12})[)\]]$/u;

export function guidedWords(body: string): readonly Reading[] | null {
  const [, first = '', , time = ''] = GUIDED.exec(body) ?? [];
  const { counts, rest } = findCounts(time);
  if (first === '' || counts.seconds === undefined || rest !== '') return null;
  const said = body.slice(0, body.length - time.length - 2).trim();
  return [reading('silence', first, { seconds: counts.seconds }, true), reading('said', said)];
}

const WORDS_THEN_AMOUNT = /^(\p{Lu}.{5,300}?(?:[.!?]|…|\.{3}))\s*[([]([^()[\]]{1,40})[)\]]\.?$/u;
