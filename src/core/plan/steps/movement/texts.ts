import { isCounted, stretchCount, type Moments, type Shortened } from '@/core/movement';
import { changedDuring } from '../during';
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
  const levels = step.levels.map((level, index) => ({
    ...level,
    lines: level.lines.map((text, line) => change(text, { part: 'level', index, line })),
  }));
  const sending = moment('sending');
  const pattern = step.pattern.map((phase) => {
    const said = { ...phase };
    for (const form of FORMS) said[form] = change(phase[form], { part: 'phase', phaseId: phase.id, form });
    return said;
  });
  const during = changedDuring(step.during, change);
  const roundsLeft = moment('roundsLeft');
  const lastRoundLine = change(step.lastRoundLine, { part: 'lastRoundLine' });
  shortened('lastRound');
  const sideChangeLine = change(step.sideChangeLine, { part: 'sideChangeLine' });
  shortened('sideChange');
  const wayChangeLine = change(step.wayChangeLine, { part: 'wayChangeLine' });
  const leaving = moment('leaving');
  return {
    moments: { naming, caution, sending, roundsLeft, leaving },
    shorts,
    teach,
    levels,
    pattern,
    during,
    wayChangeLine,
    lastRoundLine,
    sideChangeLine,
  };
}

/** Whether a text is ever said: a change of side where there are two, sending where pace is one's own. */
export function isSaidInMovement(step: MovementStep, place: TextPlace): boolean {
  const led = isCounted(step.pacedBy);
  const { intro } = step;
  if (place.part === 'phase') return led;
  if (place.part === 'wayChangeLine') return step.sides === 'both-directions-each-side';
  if (place.part === 'teach') return intro === 'full';
  if (place.part === 'level') return intro !== 'silent';
  const line = lineAt(place);
  if (line === 'sideChange') return stretchCount(step.sides) > 1;
  if (line === 'sending') return step.pacedBy === 'own-pace' || step.pacedBy === 'breath-then-own-pace';
  if (line === 'roundsLeft') return led && step.pacedBy !== 'breath-then-own-pace';
  return intro !== 'silent' || (line !== 'naming' && line !== 'leaving');
}
