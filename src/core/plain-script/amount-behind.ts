import { isOnlyBreath } from './breath-counts';
import { findCounts, hasAmount } from './counts';
import { MAY_COUNT } from './name-lines';
import { reading, type Reading } from './reading';
import { readRemark } from './step-lines';
import type { Standing } from './standing';

/* What is told, with an amount in brackets behind it: of the step above, of a breath, of a guided silence. */

/** "Raise the arms as you breathe in. (8 times)", "Breathe in… and out… (x3)": what is told, and the amount of the step. */
export function amountBehindWords(body: string, { under, wantsAmount }: Standing): readonly Reading[] | null {
  const [, told = '', inner = ''] = WORDS_THEN_AMOUNT.exec(body) ?? [];
  if (told === '' || !MAY_COUNT.test(inner) || findCounts(told).counts.rounds !== undefined) return null;
  const { counts, rest } = findCounts(inner);
  if (!hasAmount(counts) || !/^(?:repeat)?$/i.test(rest) || counts.breath) return null;
  const led = findCounts(told);
  if (led.counts.breath && isOnlyBreath(led.rest.replace(/\p{L}+ (?:the|your) (?:nose|mouth)/iu, ''))) return [reading('movement', 'Breathing', { ...counts, breath: led.counts.breath }), reading('said', told)]; // prettier-ignore
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
