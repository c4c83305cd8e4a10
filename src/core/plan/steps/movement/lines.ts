import type { Form, MovementContent, Shortened } from '@/core/movement';
import { toMilliseconds, type Milliseconds, type Seconds } from '@/core/units';
import type { PlanVoice } from '../../voice';
import { lineMilliseconds } from '../speech';
import type { StepText, TextPlace } from '../text-place';
import type { MovementStep } from './schema';

/** A line said before or after the rounds of a movement; its tokens are not filled. */
export interface AroundLine {
  /** Unlike that of any other line of the step. */
  readonly name: string;
  readonly text: string;
  readonly place: TextPlace;
  /** Silence after it, in seconds; `null` is the voice's habit, and none where nothing is said. */
  readonly pauseSeconds: Seconds | null;
  /** The level it offers. */
  readonly level?: string;
}

/**
 * A line of a movement that belongs to no phase, in a form, and where it stands: for every form but the full one the
 * short wording, where there is one.
 */
export function lineIn(content: MovementContent, line: Shortened, form: Form): StepText {
  const short = content.shorts[line];
  if (form !== 'full' && short.trim() !== '') return { text: short, place: { part: 'short', line } };
  if (line === 'lastRound') return { text: content.lastRoundLine, place: { part: 'lastRoundLine' } };
  if (line === 'sideChange') return { text: content.sideChangeLine, place: { part: 'sideChangeLine' } };
  return { text: content.moments[line], place: { part: 'moment', moment: line } };
}

/**
 * What is said before a movement is counted, in order: naming, caution, teaching, levels offered, and what sends
 * people into their own pace. How much of it, the step's `intro` says; a caution is always said.
 */
export function linesBefore(step: MovementStep): readonly AroundLine[] {
  const { intro } = step;
  const lines: AroundLine[] = [];
  if (intro !== 'silent') lines.push({ name: 'naming', ...lineIn(step, 'naming', intro), pauseSeconds: null });
  const cautioned = intro === 'silent' ? 'full' : intro;
  lines.push({ name: 'caution', ...lineIn(step, 'caution', cautioned), pauseSeconds: null });
  if (intro === 'full') {
    for (const { id, text, pauseSeconds } of step.teach) {
      lines.push({ name: id, text, place: { part: 'teach', lineId: id }, pauseSeconds });
    }
  }
  if (intro !== 'silent') {
    step.levels.forEach((level, index) => {
      level.lines.forEach((text, line) => {
        const place = { part: 'level', index, line } as const;
        const name = line === 0 ? `level.${index}` : `level.${index}.${line}`;
        lines.push({ name, text, place, pauseSeconds: null, level: level.name.toLowerCase() });
      });
    });
  }
  if (step.pacedBy === 'own-pace') lines.push(sendingOf(step));
  return lines;
}

/** What sends people into their own pace: before all of it, or after the rounds that are led. */
export function sendingOf(step: MovementStep): AroundLine {
  return { name: 'sending', ...lineIn(step, 'sending', step.intro), pauseSeconds: null };
}

/** What is said as a movement is left. */
export function linesAfter(step: MovementStep): readonly AroundLine[] {
  if (step.intro === 'silent') return [];
  return [{ name: 'leaving', ...lineIn(step, 'leaving', step.intro), pauseSeconds: null }];
}

/** A line before or after the rounds with its silence; words that are not there have none, an empty line of teaching has its own. */
export function aroundLineMilliseconds(line: AroundLine, voice: PlanVoice): Milliseconds {
  const said = lineMilliseconds(line.text, voice);
  if (line.pauseSeconds !== null) return said + toMilliseconds(line.pauseSeconds);
  return said === 0 ? 0 : said + toMilliseconds(voice.pauseSeconds);
}

/** Which line of a movement a text is a wording of; `null` for phases, teaching, levels and other kinds of step. */
export function lineAt(place: TextPlace): Shortened | null {
  if (place.part === 'short') return place.line;
  if (place.part === 'moment') return place.moment;
  if (place.part === 'lastRoundLine') return 'lastRound';
  return place.part === 'sideChangeLine' ? 'sideChange' : null;
}
