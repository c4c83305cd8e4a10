import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createChecker, dismissalReason } from '@/core/checks';
import { CAUTIONS, makeDuring, makePhase, spokenLines, type Caution } from '@/core/movement';
import { changeTexts, makeTalk, planAfter, type ClassPlan, type MovementStep, type Step } from '@/core/plan';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { countingIds } from '../support/chance';
import { both, plain, said, withStep, withSteps, withText } from './make-faults';

/*
 * Lines as teachers say them, each put into a class that gives no finding, with what must be found then. They stand in
 * `hands/*.txt`; half of them, by their letters, are kept: never looked at while the meanings were written.
 */

export interface HandLine {
  /** Where it is said: `teach`, `needs neck`, `closed`, ... */
  readonly place: string;
  readonly text: string;
  /** Checks, with the caution where one is named, sorted. */
  readonly wanted: readonly string[];
  readonly kept: boolean;
  /** The file that it stands in. */
  readonly letter: string;
  readonly writing: Writing;
}

/** Of which letters: the first four, three that were written when the rules for those stood, or one of the last. */
type Writing =
  'early' | 'late' | 'last' | 'ninth' | 'tenth' | 'eleventh' | 'twelfth' | 'thirteenth' | 'fourteenth' | 'fifteenth';

/** No line of it was looked at by anybody who made a rule. */
const ONLY_READ = 'twelfth-letter.txt';

/** The writings of letters by their files; the others are early. */
const WRITINGS: Readonly<Record<string, Writing>> = {
  'fifth-letter.txt': 'late',
  'sixth-letter.txt': 'late',
  'seventh-letter.txt': 'late',
  'eighth-letter.txt': 'last',
  'ninth-letter.txt': 'ninth',
  'tenth-letter.txt': 'tenth',
  'eleventh-letter.txt': 'eleventh',
  'twelfth-letter.txt': 'twelfth',
  'thirteenth-letter.txt': 'thirteenth',
  'fourteenth-letter.txt': 'fourteenth',
  'fifteenth-letter.txt': 'fifteenth',
};

const FOLDER = join(import.meta.dirname, 'hands');

/** FNV-1a over the characters (Fowler, Noll and Vo), to part the lines by nothing that they mean. */
function isKept(text: string): boolean {
  let hash = 0x811c9dc5;
  for (const one of text) hash = Math.imul(hash ^ (one.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return (hash >>> 7) % 2 === 1;
}

export function handLines(): HandLine[] {
  return readdirSync(FOLDER)
    .sort()
    .flatMap((file) => {
      let place = '';
      return readFileSync(join(FOLDER, file), 'utf8')
        .split('\n')
        .flatMap((line): HandLine[] => {
          if (line.startsWith('@')) place = line.slice(1).trim();
          if (line.startsWith('@') || line.startsWith('#') || !line.includes('|')) return [];
          const [wanted, text] = [line.slice(0, line.indexOf('|')).trim(), line.slice(line.indexOf('|') + 1).trim()];
          return [
            {
              place,
              text,
              wanted: wanted === '-' ? [] : wanted.split(' ').sort(),
              kept: isKept(text) || file === ONLY_READ,
              letter: file,
              writing: WRITINGS[file] ?? 'early',
            },
          ];
        });
    });
}

const ferry = itemAt(demoClasses(), 0).plan;
const light = 'Turning the lighthouse';
const post = 'Mooring post';
const bell = 'Bell buoy';
const CAUTIONED = ['caution-missing', 'caution-late', 'caution-unclear'];
const EVERYWHERE = ['health-promise', 'breath-forced', 'head-low', 'caution-untagged'];

/** A movement of the class's own, taught in a line, with what else it needs. */
function buoy(text: string, part: Partial<MovementStep> = {}) {
  return withSteps('main', 0, (newId) => [
    plain(newId, bell, {
      teach: spokenLines(newId, [
        ['Bell buoy.', 2],
        [text, 2],
      ]),
      ...part,
    }),
  ]);
}

const OPTED = /Leave out the rest at the top whenever you like\./;

/** A class with a line in its place, and the checks that are asked about. */
function placed(place: string, text: string): { readonly plan: ClassPlan; readonly checks: readonly string[] } {
  const [head = '', of = ''] = place.split(' ');
  const caution = CAUTIONS.find((one) => one === of);
  const make = PLACES[head];
  if (!make) throw new Error(`no place ${place}`);
  const { change, checks } = make(text, of, caution ? [caution] : []);
  return { plan: change(ferry), checks: [...EVERYWHERE, ...checks] };
}

interface Place {
  readonly change: (plan: ClassPlan) => ClassPlan;
  readonly checks: readonly string[];
}

const PLACES: Readonly<Record<string, (text: string, of: string, cautions: Caution[]) => Place>> = {
  teach: (text) => ({ change: buoy(text), checks: [] }),
  needs: (text, _, cautions) => ({ change: buoy(text, { cautions }), checks: CAUTIONED }),
  before: (text, _, cautions) => ({
    change: withSteps('main', 0, (newId) => [
      plain(newId, 'Low rail', {
        teach: spokenLines(newId, [
          ['Low rail.', 2],
          [text, 2],
        ]),
      }),
      plain(newId, bell, { cautions, teach: spokenLines(newId, [['Bell buoy.', 2]]) }),
    ]),
    checks: CAUTIONED,
  }),
  support: (text) => ({ change: buoy(text, { cautions: ['balance'] }), checks: ['balance-support'] }),
  easier: (text) => ({ change: buoy(text, { cautions: ['deep-squat'] }), checks: ['no-easier-level'] }),
  optout: (text) => ({
    change: both(withText(OPTED, 'Stand tall at the top.'), (plan) =>
      withSteps('main', 0, (newId) => [
        plain(newId, bell, {
          teach: spokenLines(newId, [
            ['Bell buoy.', 2],
            [text, 2],
          ]),
          pattern: [
            makePhase(newId, { kind: 'inhale', full: 'In, and up.' }),
            makePhase(newId, { kind: 'hold', seconds: 2 }),
            makePhase(newId, { kind: 'exhale', full: 'Out, and down.' }),
          ],
        }),
      ])(plan),
    ),
    checks: ['rest-opt-out'],
  }),
  class: (text, of) => ({ change: both(withoutPart(of), talk(text)), checks: ['class-caution'] }),
  turn: (text) => ({
    change: withStep(light, (step) => said(step, 1, { full: text, short: text })),
    checks: ['side-wrong'],
  }),
  closed: (text) => ({
    change: withStep(post, {
      eyesClosed: true,
      seconds: 60,
      callBackLine: 'Open your eyes, and come back to the hall.',
      during: [makeDuring(countingIds('d'), text)],
    }),
    checks: ['watch-eyes-closed'],
  }),
  opens: (text) => ({
    change: withStep(post, { eyesClosed: true, seconds: 60, callBackLine: text }),
    checks: ['eyes-not-opened'],
  }),
  closes: (text) => ({ change: withStep(post, { openingLine: text }), checks: ['eyes-not-opened'] }),
  name: (text) => {
    const [, name = '', line = ''] = /^\[([^\]]*)\] (.*)$/.exec(text) ?? [];
    return {
      change: withSteps('main', 0, (newId) => [plain(newId, name, { teach: spokenLines(newId, [[line, 2]]) })]),
      checks: ['never-named'],
    };
  },
};

const talk = (text: string) =>
  withSteps('welcome', -1, (newId): readonly Step[] => [makeTalk(newId, 'A word', [[text, 2]])]);

/** The class without a part of the caution for all of it, wherever it is said. */
function withoutPart(part: string) {
  const gone: Readonly<Record<string, RegExp>> = {
    effort: /[^.]*(?:seventy|per cent)[^.]*\./g,
    pain: /[^.]*\bhurt[^.]*\./g,
    rest: /\brest when you like(?:, and)?/gi,
    sit: /,? and sit if you like|[^.;]*\b(?:chair|seat|stool)\b[^.;]*[.;]/gi,
  };
  const pattern = gone[part] ?? /$^/;
  return (plan: ClassPlan): ClassPlan => {
    const edits = plan.sections.flatMap(({ steps }) =>
      steps.flatMap((step) => changeTexts(step, (one) => one.replace(pattern, ' So it is.').trim()) ?? []),
    );
    return edits.length === 0 ? plan : planAfter(plan, { kind: 'together', edits });
  };
}

/** As the desk checks: the steps of the class that the line is not in are judged once. */
const checked = createChecker();

/** What is found of the checks that a place asks about, with the caution where the finding is of one. */
export function foundFor({ place, text }: Pick<HandLine, 'place' | 'text'>): string[] {
  const { plan, checks } = placed(place, text);
  const found = checked(plan, expandPlan(plan))
    .filter((finding) => checks.includes(finding.check) && dismissalReason(plan, finding) === null)
    .map(({ check, facts }) => (facts.caution === undefined ? check : `${check}:${facts.caution}`));
  return [...new Set(found)].sort();
}
