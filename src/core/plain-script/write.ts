import type { Phase, SpokenLine } from '@/core/movement';
import { type ClassPlan, type Section, type Step } from '@/core/plan';
import { escapeText } from './escape';
import { fieldsOf, FRESH } from './fields';
import { lengthText, PLAN_FIELDS, SECTION_FIELDS } from './plan-fields';
import { setAsideText, themeText } from './plan-lists';

/** A class in the tidy form of the plain script (`docs/plain-script.md`); read back without loss but for ids. */
export function writeScript(plan: ClassPlan): string {
  const lines: string[] = [`# ${escapeText(plan.title)}`];
  for (const field of PLAN_FIELDS) lines.push(setting(field.key, field.write(plan)));
  for (const length of plan.lengths) lines.push(setting('length', lengthText(plan, length)));
  for (const theme of plan.themes) lines.push(setting('theme', themeText(plan, theme)));
  for (const one of plan.setAside) lines.push(setting('set aside', setAsideText(plan, one)));
  for (const section of plan.sections) {
    lines.push('', `## ${escapeText(section.title)} [${section.role}]`);
    lines.push(...sectionSettings(section));
    for (const step of section.steps) lines.push('', ...stepLines(step));
  }
  return `${lines.join('\n')}\n`;
}

function sectionSettings(section: Section): string[] {
  const own = section.paceMultiplier !== null || section.inShare !== null;
  return own ? SECTION_FIELDS.map((field) => setting(field.key, field.write(section))) : [];
}

function stepLines(step: Step): string[] {
  const lines = [`### ${step.kind}: ${escapeText(step.name)}`];
  const fresh: Step = FRESH[step.kind];
  for (const field of fieldsOf(step.kind)) {
    const value = field.write(step);
    if (value !== field.write(fresh)) lines.push(setting(field.key, value));
  }
  if (step.kind === 'movement') lines.push(...step.teach.map(spoken), ...step.pattern.map(phaseLine));
  if (step.kind === 'talk') lines.push(...step.lines.map(spoken));
  return lines;
}

function setting(key: string, value: string): string {
  return value === '' ? `${key}:` : `${key}: ${value}`;
}

function spoken(line: SpokenLine): string {
  const layer = line.layer === null ? '' : `, ${line.layer}`;
  return `> ${escapeText(line.text)} (pause ${line.pauseSeconds} s${layer})`;
}

/** A phase with its length where it has its own, then the action and the three wordings. */
function phaseLine(phase: Phase): string {
  const share = phase.share === null ? '' : ` share ${phase.share}`;
  const seconds = phase.seconds === null ? '' : ` ${phase.seconds} s`;
  const lead = phase.leadSeconds === null ? '' : ` lead ${phase.leadSeconds} s`;
  const words = [phase.action, phase.full, phase.short, phase.breath].map(escapeText).join(' | ');
  return `${phase.kind}${share}${seconds}${lead}: ${words}`;
}
