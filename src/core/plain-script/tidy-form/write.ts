import { contractOf, type ClassPlan, type Section, type Step } from '@/core/plan';
import { escapeText } from '@/core/document';
import { lengthText, PLAN_FIELDS, SECTION_FIELDS } from './plan-fields';
import { dismissedText, themeText } from './plan-lists';

/** A class in the tidy form of the plain script (`docs/plain-script.md`); read back without loss but for ids. */
export function writeScript(plan: ClassPlan): string {
  const lines: string[] = [`# ${escapeText(plan.title)}`];
  for (const field of PLAN_FIELDS) lines.push(setting(field.key, field.write(plan)));
  for (const length of plan.lengths) lines.push(setting('length', lengthText(plan, length)));
  for (const theme of plan.themes) lines.push(setting('theme', themeText(plan, theme)));
  for (const one of plan.dismissed) lines.push(setting('dismissed', dismissedText(plan, one)));
  for (const section of plan.sections) {
    lines.push('', `## ${escapeText(section.title)} [${section.role}]`);
    lines.push(...sectionSettings(section));
    for (const step of section.steps) lines.push('', ...stepLines(step));
  }
  return `${lines.join('\n')}\n`;
}

function sectionSettings(section: Section): string[] {
  const own = section.paceMultiplier !== null || section.inhaleShare !== null;
  return own ? SECTION_FIELDS.map((field) => setting(field.key, field.write(section))) : [];
}

function stepLines(step: Step): string[] {
  const lines = [`### ${step.kind}: ${escapeText(step.name)}`];
  const contract = contractOf(step);
  // A setting that says what a step has before it is read is not written.
  const blank = contract.blank(() => 'x', 'x');
  for (const field of contract.settings) {
    const value = field.write(step);
    if (value !== field.write(blank)) lines.push(setting(field.key, value));
  }
  return [...lines, ...contract.body(step)];
}

function setting(key: string, value: string): string {
  return value === '' ? `${key}:` : `${key}: ${value}`;
}
