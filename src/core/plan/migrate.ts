import { failed, ok, type Issue, type Result } from '@/core/units';
import { PLAN_FORMAT, PLAN_VERSION } from './model';

type Doc = Readonly<Record<string, unknown>>;

/**
 * Version 1 had one breath for the whole class and did not remember what the instructor had asked for beside what
 * the fit chose.
 */
function fromVersion1(document: Doc): Doc {
  const pace = asDoc(document.pace);
  return {
    ...document,
    version: 2,
    pace: { preferredBreathSeconds: pace.breathSeconds, closingRatio: 1, ...pace },
    sections: asList(document.sections).map((section) => {
      const doc = asDoc(section);
      return { ...doc, steps: asList(doc.steps).map((step) => withPreference(asDoc(step))) };
    }),
  };
}

function withPreference(step: Doc): Doc {
  if (step.kind === 'movement') return { preferredRounds: step.rounds, ...step };
  if (step.kind === 'quiet') return { preferredSeconds: step.seconds, ...step };
  return step;
}

const MIGRATIONS: readonly ((document: Doc) => Doc)[] = [fromVersion1];

/** Brings an older document to the current version; refuses a newer one and what is no plan at all. */
export function migrate(raw: unknown): Result<unknown, Issue> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return failed({ code: 'not-a-plan', at: '', facts: {} });
  let document = raw as Doc;
  if (document.format !== PLAN_FORMAT) return failed({ code: 'not-a-plan', at: 'format', facts: {} });
  const { version } = document;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return failed({ code: 'no-version', at: 'version', facts: {} });
  }
  if (version > PLAN_VERSION) {
    return failed({ code: 'newer-version', at: 'version', facts: { version, known: PLAN_VERSION } });
  }
  for (let from = version; from < PLAN_VERSION; from++) document = MIGRATIONS[from - 1](document);
  return ok(document);
}

function asDoc(value: unknown): Doc {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Doc) : {};
}

function asList(value: unknown): readonly unknown[] {
  return Array.isArray(value) ? value : [];
}
