import { findCounts } from '../phrases/counts';
import { unquoted } from '../model/line-words';
import { reading, type Reading, type StepSettings } from '../model/reading';

/*
 * What a line below a movement sets of it: how people breathe in it where nothing leads that, by nose or mouth, and when
 * and with which words they are called back from their own pace.
 */

const LINE_AT_MOST = 100;
const MAY_SET = /breath|nose|mouth|back|bell\b|bring|inhal|exhal/i;

const OWN_WAY = '(?:as (?:you|they|one|everyone) (?:like|likes|please|wish|want|need)|in (?:your|their) own (?:time|rhythm|way|tempo)|free|freely|natural|naturally|normal|normally)'; // prettier-ignore
const FREE = new RegExp(
  `^(?:(?:with |keep )?(?:an? |your |their |the |easy |quiet )*(?:natural|normal|free|own) breath(?:ing)?|(?:the |your |their )?breath(?:ing|e|es|s)?(?: is| stays| goes)?[:,=]? ${OWN_WAY}|no breath(?:ing)?(?: cues?| words?)?|(?:let )?(?:the |your |their )?breath(?:ing)? (?:goe?s?|flows?|finds?|comes?|takes?) (?:its|their|your) own (?:way|pace|rhythm|time|course))(?: throughout| here| all the way)?[.!]?$`,
  'i',
);

const IN = '(?:breathe? |breathing )?(?:in|inhale|inhaling)(?:s|es)?';
const OUT = '(?:breathe? |breathing )?(?:out|exhale|exhaling)(?:s|es)?';
const BY = '(?: ?[:=–—-]|(?: only)? (?:through|by|via|with|from))?(?: the| your| their)?';
const LINK = '(?: ?[,;/+&.–—-]| and| then)*';
const NOSE_MOUTH: readonly RegExp[] = [
  new RegExp(`^${IN}${BY} nose${LINK} ${OUT}${BY} mouth[.!]?$`, 'i'),
  new RegExp(`^nose ${IN}${LINK} mouth ${OUT}[.!]?$`, 'i'),
  /^(?:breath(?:ing)?: ?)?nose ?[/–-] ?mouth[.]?$/i,
  new RegExp(`^(?:with )?${OUT}${BY} mouth[.!]?$`, 'i'),
  /^mouth (?:exhales?|out(?: ?breaths?)?)[.]?$/i,
];
const NOSE: readonly RegExp[] = [
  /^(?:breath(?:e|ing)?:? )?(?:in and out )?(?:only )?(?:through|by|via|with) (?:the |your )?nose(?: only)?[.!]?$/i,
  /^(?:by )?nose only[.]?$|^nasal breath(?:ing)?[.]?$|^nose breath(?:ing)?[.]?$/i,
  new RegExp(`^${IN} and ${OUT}${BY} nose[.!]?$`, 'i'),
];

const CALLED = '(?:(?:call|bring|get|fetch)(?: (?:them|everyone|everybody|people|all|the (?:group|class)))? back(?: (?:in|together|to me))?|call-?back|(?:(?:ring|sound|strike)(?: the| a)? )?(?:bell|gong|bowl|chime))'; // prettier-ignore
const CALL_BACK = new RegExp(`^(?:then )?${CALLED}\\b[:,]? ?(?:with |at |about )?(.{2,24}?)(?: (?:before(?:(?: the)? (?:end|finish))?|to go|from the end|left))?[.!]?$`, 'i'); // prettier-ignore
const CALL_BACK_LATER = new RegExp(`^(?:with |at )?(.{2,24}?) (?:before (?:the )?(?:end|finish)|to go|from the end|left)[:,]? (?:then )?${CALLED}[.!]?$`, 'i'); // prettier-ignore
const CALL_BACK_WORDS = /^(?:call(?: them)? ?-?back|bring (?:them )?back)(?: with| line| words?)?(?:: ?| [–—-] |,? (?=["“]))(.{3,200})$/i; // prettier-ignore

/** What a line sets of the movement it stands below; `null` where it sets nothing of this kind. */
export function settingIn(body: string): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST || !MAY_SET.test(body)) return null;
  const text = body.replace(/^\(([^()]+)\)[.]?$/, '$1');
  if (FREE.test(text)) return breathed(text, { breath: 'free' });
  if (NOSE_MOUTH.some((one) => one.test(text))) return breathed(text, { breathWay: 'nose-mouth' });
  if (NOSE.some((one) => one.test(text))) return breathed(text, { breathWay: 'nose' });
  const back = callBackIn(text);
  return back && setting(back.callBackWords ?? text, back);
}

const BY_WAY = /^(?:(?:breathe? )?(?:in|out|inhale|exhale) )?(?:through|by|via) (?:the |your )?(nose|mouth)[.]?$/i;

/** "5 breaths, in through the nose, out through the mouth": breaths that tell nothing but their way set it, and lead none. */
export function withWayOfBreath(readings: readonly Reading[]): readonly Reading[] {
  const told = readings.filter(({ kind }) => kind === 'inhale' || kind === 'exhale');
  const ways = told.map(({ words }) => BY_WAY.exec(words)?.[1]?.toLowerCase());
  const [first, second, ...others] = ways;
  if (first !== 'nose' || second === undefined || others.length > 0 || told.length === readings.length) return readings;
  const breathWay = second === 'nose' ? 'nose' : 'nose-mouth';
  return readings.flatMap((one) => (one === told[0] ? setting('', { breathWay }) : told.includes(one) ? [] : one));
}

/** When, or with which words, people are called back; `null` where a line tells neither. */
export function callBackIn(body: string): Pick<StepSettings, 'callBackSeconds' | 'callBackWords'> | null {
  if (body.length > LINE_AT_MOST || !MAY_SET.test(body)) return null;
  const text = body.replace(/^\(([^()]+)\)[.]?$/, '$1');
  const time = (CALL_BACK.exec(text) ?? CALL_BACK_LATER.exec(text))?.[1];
  const { counts, rest } = findCounts(time ?? '');
  const [seconds] = counts.seconds ?? [];
  if (seconds !== undefined && rest === '' && counts.rounds === undefined) return { callBackSeconds: seconds };
  const words = unquoted(CALL_BACK_WORDS.exec(text)?.[1] ?? '');
  return words === '' || findCounts(words).rest === '' ? null : { callBackWords: words };
}

function setting(words: string, sets: StepSettings): readonly Reading[] {
  return [{ ...reading('setting', words), sets }];
}

/** How people breathe is said as well where it is a sentence. */
function breathed(text: string, sets: StepSettings): readonly Reading[] {
  return [...(/[.!]$/.test(text) ? [reading('said', text)] : []), ...setting(text, sets)];
}
