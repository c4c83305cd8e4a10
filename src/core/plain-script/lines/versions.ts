import { cautionTold } from './cautions-told';
import { capitalised } from '../model/line-words';
import { reading, type Reading } from '../model/reading';
import { versionGuessed } from './versions-told';

/*
 * What a line below a movement tells of another way to do it: a smaller or a larger version, one in a chair, or a caution,
 * with a label before it, in brackets or behind it, or under a condition.
 */

const LONGEST = 160;
const VERSION = '(?: (?:ones?|version|option|variation|form|way|level|alternative))?';
/** "If tired", "when stiff": how somebody is who does it another way. */
const IF_SO =
  "(?:if|when) (?:(?:you(?:[’']re| are| feel)?|they(?:[’']re| are| feel)?) )?(?:(?:very|too|a bit|a little|really) )?(?:tired|wobbly|unsteady|stiff|sore|weak|new|able|fresh|strong|cold|in doubt|it is(?: too)? (?:easy|hard|much)|balance is (?:poor|bad|hard))";
const LEVEL_WORDS = `(?:l(?:v|vl|evel)?\\.? ?[1-4]|level (?:one|two|three)|(?:first|second|third) level|(?:more |less )?(?:easy|easier|gentle|gentler|soft|softer|simple|simpler|hard|harder|advanced|strong|stronger|small|smaller|big|bigger|full|half|standing)${VERSION}|more|less|or|challenge|variants?|options?(?: [1-4])?|alternatives?|alt|mods?|modif(?:y|ications?)|variations?|progressions?|regressions?|(?:for )?(?:the )?(?:beginners?|intermediates?|newcomers|regulars|improvers|seniors)|(?:to )?make it (?:easier|harder|smaller|bigger|gentler))`;
const SEATED_WORDS = `(?:(?:seated|sitting(?: down)?|chair)${VERSION}|sit|(?:in|on|with|from) (?:a|the|your) chair|wheelchair(?: users)?|sitters|(?:for )?(?:those|people|anyone|anybody|everyone) (?:sitting|seated|in (?:a )?chairs?|on (?:a )?chairs?)|seated people|(?:if|when) (?:you(?:['’]re| are)? |they(?:['’]re| are)? )?(?:seated|sitting|sit|in a chair|on a chair))`;
const CAUTION_WORDS = '(?:cautions?|careful|take care|mind|warning|safety(?: note)?|watch out)';
const MARK = '(?: ?:| [–—-]|,|\\?|\\))';

interface Forms {
  readonly kind: 'level' | 'seated' | 'caution';
  readonly before: RegExp;
  readonly boxed: RegExp;
  readonly behind: RegExp | null;
}

function formsOf(kind: Forms['kind'], words: string, behind: string | null): Forms {
  return {
    kind,
    before: new RegExp(`^(${words})${MARK} (\\S.+)$`, 'iu'),
    boxed: new RegExp(`^[([](${words})[)\\]]:? (\\S.+)$`, 'iu'),
    behind: behind === null ? null : new RegExp(`^(.{3,}?) (?:[([](${words})[)\\]]|${behind})[.!]?$`, 'iu'),
  };
}

const FORMS: readonly Forms[] = [
  formsOf('seated', SEATED_WORDS, "((?:if|when) (?:you(?:['’]re| are)? )?(?:seated|sitting)|in (?:a|the|your) chair)"),
  formsOf(
    'level',
    LEVEL_WORDS,
    "(for (?:the )?(?:beginners|newcomers|seniors)|if (?:that|this|it)(?:['’]s| is) too (?:much|hard|low|deep|easy)|(?:to make it|for an?) (?:easier|harder|gentler|smaller|bigger)(?: version)?)",
  ),
  formsOf('caution', CAUTION_WORDS, null),
];
/** Under a condition, or of some people, without a mark: what is said is the whole line. */
const WHOLE: readonly (readonly [Forms['kind'], RegExp])[] = [
  ['level', /^(?:if|when) (?:that|this|it)(?:['’]s| is)(?: too (?:much|hard|easy|low|deep)| easy| hard)[,:]? \S/i],
  ['level', /^too (?:easy|hard|low|deep)\? \S/i],
  ['level', /^(?:beginners|newcomers|seniors|regulars) \p{Ll}\S* \S/iu],
  ['level', /^l[1-4] \p{Ll}/iu],
  ['caution', /^(?:caution|careful|warning) \p{Ll}/iu],
  [
    'level',
    /^or (?:just |simply |only |else |you (?:can|may) )?(?:keep|hold|stay|use|do|try|rest|leave|take|put|lift|stand|step|place|let|make|bend|turn|move|go|raise|lean|touch|without|with) \p{L}[^?]*$/iu,
  ],
  [
    'level',
    /^(?:(?:to )?make it (?:easier|harder|smaller|bigger|gentler)|(?:easier|harder)),? (?:by|with|on|without|if) \p{L}/iu,
  ],
  [
    'level',
    /^(?:(?:this |it )?(?:can|may|could) (?:also )?be (?:done )?|do (?:it |this )|keep (?:it |this )|make (?:it |this ))(?:smaller|bigger|slower|lower|higher|easier|harder|gentler|with(?:out)? \p{L}+(?: \p{L}+)?)[.!]?$/iu,
  ],
  ['level', /^(?:you|they|people|beginners|everyone) (?:can|may|could) (?:also|always|instead) \p{Ll}/iu],
  [
    'seated',
    /^(?:(?:this |it |also )*(?:can|may|could) (?:also )?be done|(?:also )?(?:works?|possible|fine|doable|good|goes)(?: as)?(?: well| too)?|same|do (?:it|this)) (?:also )?(?:seated|sitting(?: down)?|(?:in|on|from) (?:a|the|your) chair)(?: too| as well)?[.!]?$/iu,
  ],
  ['level', new RegExp(`^${IF_SO}, (?:then )?\\p{Ll}`, 'iu')],
];
/** Signs of a caution before it. */
const SIGNED = /^(?:!{1,3}|\(!\)|⚠\uFE0F?)\s*(?=\S)/u;
/** Behind it and a comma stands what is done: "sit, eyes shut". */
const BARE = /^(?:sit|sitting|seated|standing|half|full|more|less|or|soft|small|big|easy|gentle|hard|strong|simple)$/i;
/** What each label has; most lines have none. */
const MAY_TELL = /^[([>*]|level|easi|eas[ey]|gentl|soft|simpl|hard|advanc|strong|small|big|full|half|standing|more|less|\bor\b|challeng|varia|option|alt|mod|progress|regress|beginner|intermed|newcom|regular|improv|senior|make it|seated|sit|chair|too |if |when |extra|optional|adapt|with |\bl[1-4v]|caution|careful|take care|mind|warning|safety|watch|!|⚠/i; // prettier-ignore

const ALTERNATING = /\d.*\(alt\.?\)$/i;

/** Another way to do the movement above, or a caution; `null` where a line tells of none. */
export function versionIn(written: string): readonly Reading[] | null {
  if (written.length > LONGEST) return null;
  const body = written.replace(/^[([]((?:[^()[\]]|\([^()]*\)){8,})[)\]][.]?$/, '$1').trim();
  for (const { kind, before, boxed, behind } of MAY_TELL.test(written) ? FORMS : []) {
    const first = before.exec(body) ?? boxed.exec(body);
    // "x4 (alt)": by turns.
    const last = first || ALTERNATING.test(body) ? null : behind?.exec(body);
    const label = (first?.[1] ?? last?.[2] ?? last?.[3] ?? '').trim();
    const text = (first?.[2] ?? last?.[1] ?? '').trim();
    if (label === '' || !/\p{L}{2}/u.test(text)) continue;
    if (BARE.test(label) && body.charAt(label.length) === ',') continue;
    const whole = last?.[3] !== undefined;
    return [{ ...reading(kind, whole ? body : text, {}, true), label: capitalised(label) }];
  }
  const signed = SIGNED.exec(body)?.[0];
  if (signed !== undefined) return [reading('caution', body.slice(signed.length), {}, true)];
  const caution = cautionTold(body);
  if (caution) return [caution];
  const [kind] = WHOLE.find(([, form]) => form.test(body)) ?? [];
  if (kind !== undefined) return [reading(kind, body, {}, true)];
  const guess = versionGuessed(body);
  return guess && [guess];
}
