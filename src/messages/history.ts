import type { PlanChange } from '@/core/plan';
import { formatClock } from '@/core/units';

/** What a change between two saved states was, in words. */
export function planChangeWords(change: PlanChange): string {
  switch (change.code) {
    case 'title':
      return `Title: ${change.from} became ${change.to}`;
    case 'target':
      return `Target: ${formatClock(change.from)} became ${formatClock(change.to)}`;
    case 'breath':
      return `Breath: ${change.from.toFixed(1)} s became ${change.to.toFixed(1)} s`;
    case 'about':
      return 'Focus or audience changed';
    case 'pace':
      return 'Pace changed: limits, inhale share or breath at the end';
    case 'voice':
      return 'Voice changed';
    case 'lengths':
      return 'Lengths changed';
    case 'style':
      return 'Style changed: counting, sides, breath';
    case 'themes':
      return 'Themes changed';
    case 'dismissed':
      return 'A finding was dismissed or reopened';
    case 'keep-on-target':
      return 'Keep on target switched on or off';
    case 'order':
      return 'Steps reordered';
    case 'section-added':
      return `Section added: ${change.name}`;
    case 'section-removed':
      return `Section removed: ${change.name}`;
    case 'section-changed':
      return `Section changed: ${change.name}`;
    case 'step-added':
      return `Added: ${change.name}`;
    case 'step-removed':
      return `Removed: ${change.name}`;
    case 'left-out':
      return `Skipped: ${change.name}`;
    case 'brought-back':
      return `Brought back: ${change.name}`;
    case 'step-moved':
      return `${change.name} moved to ${change.to}`;
    case 'rounds':
      return `${change.name}: ${change.from} rounds became ${change.to}`;
    case 'time':
      return `${change.name}: ${formatClock(change.from)} became ${formatClock(change.to)}`;
    case 'words':
      return `${change.name}: words changed`;
    case 'pinned':
      return `${change.name}: pinned or unpinned`;
    case 'step-changed':
      return `${change.name} changed`;
  }
}
