import { asDoc, renamedFields, type Doc } from '@/core/document';
import { contentSince2, contentSince3, contentSince4, contentSince5 } from '@/core/movement';
import { itemAt, failed, ok, type Issue, type Result } from '@/core/units';

export const PLAN_FORMAT = 'calm-count/class-plan';

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

/**
 * Version 2 had no stances, levels, priorities, lengths or library; every movement was led by the breath, talks had
 * one tempo, and nothing was ever left out.
 */
function fromVersion2(document: Doc): Doc {
  const pace = asDoc(document.pace);
  return {
    keepOnTarget: false,
    lengths: [],
    ...document,
    version: 3,
    pace: { closingInShare: pace.inShare, curve: 'straight', ...pace },
    sections: asList(document.sections).map((section) => {
      const doc = asDoc(section);
      const steps = asList(doc.steps).map((step) => withLengthChoices(asDoc(step)));
      return { paceMultiplier: null, inShare: null, ...doc, steps };
    }),
  };
}

function withLengthChoices(step: Doc): Doc {
  if (step.kind === 'movement') return { ...MOVEMENT_SINCE_3, ...step };
  const alone = { goesWith: 'none', priority: 'always', leftOut: false };
  if (step.kind === 'talk')
    return { pinned: false, tempo: 1, leastTempo: 1, mostTempo: 1, caution: false, ...alone, ...step };
  if (step.kind === 'quiet') return { stance: null, ...alone, ...step };
  if (step.kind === 'transition') return { pinned: false, stance: null, ...alone, ...step };
  return step;
}

const MOVEMENT_SINCE_3: Doc = {
  otherNames: [],
  stanceStart: null,
  stanceEnd: null,
  lead: 'breath',
  seconds: 60,
  preferredSeconds: 60,
  leastSeconds: 30,
  mostSeconds: 120,
  inShare: null,
  levels: [],
  seated: '',
  priority: 'always',
  leftOut: false,
  source: null,
};

const STYLE_BEFORE_4: Doc = {
  counting: 'end',
  sides: 'mirror',
  leftMark: '',
  rightMark: '',
  circles: 'above',
  breath: 'nose',
  belly: 'natural',
  outBreath: 'even',
  rounds: 'any',
  restLine: 'Leave out the rest whenever you like, and breathe on.',
};

/** Version 3 had one school of everything, few moments for words, no themes, and nothing to set aside. */
function fromVersion3(document: Doc): Doc {
  return {
    schools: STYLE_BEFORE_4,
    silenceShare: 0.3,
    themes: [],
    themeId: null,
    setAside: [],
    ...document,
    version: 4,
    sections: asList(document.sections).map((section) => {
      const doc = asDoc(section);
      return { ...doc, steps: asList(doc.steps).map((step) => withMoments(asDoc(step))) };
    }),
  };
}

function withMoments(step: Doc): Doc {
  if (step.kind === 'movement') return { view: 'front', ...contentSince2(step) };
  if (step.kind === 'talk')
    return { ...step, lines: asList(step.lines).map((line) => ({ layer: null, ...asDoc(line) })) };
  if (step.kind !== 'quiet') return step;
  return { reassuranceLine: '', reassuranceEverySeconds: 45, callBackLeadSeconds: 0, ...step };
}

/** Version 4 had one wording for lines that belong to no phase, and a second of silence after each. */
function fromVersion4(document: Doc): Doc {
  return {
    keepWordsFitted: false,
    ...document,
    version: 5,
    voice: { pauseSeconds: 1, ...asDoc(document.voice) },
    sections: asList(document.sections).map((section) => {
      const doc = asDoc(section);
      return { ...doc, steps: asList(doc.steps).map((step) => withShorts(asDoc(step))) };
    }),
  };
}

function withShorts(step: Doc): Doc {
  return step.kind === 'movement' ? { intro: 'full', ...contentSince3(step) } : step;
}

const PACE_BEFORE_6: ReadonlyMap<string, string> = new Map([
  ['leastBreathSeconds', 'minBreathSeconds'],
  ['mostBreathSeconds', 'maxBreathSeconds'],
  ['inShare', 'inhaleShare'],
  ['closingInShare', 'closingInhaleShare'],
]);
const STEP_BEFORE_6: ReadonlyMap<string, string> = new Map([
  ['leftOut', 'skipped'],
  ['leastTempo', 'minTempo'],
  ['mostTempo', 'maxTempo'],
  ['leastSeconds', 'minSeconds'],
  ['mostSeconds', 'maxSeconds'],
]);
const WAYS_BEFORE_6: ReadonlyMap<unknown, string> = new Map([
  ['balance', 'balanced'],
  ['leave-out', 'skip-steps'],
]);

/** Version 5 had other names for fields and values than the screens: least and most, in and out, quiet, schools. */
function fromVersion5(document: Doc): Doc {
  const { schools, setAside, pace, lengths, sections, ...rest } = document;
  return {
    ...rest,
    version: 6,
    pace: renamedFields(asDoc(pace), PACE_BEFORE_6),
    lengths: asList(lengths).map((length) => lengthSince6(asDoc(length))),
    style: renamedFields(asDoc(schools), new Map([['restLine', 'holdLine']])),
    dismissed: asList(setAside).map((one) => dismissedSince6(asDoc(one))),
    sections: asList(sections).map((section) => {
      const doc = renamedFields(asDoc(section), new Map([['inShare', 'inhaleShare']]));
      return { ...doc, steps: asList(doc.steps).map((step) => stepSince6(asDoc(step))) };
    }),
  };
}

function lengthSince6({ way, pins, ...rest }: Doc): Doc {
  const renamed = asList(pins).map((pin) => renamedFields(asDoc(pin), STEP_BEFORE_6));
  return { ...rest, way: WAYS_BEFORE_6.get(way) ?? way, pins: renamed };
}

function dismissedSince6(one: Doc): Doc {
  return typeof one.check === 'string' ? { ...one, check: checkSince6(one.check) } : one;
}

/** A check's name from before teaching styles were called so. */
export function checkSince6(name: string): string {
  return name === 'rounds-school' ? 'rounds-style' : name;
}

function stepSince6(step: Doc): Doc {
  const renamed = renamedFields(step, STEP_BEFORE_6);
  if (step.kind === 'movement') return contentSince4(renamed);
  return step.kind === 'quiet' ? { ...renamed, kind: 'silence' } : renamed;
}

/**
 * Version 6 had no words while the rounds run, no blocks done again on the other side, nothing that stretches together,
 * no talk with a time of its own, and landed on the second.
 */
function fromVersion6(document: Doc): Doc {
  return {
    landingSeconds: null,
    ...document,
    version: 7,
    sections: asList(document.sections).map((section) => {
      const doc = asDoc(section);
      return { ...doc, steps: asList(doc.steps).map((step) => stepSince7(asDoc(step))) };
    }),
  };
}

function stepSince7(step: Doc): Doc {
  const grouped = { blockId: null, tieId: null, ...step };
  if (step.kind === 'movement') return contentSince5(grouped);
  if (step.kind === 'silence') return { during: [], ...grouped };
  return step.kind === 'talk'
    ? { timed: false, seconds: 60, preferredSeconds: 60, minSeconds: 45, maxSeconds: 90, ...grouped }
    : grouped;
}

const MIGRATIONS: readonly ((document: Doc) => Doc)[] = [
  fromVersion1,
  fromVersion2,
  fromVersion3,
  fromVersion4,
  fromVersion5,
  fromVersion6,
];

/** The version of the document this code writes. Older ones are migrated, newer ones refused. */
export const PLAN_VERSION = MIGRATIONS.length + 1;

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
  for (let from = version; from < PLAN_VERSION; from++) document = itemAt(MIGRATIONS, from - 1)(document);
  return ok(document);
}

function asList(value: unknown): readonly unknown[] {
  return Array.isArray(value) ? value : [];
}
