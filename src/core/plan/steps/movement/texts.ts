import type { Moments, Shortened } from '@/core/movement';
import type { TextChange, TextPlace } from '../text-place';
import { lineAt } from './lines';
import type { MovementStep } from './schema';

const FORMS = ['full', 'short', 'breath'] as const;

/** The text fields of a movement after a change, in the order in which they are first said. */
export function changedMovementTexts(step: MovementStep, change: TextChange): Partial<MovementStep> {
  const shorts = { ...step.shorts };
  const shortened = (line: Shortened): void => {
    shorts[line] = change(step.shorts[line], { part: 'short', line });
  };
  const moment = (name: keyof Moments): string => {
    const text = change(step.moments[name], { part: 'moment', moment: name });
    shortened(name);
    return text;
  };
  const naming = moment('naming');
  const caution = moment('caution');
  const teach = step.teach.map((line) => ({ ...line, text: change(line.text, { part: 'teach', lineId: line.id }) }));
  const levels = step.levels.map((level, index) => ({ ...level, line: change(level.line, { part: 'level', index }) }));
  const sending = moment('sending');
  const pattern = step.pattern.map((phase) => {
    const said = { ...phase };
    for (const form of FORMS) said[form] = change(phase[form], { part: 'phase', phaseId: phase.id, form });
    return said;
  });
  const roundsLeft = moment('roundsLeft');
  const lastRoundLine = change(step.lastRoundLine, { part: 'lastRoundLine' });
  shortened('lastRound');
  const sideChangeLine = change(step.sideChangeLine, { part: 'sideChangeLine' });
  shortened('sideChange');
  const leaving = moment('leaving');
  return {
    moments: { naming, caution, sending, roundsLeft, leaving },
    shorts,
    teach,
    levels,
    pattern,
    lastRoundLine,
    sideChangeLine,
  };
}

/** Whether a text is ever said: a change of side where there are two, sending where pace is one's own. */
export function isSaidInMovement(step: MovementStep, place: TextPlace): boolean {
  const own = step.pacedBy === 'own-pace';
  const { intro } = step;
  if (place.part === 'phase') return !own;
  if (place.part === 'teach') return intro === 'full';
  if (place.part === 'level') return intro !== 'silent';
  const line = lineAt(place);
  if (line === 'sideChange') return step.sides === 'one-then-other' || step.sides === 'both-directions';
  if (line === 'sending') return own;
  if (line === 'roundsLeft') return !own;
  return intro !== 'silent' || (line !== 'naming' && line !== 'leaving');
}
