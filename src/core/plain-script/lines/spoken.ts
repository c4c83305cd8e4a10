import { amountSpoken, amountWithin, breathsTaken, breathsWithin, CHANGES_SIDE, SENTENCE_END } from './amounts-spoken';
import { findCounts } from '../phrases/counts';
import { withoutFrame } from '../phrases/frames';
import { isStill } from '../line-kinds/line-signs';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { namedIn } from './names-spoken';
import { reading, type Reading } from '../model/reading';
import { readRemark, readStep } from './step-lines';
import type { Standing } from '../model/standing';

/*
 * A class as it is spoken, sentence by sentence, with its movements named above: "Lift up, back and down. Let's do
 * eight.", "and now forward, eight more.", "Movement one is called Lifting the Lantern.", "Let everything settle. Stand in
 * silence for one minute."
 */

const LINE = { min: 12, max: 400 } as const;

/** What a spoken line tells of the step above, or which it names; `null` for any other line. */
export function spokenIn(body: string, standing: Standing): readonly Reading[] | null {
  if (body.length < LINE.min || body.length > LINE.max) return null;
  const named = namedIn(body) ?? namedFirst(body);
  if (named) return named;
  if (standing.under === 'movement' && (standing.spoken || LED_ON.test(body)) && CHANGES_SIDE.test(body))
    return onOtherSide();
  const phases = standing.under === 'movement' && standing.spoken ? breathsWithin(body) : null;
  if (phases) return phases;
  if (!MAY_COUNT.test(body)) return null;
  const breaths = standing.uncounted ? null : breathsTaken(body);
  if (breaths) return breaths;
  const stillness = standing.inset ? null : stillIn(body);
  if (stillness) return stillness;
  if (standing.partName !== null) {
    const told = amountWithin(body);
    return told && [{ ...reading('movement', standing.partName, {}, true), heads: true }, ...told];
  }
  if (standing.under !== 'movement') return null;
  const turned = standing.spoken && !standing.uncounted ? turnedIn(body) : null;
  if (turned) return turned;
  return (ON_THIS_SIDE.test(body) ? onOtherSide() : null) ?? otherWay(body) ?? (standing.uncounted ? amountWithin(body) : null) ?? (standing.spoken ? amountSpoken(body, standing.uncounted) : null); // prettier-ignore
}

const LED_ON = /^(?:and|now|then|so) .*[.!]$/i;
/** "Next one is Hugging the Barrel. Arms round. We're staying for 45 seconds.": the name first, then what is told. */
function namedFirst(body: string): readonly Reading[] | null {
  const [first = '', ...others] = body.split(SENTENCE_END);
  const named = others.length === 0 ? null : namedIn(first);
  const told = others.join(' ');
  return named && [...named, ...(amountWithin(told) ?? amountSpoken(told, true) ?? readRemark(told))];
}

const ON_THIS_SIDE =
  /^(?:and |now |then )*(?:for )?(?:another )?[\p{L}\d-]{1,12} (?:s|secs?|seconds?|minutes?|mins?|times|rounds) (?:on|for|to) (?:this|that|the other|the second) (?:side|leg|foot|arm|hand)(?: too| as well)?[.!]?$/iu;

/** "And change legs.", "Twenty seconds on this side.": the other side of the step above. */
function onOtherSide(): readonly Reading[] {
  return [reading('setting', '', { sides: 'one-then-other' }, true)];
}

/** "Now let everything settle. Stand in silence for one minute." */
function stillIn(body: string): readonly Reading[] | null {
  const sentences = body.split(SENTENCE_END);
  const second = sentences.at(-1) ?? '';
  const first = sentences.slice(0, -1).join(' ');
  if (first === '' || !/\p{Ll}{2}[.!]$/u.test(first) || MAY_COUNT.test(first)) return null;
  const { counts, rest } = findCounts((withoutFrame(second) ?? second).replace(/[.!]$/, ''));
  if (counts.seconds === undefined || counts.rounds !== undefined) return null;
  const still = (words: string, unsure = false): readonly Reading[] => [{ ...reading('silence', words, { seconds: counts.seconds }, unsure), said: first }]; // prettier-ignore
  if (STAYS.test(rest)) return still(rest, true);
  if (/^(?:of (?:silence|quiet|stillness)|(?:I['’]ll |we['’]ll |let us |let['’]s )?be (?:quiet|silent|still))$/i.test(rest)) return still('Silence'); // prettier-ignore
  if (!isStill(rest)) return null;
  const [step] = readStep(second.replace(/[.!]$/, ''), true, 'nothing');
  return step?.kind === 'silence' ? [{ ...step, said: first }] : null;
}

const STAYS =
  /^(?:and |then |now |just )*(?:stay|rest|wait|remain|stand|sit|lie|pause)(?: (?:here|there|like this|like that|with that|for a while|quietly|still))*$/i;
const AGAIN = '(?:and |now |then |so )*';
/** "and now forward, eight more.", "The other way, six times." */
const OTHER_WAY = new RegExp(
  `^${AGAIN}(?:(?:go |turn |roll |circle )?(?:(?:in )?(?:the )?(?:other|opposite) (?:way|direction)|for?wards?|back(?:wards?)?|in reverse|reverse(?: it)?)|((?:on |with |to )?(?:the |your )?(?:other|left|right|second)(?: (?:side|leg|arm|hand|foot))?))[,:]? (?:for )?(.{1,24})$`,
  'iu',
);

/** "Step back in. Now the right foot, four times.": said between both sides. */
function turnedIn(body: string): readonly Reading[] | null {
  const sentences = body.split(SENTENCE_END);
  const turned = sentences.length === 2 && !MAY_COUNT.test(sentences[0] ?? '') ? otherWay(sentences[1] ?? '') : null;
  return turned && [...turned, { ...reading('setting', body), sets: { changeWords: body } }];
}

function otherWay(body: string): readonly Reading[] | null {
  const [, side, amount = ''] = OTHER_WAY.exec(body) ?? [];
  if (amount === '') return null;
  const { counts, rest } = findCounts(
    `x, ${amount.replace(/[.!]$/, '').replace(/ (?:more|again|as well)(?= |$)/gi, ' times')}`,
  );
  if (counts.rounds === undefined || counts.sides !== undefined || !/^x?,?$/.test(rest)) return null;
  const sides = side === undefined ? 'both-directions' : 'one-then-other';
  return [reading('setting', '', { rounds: counts.rounds, sides }, true)];
}
