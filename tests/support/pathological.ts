import { readPerformanceLog } from '@/core/conductor';
import {
  readCaptions,
  readChapterList,
  readChapters,
  readCsv,
  readCueSheet,
  readSrt,
  readWebvtt,
} from '@/core/interchange';
import { readMovementText } from '@/core/movement';
import { emptyPlan, makeMovement, makeSection, makeTalk, readPlanText, type ClassPlan } from '@/core/plan';
import { readScript } from '@/core/plain-script';
import { findAndReplace, linesOfProse } from '@/core/script';
import { countSyllables, spokenText, wordsOf } from '@/core/speech';
import { parseClock } from '@/core/units';
import { NO_SPELLING, spelled, termsIn, unknownTokens, usualText } from '@/core/words';
import { countingIds } from './chance';

/** What is repeated: signs that our patterns look for, and what stands between them. */
const UNITS = [
  ' ', '\n', 'a', '1', '(', '{', '<', '&', '"', ',', ':', '.', '-', '–', '*', '\\', 'é', '🌊', '{\\a', '<v ', '&amp',
  '-->', '00:00:00.000 --> ', '1:', '0:0', '5 x ', 'x 5 ', '5 ', 'one ', 'a ', 'half a ', '1 - ', 'hold ', 'holding for ',
  'start on ', 'left, ', 'left then ', 'each ', 'one side ', 'in: ', 'inhale ', 'Inhale, ', 'and then ', 'pause ',
  '(pause 5 ', 'step feet ', 'minutes ', '# ', '- ', '1. ', '"a', '",', 'a:', '{side} ', '{side', 'tai chi ', 'chi-',
  'aeiouy', '1,0', 'NOTE ', '1\n', '[',
]; // prettier-ignore

/** What stands before and behind them. */
const AROUND: readonly (readonly [string, string])[] = [
  ['', ''],
  ['Inhale', 'x'],
  ['1. Name ', ' for'],
  ['# Part\n- Movement: name', '\nin: up'],
  ['WEBVTT\n\n00:00:00.000 --> 00:00:01.000\n', '\n'],
  ['1\n00:00:00,000 --> 00:00:01,000\n', ''],
];

/** Text of about so many characters that a careless pattern takes very long over. */
export function* pathologicalTexts(characters: number): Generator<readonly [name: string, text: string]> {
  for (const [before, after] of AROUND) {
    for (const unit of UNITS) {
      yield [`${before}|${unit}|${after}`, before + unit.repeat(Math.ceil(characters / unit.length)) + after];
    }
  }
}

const newId = countingIds('p');

function planSaying(text: string): ClassPlan {
  const plan = emptyPlan(newId, 'Class', 600);
  return {
    ...plan,
    sections: [makeSection(newId, 'main', [makeTalk(newId, 'Talk', [text]), makeMovement(newId, 'Name')])],
  };
}
const short = planSaying('Stand, and let the tide come in.');

/** Everything that takes text from outside: files that are brought, and what is typed. */
export const PARSERS: Readonly<Record<string, (text: string) => unknown>> = {
  'a class as text': (text) => readScript(countingIds('s'), text),
  'captions of any kind': readCaptions,
  WebVTT: readWebvtt,
  SRT: readSrt,
  chapters: readChapters,
  'a chapter list': readChapterList,
  CSV: readCsv,
  'a cue sheet': (text) => readCueSheet(text, short),
  'a plan': readPlanText,
  'a movement': readMovementText,
  'a log': readPerformanceLog,
  'a time': parseClock,
  'prose of a talk': (text) => linesOfProse(newId, text, 1),
  syllables: countSyllables,
  'words as they are spoken': spokenText,
  words: wordsOf,
  terms: (text) => termsIn(text),
  spelling: (text) => spelled(text, { ...NO_SPELLING, chosen: { 'breath-energy': 'chi' } }),
  'tokens that are unknown': unknownTokens,
  'words with their tokens filled': usualText,
  'find and replace': (text) => findAndReplace(short, { find: text, replace: 'x', wholeWords: true } as never),
};
