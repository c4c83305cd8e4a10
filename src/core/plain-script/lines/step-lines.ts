import { itemAt } from '@/core/units';
import { breathsTold } from './asides';
import { breathsOf, withBreathSpelled } from './breath-lines';
import { findCounts, hasAmount } from '../phrases/counts';
import { withoutFrame } from '../phrases/frames';
import { heldTold } from '../phrases/held-postures';
import { capitalised, wordCount } from '../model/line-words';
import { namesPart } from '../line-kinds/headings';
import { stepsAside } from '../line-kinds/changes-of-place';
import { isStill, TALK_STARTS } from '../line-kinds/line-signs';
import { isCue, isRemark, MAY_COUNT } from '../line-kinds/name-lines';
import type { LineKind } from '../model/model';
import { bareName, BEFORE_NAME, isDoubtful } from '../phrases/names';
import { reading, type Reading } from '../model/reading';
import { nameInSentence } from '../phrases/title-names';
import { isSilentAlone } from './quiet-times';
import { isOfAll } from './of-class';
import { readLook, lookAt } from './step-kinds';
import { talkOf } from '../line-kinds/talks';

/*
 * What is no breath, heading or pause: a step by its name and amounts, with what is told beside them, or words that
 * are said.
 */

/**
 * A step without what is only added to its name, which is said in it: "Crane, 4 times, low stance", "Rag doll: let the
 * arms wrap around, a minute".
 */
export function readStep(body: string, item: boolean, under: LineKind): readonly Reading[] {
  if (stepsAside(body)) return [reading('transition', body.replace(/[.!]$/, ''), {}, true)];
  const [, often = '', named = ''] = OFTEN_FIRST.exec(body) ?? [];
  if (named !== '') return [reading('movement', named, { rounds: Number(often) }, true)];
  const held = isSilentAlone(body) ? null : heldTold(body);
  const [step, ...remarks] = held === null ? [] : readAsWritten(held, item, under);
  // "hold 30 s at the end", below a step.
  if (step?.counts.held && !item && under === 'movement' && WHEN.test(step.words))
    return [reading('setting', '', step.counts, true)];
  const isOwn = step?.kind === 'setting' && item && under !== 'said';
  return step?.counts.held && !isOwn && !GOES_ON.test(step.words) && !/^and\b/i.test(findCounts(held ?? '').rest)
    ? [{ ...step, words: step.words.replace(HOLDS, '') }, ...remarks]
    : readAsWritten(body, item, under);
}

/** "Then hold Embracing the Tree": what is held has a name of its own. */
const HOLDS = /^hold (?=\p{Lu}\p{Ll}+ing\b)/u;
/** "Then 8 Cloud Hands"; "24 Step Form" is a name. */
const OFTEN_FIRST =
  /^(?=.*\p{Ll})(?!.*\b(?:Street|Road|Lane|Avenue|Square|Place|Drive|Court|Floor|St|Rd)\b)(?:(?:[Aa]nd|[Tt]hen|[Nn]ext|[Nn]ow),? )*([2-9]|[1-3]\d) (?!\p{Lu}\p{L}* ?(?:Form|Qi ?Gong|Tai ?Chi|Exercises|Class)\b)(?!(?:Step|Form|Pieces?|Animals?|Elements?|Brocades?|Movements?|Postures?|Moves?|Treasures?|Silk\p{L}*|Sections?|Minutes?|Mins?|Breaths?|Seconds?|Rounds?|Times)\b)(\p{Lu}[\p{L}'’-]+(?: (?:the|of|to|in|and|a|\p{Lu}[\p{L}'’-]*)){1,5})[.]?$/u;
const WHEN =
  /^(?:at|on|with|after|for) (?:the )?(?:very )?(?:end|finish|last|final)(?: (?:one|round|rep|time|of them))?[.]?$/i;
/** "Stay here for thirty seconds and listen.": no name is left. */
const GOES_ON = /^(?:and|then|with|in|or|but|while|to)\b/i;

/** "Pushing Waves: breathe out as you push, breathe in as you draw back, 8 times": the name, its amount and its breath. */
function withItsBreath(body: string): readonly Reading[] | null {
  if (!/: .*\b(?:in|inhal|breath)/i.test(body)) return null;
  const { counts, rest } = findCounts(body);
  const [, name = '', told = ''] = /^(\p{L}[^:.,()\d]{2,40}): (\p{L}.{10,160}?)[\s,.;(–-]*$/u.exec(rest) ?? [];
  if (name === '' || !hasAmount(counts) || wordCount(name) > 6) return null;
  const breaths = readRemark(told);
  const both = breaths.length === 2 && breaths.every(({ kind }) => kind === 'inhale' || kind === 'exhale');
  return both ? [reading('movement', bareName(name), counts, true), ...breaths] : null;
}

function readAsWritten(body: string, item: boolean, under: LineKind): readonly Reading[] {
  const breathed = withItsBreath(body);
  if (breathed) return breathed;
  const { step, told, text } = stepOrSaid(body.replace(/\s[–—-]\s*$/, ''), item, under);
  if (step.kind === 'said' && TELLS_LENGTH.test(text)) return [step];
  if (step.kind !== 'movement') return inSentence(step, text, under) ?? [step];
  const [first, ...remarks] = nameOnly(behindCounts(step, text)) ??
    inSentence(step, text, under) ??
    behindName(step) ?? [step];
  return first ? [{ ...stilled(first), unsure: first.unsure || told }, ...remarks] : [step];
}

/** Without what leads to a name with capitals, where what is told behind the amounts stands apart already. */
function nameOnly(readings: readonly Reading[] | null): readonly Reading[] | null {
  const [step, ...remarks] = readings ?? [];
  const found = step && nameInSentence(step.words);
  return found && found.after === '' ? [{ ...step, words: found.name, unsure: true }, ...remarks] : readings;
}

/** A step by the one name with capitals in its sentence; what stands behind that is said in it. `null` where none is told. */
function inSentence(step: Reading, text: string, under: LineKind): readonly Reading[] | null {
  if (step.kind !== 'movement' && step.kind !== 'said' && step.kind !== 'silence') return null;
  const { counts, rest } = findCounts(text);
  if (!hasAmount(counts) || NOT_DONE.test(text)) return null;
  const found = nameInSentence(step.kind === 'said' ? rest.replace(/[?]$/, '') : step.words);
  if (!found || (step.kind !== 'movement' && (found.before === '' || under === 'nothing'))) return null;
  const heard = found.after.replace(ONLY_AROUND, '').trim();
  const one = reading('movement', found.name, step.kind === 'said' ? counts : step.counts, true);
  return [one, ...(wordCount(heard) >= 3 ? readRemark(heard) : [])];
}

/** What is forbidden, or hangs on something, is not a step. */
const NOT_DONE =
  /^(?:no|not|don['’]?t|do not|never|if(?! (?:there is )?time)|unless|skip|leave out|instead)\b|\b(?:see you|thank)\b/i;
/** What is only added behind a name. */
const ONLY_AROUND =
  /^[,;:.)]*\s*(?:(?:here|again|please|as usual|as always|already|too|now|today|and|so|we|do|it|which|is|enough|together)[,.]?\s*)*/i;

/** "Stand quietly - 2 min, ask them to feel their hands": without what is told, nobody moves. */
function stilled(step: Reading): Reading {
  const { rounds, sides, held, seconds } = step.counts;
  const timedOnly = seconds !== undefined && rounds === undefined && sides === undefined && !held;
  return step.kind === 'movement' &&
    timedOnly &&
    (isStill(step.words) || /^(?:sit|lie)(?:ting|ing)?(?: down)?$/i.test(step.words))
    ? { ...step, kind: 'silence' }
    : step;
}

/** "Crane, 4 times, low stance": what is told behind the amounts; `null` where nothing is. */
function behindCounts(step: Reading, body: string): readonly Reading[] | null {
  const { aside, crowded } = findCounts(body);
  if (!aside) return null;
  const name = bareName(aside.before);
  const added = step.words.includes(bareName(aside.behind));
  if (
    name === '' ||
    wordCount(name) > 6 ||
    !(added || step.words.startsWith(name) || name.startsWith(`${step.words} and `))
  )
    return null;
  const remark = added || step.words.length > name.length + 3 ? readRemark(aside.behind) : [];
  return [{ ...step, words: name, unsure: step.unsure || crowded || isDoubtful(name) }, ...remark];
}

/** "Birds: arms open like wings", "Knead, both hands": what is told behind the name; `null` where nothing is. */
function behindName(step: Reading): readonly Reading[] | null {
  const [named = '', ...parts] = step.words.split(/, /);
  const { rounds, seconds } = step.counts;
  const amount = rounds ?? seconds;
  if (amount !== undefined && parts.length > 0 && parts.every((one) => OF_BODY.test(one)) && !OF_BODY.test(named))
    return [{ ...step, words: named }, ...readRemark(parts.join(', '))];
  const mannered = amount === undefined ? null : behindManner(step);
  if (mannered) return mannered;
  const quoted = QUOTED_NAME.exec(step.words);
  if (quoted) return [{ ...step, words: itemAt(quoted, 1) }, ...readRemark(itemAt(quoted, 2))];
  const gloss = GLOSS.exec(step.words);
  if (gloss) return [{ ...step, words: itemAt(gloss, 1) }, ...readRemark(itemAt(gloss, 2))];
  const told = TOLD_BEHIND_NAME.exec(step.words);
  if (!told) return null;
  const [, name, how, short, way] = told;
  return [{ ...step, words: name ?? short ?? '', unsure: true }, ...readRemark(how ?? way ?? '')];
}

/** "both hands", "left right left right", "big circles": no name, but how one that stands before it is done. */
const OF_BODY =
  /^(?:(?:both|left|right|one|each|big|small|slow|slowly|large|wide|low|high|soft|easy|gentle|follow[- ]me|arms?|hands?|palms?|knees?|feet|eyes?|elbows?|shoulders?|with|(?<=(?:big|small|slow|wide|large) )circles?|and|the|loose|relaxed|heavy|light|open|closed)(?: |$)){1,5}$/i;

/** A step without how it is done behind its name; `null` where nothing is told so. */
function behindManner(step: Reading): readonly Reading[] | null {
  const [, done = '', mark = '', manner = ''] = WITH_MANNER.exec(step.words) ?? [];
  if (done === '' || wordCount(done) > 5 || namesPart(done)) return null;
  const told = MANNER.test(manner) || (/[–—-]/.test(mark) && isRemark(manner));
  const cued = isCue(manner) && !isCue(done) && !/,|^let (?:it|them)\b|\b(?:in|out)$/i.test(manner);
  return told || cued ? [{ ...step, words: done }, ...readRemark(manner)] : null;
}

/** "Pulling the rope, easy pace", "Arm swings - then shake out", "Side bends with the breath": behind an amount and a name, how. */
const WITH_MANNER =
  /^(\p{L}[^,:;()\d]{2,40}?)((?:[,;]| [–—-]) |,? (?=(?:in time )?with (?:the|your|their) breath(?:ing)?$))(\p{L}.{2,80})$/iu;
const MANNER =
  /^(?:then |and |it['’]s )*(?:(?:very |nice (?:and )?)?(?:easy|steady|gentle|slow) (?:pace|tempo|speed)|small (?:first|to start)|shake (?:it |them |everything )?out$|breathing (?:in|out)|no (?:rush|hurry|strain|force)|eyes (?:soft|open|closed|down)|feet (?:wide|together|apart|parallel)|knees (?:soft|bent)|(?:soft|loose|relaxed|wide|low|long|heavy) (?:knees|arms|shoulders|hands|wrists|stance|feet|elbows|breath|spine|neck|face|jaw|eyes)|(?:watch|mind|keep|mirror|follow|relax|soften) \p{L}|(?:in time )?with (?:the|your|their) breath)/iu;

/** "“Gull Looks Back” – turning with the arms". */
const QUOTED_NAME = /^["“]([^"“”]+)["”](?:[,:]| [–-]) (.{3,})$/u;

/** "Wind in the Branches (sway)". */
const GLOSS = /^(\p{L}[^()]{2,40}) \((\p{L}[^()\d]{2,60})\)$/u;

/** "Birds: arms open and close like wings": behind the name, at least three words of how. */
const TOLD_BEHIND_NAME =
  /^(?!(?:in )?(?:pairs?|partners?|twos|solo|groups?|teams?)\b)(\p{L}[^:.,!?]{1,40}): (\p{Ll}\S*(?: [^\s:]+){2,})$|^(\p{L}[^\s:.,!?]*(?: [^\s:.,!?–—-]+){0,3}) [-–—] (\p{Ll}.*)$/u;

/** "L R" behind an amount: both sides, and nothing that is said. */
const ONLY_SIDES = /^(?:l|r|left|right)(?:[ ,/&+-]+(?:l|r|left|right))+\.?$/i;

/** What stands beside a movement in its row is its breath, or said. */
export function readRemark(written: string): readonly Reading[] {
  const remark = written.replace(/^(?:[)\]]\s*|[.,;] +)/, '');
  if (ONLY_SIDES.test(remark)) return [];
  const breaths = breathsOf(withBreathSpelled(remark));
  if (breaths.length > 0) return breaths;
  const told = breathsTold(remark);
  return told && told.length > 1 ? told : [reading('said', remark)];
}

/** What is no breath, heading or pause: the name of a step with its amounts, or words that are said. */
function stepOrSaid(
  written: string,
  item: boolean,
  under: LineKind,
): { readonly step: Reading; readonly told: boolean; readonly text: string } {
  const body = withoutLead(written)
    .replace(/[,;] tempo [\d-]+$/i, '')
    .replace(TEACHERS_PART, (told) => (MAY_COUNT.test(told) || !MAY_COUNT.test(written) ? told : ''));
  if (under !== 'nothing' && TELLS_LENGTH.test(body)) return { step: reading('said', body, {}, true), told: false, text: body }; // prettier-ignore
  const talk = talkOf(body);
  if (talk) return { step: talk, told: false, text: body };
  const asked = ASKED_WITHIN.test(body) ? body.replace(/\?$/, '') : body;
  if (asked !== body && hasAmount(findCounts(asked).counts)) return { ...stepOrSaid(asked, item, under), told: true };
  const told = isOfAll(body) ? null : toldStep(body);
  const step = told === null ? null : readLook(lookAt(told, item, under, true));
  if (step !== null && step.kind !== 'said')
    return { step: { ...step, words: capitalised(step.words), unsure: true }, told: true, text: told ?? body };
  const plain = readLook(lookAt(body, item, under, false));
  const led = body !== written && /^\p{Lu}/u.test(written) && plain.kind !== 'said';
  return { step: led ? { ...plain, words: capitalised(plain.words) } : plain, told: false, text: body };
}

/** "Today we have a ten minute practice for the shoulders." */
const TELLS_LENGTH =
  /\b(?:today|tonight|this|we(?:['’]ve| have|['’]ll)|here is|I(?:['’]ve| have)|join me)\b.{0,40}?\b(?:an? |this |\d)[\p{L}\d]{0,9}[- ]?(?:minutes?|min|hour)[- ](?:practice|class|session|routine|sequence|video|lesson|flow|programme|exercise)\b/iu;
/** "Sit for two minutes at the end?": a plan in doubt, and nothing that people are asked. */
const ASKED_WITHIN =
  /^(?!(?:is|are|do|does|did|can|could|should|what|how|why|who|where|when|would|shall|may|any|have|has|will|which|whose|and you|ready|ok(?:ay)?)\b)[^?]*\?$/i;

/** "…, and I count aloud." */
const TEACHERS_PART = /, (?:(?:and|while) )?I (?!do\b)\p{Ll}+(?: \p{L}+){0,4}\.?$/u;

/** The step that a sentence tells of, where it has an amount. */
function toldStep(body: string): string | null {
  const told = withoutFrame(body);
  if (told === null) return null;
  const { rounds, seconds, hold } = findCounts(told).counts;
  return rounds === undefined && seconds === undefined && hold === undefined ? null : told;
}

/** A line without "Last one: " or "then ", where what follows has amounts. */
function withoutLead(written: string): string {
  const body = written.replace(BEFORE_NAME, '');
  if (body === written || TALK_STARTS.test(body)) return written;
  const { counts } = findCounts(body);
  return counts.rounds !== undefined || counts.seconds !== undefined ? body : written;
}
