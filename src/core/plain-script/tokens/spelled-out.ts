import { NUMBER_IN_WORDS, NUMBER_WORDS } from './tokens';

/*
 * A line before anything is looked for in it: short forms are spelled out, counts stand in figures, brackets and dashes
 * are of one kind, and what only adorns it is gone.
 */

/** One of what has to stand in a line in small letters, how it is written, and what it means. */
type ShortForm = readonly [needs: string, written: RegExp, meant: string];

const SHORT_FORMS = withNeeds([
  ['', /(?<!\d)(\d{1,2})['′’] ?(\d{2})(?:["″”]|''|’’)/g, '$1:$2'],
  ['', /(?<![\d\p{L}])(\d{1,2})['′’](\d{2})(?![\d\p{L}'’′])/gu, '$1:$2'],
  ['', /\b([LR]) ?(\d{1,2}) ?[/,+&] ?([LR]) ?(\d{1,2})\b/g, '$2 $1, $4 $3'],
  ['', /(?<![\p{L}\d])(\d{1,2}) ?(b|f) ?[/,+&] ?\1 ?(b|f)(?![\p{L}\d])/giu, '$1 each way'],
  ['', /(?<=\p{L} \d) \.(?=\d ?(?:min|h))/gu, '.'],
  [
    'between',
    new RegExp(
      `^between (\\d{1,2}|${NUMBER_IN_WORDS}) and (\\d{1,2}|${NUMBER_IN_WORDS})(?: times\\b| ?x\\b|(?= \\p{L})(?! ?(?:m|s|h|mins?|minutes?|secs?|seconds?|hours?|rounds|reps|breaths)\\b))`,
      'giu',
    ),
    '$1 to $2 times',
  ],
  [
    'change|swap|switch|reverse',
    /\b(\d{1,2}|[a-z]{3,8}), (?:then )?(?:change|swap|switch|reverse) (?:directions?|the direction|ways?),? (?:and |then )*\1\b/gi,
    '$1 each way',
  ],
  // A few together, then on their own.
  [
    'together|led|counted|guided|with me',
    new RegExp(
      `(?<=\\p{L}.*)\\b((?:[x×] ?)?\\d{1,2} ?x?|${NUMBER_IN_WORDS})(?: rounds| times)? \\(?(?:together|led|counted|guided|with me)\\)?(?=.*\\b(?:own|alone|themselves|self|uncounted|unguided|individually|freely)\\b)`,
      'giu',
    ),
    '$1 times',
  ],
  [
    'lead',
    new RegExp(
      `(?:[,:]| [–-])? \\bleads? (?=(?:\\d{1,2}|${NUMBER_IN_WORDS})\\b.*\\b(?:own|alone|themselves|uncounted|unguided|individually|freely)\\b)`,
      'giu',
    ),
    ', ',
  ],
  [
    'continue|carry on|go on|keep going|practise|practice',
    /(?<=\d.*)\b(?:then )?(?:let (?:them|everyone|everybody|people) )?(?:continue|carry on|go on|keep going|practi[sc]e)(?=(?: on)? (?:alone|(?:on|at|in) (?:your|their) own|by (?:themselves|yourselves|yourself)|individually|freely|unguided)\b)/giu,
    'then',
  ],
  ['self', /(?<=\d.*)\bself[- ]?(?:paced|led|guided)\b|\bself[- ]?(?:paced|led|guided)\b(?=.*\d)/giu, 'own pace'],
  [
    'uncounted|individually|alone|freely|own practi',
    /(?<=\d ?(?:s|m|secs?|seconds|mins?|minutes|['′’]),? |minutes?,? |then )(?:uncounted|individually|alone|freely|own practi[sc]e)(?=$|[ ,.)])/giu,
    'own pace',
  ],
  [
    'uncounted|individually|alone|freely',
    /(?<=\p{L}{3},? )(?:uncounted|individually|alone|freely)(?=,? (?:for )?(?:\d{1,3} ?(?:s|m|secs?|seconds|mins?|minutes|['′’])|(?:two|three|four|five|an?) minutes?)(?=$|[ ,.)]))/giu,
    'own pace',
  ],
  ['x ea', /(?<=^|\s)(\d{1,2}) ?x ea\.? (?!(?:side|leg|arm|foot|hand|way)\b)(?=\p{L})/giu, '$1 x each side, '],
  [
    'ly|slow|breath|easy|soft|pace',
    /(?<=\d.*)\b(each|ea\.?|times|rounds|reps|sides?|legs?|arms?|ways?|directions?|alternating|right|left|\d ?x|[x×] ?\d{1,2}) (slowly|slow|gently|softly|quickly|loosely|with the breath|nice and (?:easy|slow|soft)|at (?:your|their) own pace)(?=[.!]?$)/giu,
    '$1, $2',
  ],
  ['up', /^((?:breath(?:e|ing)?:? )?)up (\d{1,2}) ?(?:[/,–-]|and|,) ?down (\d{1,2})(?=$|[ ,.;])/giu, '$1in $2, out $3'],
  ['alt', /(?<=\d ?x?|\b(?:times|ea|each)) (?:alt\b\.?|\(alt\.?\))/giu, ' alternating'],
  ['total', /(?<=, )(\d{1,2}) (?:in )?total(?=,(?! ?alternat))/giu, '$1 times'],
  ["''|″|\"|”", /(\d{1,2}) ?(?:''|″|"|”)(?= each\b)/gu, '$1 s'],
  [
    'left|right',
    new RegExp(
      `\\b(left|right)(?: (?:foot|leg|arm|hand|side))?(?: (?:forward|first|leading|in front))? (\\d{1,2}|${NUMBER_IN_WORDS})(?:,| \\/|;| and|, and|, then) (?:the )?(left|right)(?: (?:foot|leg|arm|hand|side))?(?: (?:forward|first|leading|in front))? \\2(?=$|[.;,)])(?!.*(?:alternat|both))`,
      'giu',
    ),
    '$2 $1, $2 $3',
  ],
  [
    'twice|two|2',
    /\b(\d{1,3} ?(?:s|secs?|seconds?|m|mins?|minutes?))\.? (?:on )?(?:the )?(?:left|l)(?:,| and|,? then| \/) \1\.? (?:on )?(?:the )?(?:right|r)\b,? (?=twice|two times|x ?2\b|2 ?x)/giu,
    '$1 each side, ',
  ],
  ['once', /\b((?:chang|swap|switch)\p{L}* (?:partners?|places|sides|arms|legs)) once\b/giu, '$1'],
  ['l r', /\bL R(?= ?\d{1,2}\b)/g, 'L/R'],
  ['', /\b([LR]) ?(\d{1,2}) ([LR]) ?(\d{1,2})\b/g, '$2 $1, $4 $3'],
  [
    'back|bwd|bkwd|anti|counter|ccw|acw',
    /\b(fwds?|forwards?|clockwise|cw) ?(\d{1,2}) (bwds?|back(?:wards?)?|anti-?clockwise|counter-?clockwise|ccw|acw) ?\2\b/gi,
    '$2 $1, $2 $3',
  ],
  ['repeat|rpt', /(?<=\p{L} )(?:repeat(?:ed)?|rpt\.?) (?=[x×] ?\d|\d{1,2}(?: times| x|x|$))/giu, ''],
  ['~', /(?<=\p{L} )~ ?(?=\d{1,2}(?:$|[ x]))/gu, 'about '],
  ['min', /(?<=\p{L} )(?<!\b(?:an?|one|two|three|four|five|six|seven|eight|ten) )min\.? (?=\d{1,2}$)/giu, 'at least '],
  ['alt.', /\balt\.(?=$|[ ,)])/gi, 'alternating'],
  [
    'reverse',
    /\b(\d{1,2})(?: times| x|x)?(?:,| and|, and)?(?: then)? reverse(?:d| direction)?(?=$|[ .,;)])/gi,
    '$1 each way',
  ],
  ['min', /\b(\d{1,2}:\d{2}) ?min(?:ute)?s?\b/gi, '$1'],
  ['hold:', /\bhold: (?=\d)/gi, 'hold '],
  ['stay', /(?<=\p{L} )stay(?: there| here)?(?: for)? (?=\d)/giu, 'hold '],
  ['all the way through', /(?<=\p{L} )all the way through(?=[ ,]+\S+(?: times| x|x)?$)/giu, ''],
  ['(or ', /\b(\d{1,2}) \(or (\d{1,2})\)/gi, '$1 ($2 if time)'],
  ['if ', /\b(\d{1,2}), (\d{1,2}) (?=if (?:there is |there['’]s )?time$)(.+)/gi, '$1 ($2 $3)'],
  ['side|leg|arm|foot|hand|way', /\be\.? (?=(?:side|leg|arm|foot|hand|way)\b)/gi, 'each '],
  ['once ', /\bonce (?:per|a|every|each|with every|with each|on every|on each) breath,? (?=for\b)/gi, ''],
  [
    'least|less|fewer',
    /\b(?:at least|no(?:t)? (?:less|fewer) than) ([\p{L}\d]{1,12})((?: (?:s|secs?|seconds|mins?|minutes|times|rounds))?)(?:,| and| but)* (?:at most|no(?:t)? more than|up to) ([\p{L}\d]{1,10})\b/giu,
    '$1-$3$2',
  ],
  [
    'once',
    /^(?:i |we )?(?:show|demo|demonstrate)(?:s|ed)? ([^,.;]{2,50}?) once,? (?:and |then )*(?:(?:they|you|everyone|everybody|we)(?: all)? (?:copy|follow|do|join|repeat)(?: me| it| that| in)* |(?=\S+ times\b.*\btogether\b))/gi,
    '$1 ',
  ],
  [':', /(?<![\d:]):(\d{2})(?=\s|[,.)]|$)/g, '$1 s'],
  [' & ', new RegExp(` & (?=(?:a half|a quarter|then|\\d{1,2}|${NUMBER_IN_WORDS})\\b)`, 'gi'), ' and '],
  [', & ', /, & (?=(?:then|we|each|i|you|they)\b)/gi, ', and '],
  ['a side', /\b(on|to|for) a side\b/gi, 'each side'],
  ['set', /\b(\d{1,2}) ?(?:reps|times|rounds),? (?:[x×] ?|for |in )?(\d) ?sets?\b/gi, '$2 sets of $1'],
  ['set', /\b(\d) sets?,? [x×]? ?(\d{1,2}) ?(?:reps|times)\b/gi, '$1 sets of $2'],
  [
    'set of',
    new RegExp(`\\b(?:an?|one) set of (\\d{1,2}|${NUMBER_IN_WORDS})(?! ?(?:reps|times|rounds|[x×]|breaths)\\b)`, 'gi'),
    '$1 times',
  ],
  [
    'half a dozen',
    /\bhalf a dozen(?: times)?(?=$|[ ,.;)](?! ?\p{L}+s\b)|,? (?:each|per|on|either|left|right|both|alt))/giu,
    '6 times',
  ],
  [
    ' = | … | ... ',
    new RegExp(
      `(?<=\\p{L}|\\))(?<!(?:reps|repetitions|rounds|times?|sets?|counts?|number|duration|length|total|sides?|breaths|amount|dose)) (?:=(?! ?(?:1|one)\\b)|…|\\.{3}) (?=(?:(?:for|about|around|at least|up to|approx\\.?|repeat|do it|on|(?:each|ea\\.?|per|either|both) \\p{L}+,?|left|right|l/r|and|then|alternating(?: sides)?,?) )*(?:[x×~] ?)?(?:\\d|½|(?:an?|half|once|twice|${NUMBER_IN_WORDS})\\b))`,
      'giu',
    ),
    ', ',
  ],
  ['ish', /\b(\d{1,3}) ?-ish\b/gi, '$1'],
  ['-min|-sec|-hour', new RegExp(`\\b(\\d{1,3}|${NUMBER_IN_WORDS})-(min|minute|sec|second|hour)s?\\b`, 'gi'), '$1 $2'],
  ['/|+|:', /^((?:[-–*•·] )?)(\d{1,2}) ?[/+:] ?\2[.]?$/gu, '$1$2 each side'],
  ['(each|(per|(both', /\b(\d{1,2}) \((?:each|per|both) (side|leg|arm|hand|foot|way|direction)s?\)/gi, '$1 each $2'],
  [
    'left|right',
    new RegExp(
      `^((?:[-–*•·] )?)(left|right) (\\d{1,2}|${NUMBER_IN_WORDS})(?:,| and|, and|, then) (?!\\2)(?:left|right) \\3[.]?$`,
      'gi',
    ),
    '$1$3 each side, starting $2',
  ],
  ['rd', /(?<=\d) rds?(?=$|[ ,.;)])|(?<=\d)rds(?=$|[ ,.;)])/gi, ' rounds'],
  ['half', /(?<!\b(?:every|each|the|last|first|a|one|and|per) )\bhalf (?=min(?:ute)? )/gi, 'half a '],
  ['dir', /\b(each|per|both) dirs?\b\.?/gi, '$1 directions'],
  ['incl', /\bincl\. ?/gi, 'including '],
  ['w. ', /\bw\. (?=\p{Ll})/gu, 'with '],
  ['e/w', /\be\/w\b\.?/gi, 'each way'],
  ['/s', /\b[ep]\/s\b\.?/gi, 'each side'],
  ['b/s', /\bb\/s\b\.?/gi, 'both sides'],
  ['approx', new RegExp(`\\bapprox\\. ?(?=[~\\d½]|(?:an?|half|${NUMBER_IN_WORDS})\\b)`, 'gi'), 'about '],
  ['c.|ca.', new RegExp(`\\bc(?:a|irca)?\\. ?(?=\\d|(?:${NUMBER_IN_WORDS})\\b)`, 'gi'), 'about '],
  ['inh', /\binh\b\.?/gi, 'inhale'],
  ['exh', /\bexh\b\.?/gi, 'exhale'],
]);

/** Those that no number has to stand in. */
const WITHOUT_NUMBER = SHORT_FORMS.filter(({ written }) => !written.source.includes('\\d'));

interface Form {
  readonly needs: readonly string[];
  readonly written: RegExp;
  readonly meant: string;
}

function withNeeds(forms: readonly ShortForm[]): readonly Form[] {
  return forms.map(([needs, written, meant]) => ({ needs: needs.split('|'), written, meant }));
}

/** A line with all of these forms replaced. What a form needs is looked for first, as most stand in no line. */
function replaced(line: string, forms: readonly Form[]): string {
  let [text, small] = [line, line.toLowerCase()];
  for (const { needs, written, meant } of forms) {
    if (!needs.some((one) => small.includes(one))) continue;
    const next = text.replace(written, meant);
    if (next !== text) [text, small] = [next, next.toLowerCase()];
  }
  return text;
}

/** Small pictures before a line, or a number in a frame. */
const PICTURES =
  /^(?:(?!\d)\p{Emoji_Presentation}|\p{Extended_Pictographic}|[\u{FE0F}\u{200D}\u{1F3FB}-\u{1F3FF}]|\d\uFE0F?\u20E3){1,6}\s*/u;

/** Small pictures behind a line. */
const PICTURES_BEHIND =
  /(?<=\S)\s*(?:(?!\d)\p{Emoji_Presentation}|\p{Extended_Pictographic}|[\u{FE0F}\u{200D}\u{1F3FB}-\u{1F3FF}]|:-?[)D(]|;-?\)){1,6}\s*$/u;

function withoutPictures(text: string): string {
  if (!/[^\u0000-\u007F]|[:;]-?[)D(]/.test(text)) return text;
  return text
    .replace(/^\s*⚠\uFE0F? ?(?!\p{L}+:)(?=\p{L})/u, 'Caution: ')
    .replace(/(?<=[\p{L}\d).!])\s*⚠\uFE0F? ?(?!\p{L}+:)(?=\p{L})/u, '. Caution: ')
    .replace(PICTURES, '')
    .replace(PICTURES_BEHIND, '');
}

/** Stars, strokes and ticks around words of a note, as plain-text notes set them off; what is struck out is gone. */
export function withoutMarkup(text: string): string {
  if (!/[*_~`]/.test(text)) return text;
  const kept = text.replace(/~~[^~]{1,120}~~\s*/g, '');
  return (kept.trim() === '' ? text : kept).replace(/\*\*|__|~~|`/g, '').replace(/(^|[\s(])[*_](?=[\p{L}\d])|(?<=[\p{L}\d.:!?])[*_](?=$|[\s).,:;])/gu, '$1'); // prettier-ignore
}

/** "x8 *elbows low*": words that are set off behind an amount stand in brackets. */
function setApart(text: string): string {
  if (!/[*_]/.test(text)) return text;
  return text.replace(/(?<=[\d)] |(?:\dx|times|reps|rounds|side|min|minutes|leg|way) )[*_]{1,2}((?![x×] ?\d)\p{L}[^*_]{3,80})[*_]{1,2}\.?$/u, '($1)'); // prettier-ignore
}

/** "6 e/w" as "6 each way", "inh" as "inhale", "x eight" as "x 8"; "[pause 5]" in round brackets. */
export function spelledOut(text: string): string {
  const plain = withoutMarkup(withoutPictures(setApart(text)));
  const dashed = withoutCounting(withDashes(plain === '' ? text : plain));
  const forms = HAS_NUMBER.test(dashed) ? SHORT_FORMS : WITHOUT_NUMBER;
  const spelled = inRoundBrackets(inFigures(replaced(dashed, forms)));
  return HAS_NUMBER.test(spelled) ? withBothSides(withMoreIf(spelled)) : spelled;
}

/** "1 casting off, 2 hauling, 3 trimming": numbers that count names in one line, and nothing that is done. */
const COUNTED_NAME = /(?<=^|[:,;(] |[–-] )(\d{1,2})[.)]? (?!(?:x|times|rounds?|reps?|s|secs?|seconds?|m|mins?|minutes?|breaths?|each|left|right|l|r)\b)(?=\p{L}{3})/giu; // prettier-ignore
const COUNTED_AT_LEAST = 3;

function withoutCounting(text: string): string {
  const numbers = [...text.matchAll(COUNTED_NAME)].map(([, number]) => Number(number));
  const counts = numbers.length >= COUNTED_AT_LEAST && numbers.every((one, at) => one === at + 1);
  return counts ? text.replace(COUNTED_NAME, '') : text;
}

/** "start with 1 min, if they look ok 3", "2 min, 3 if time": from one to the other. */
const MORE_IF =
  /(?:(?:start(?:ing)?|begin(?:ning)?) (?:with|w|at|from) )?(\d{1,3}) ?(min(?:ute)?s?|m|s|secs?|seconds?|x|times|rounds)\b[,;]? ?\(?(?:if [^,()\d]{2,30}?,? (?:(?:go (?:up )?to|up to|then|do|make it|to) )?(\d{1,3})|(?:up to |maybe |even )?(\d{1,3}) if [^,()\d]{2,30})(?: ?\2)?\)?/i;

function withMoreIf(text: string): string {
  if (!/\bif\b/i.test(text)) return text;
  return text.replace(MORE_IF, (all, least: string, unit: string, more?: string, most?: string) => {
    const to = more ?? most ?? '';
    return Number(to) > Number(least) ? `${least}-${to} ${unit}` : all;
  });
}

/** "5 circles R foot, 5 circles L foot": so many each foot. */
const EACH_FOOT =
  /\b(\d{1,2}) (\p{L}{3,}s) (?:(?:on |with )?(?:the )?)(right|left|r|l) (foot|leg|arm|hand|side)[,;]? (?:and |then )*\1 (?:\2 )?(?:(?:on |with )?(?:the )?)(right|left|r|l)(?: \4)?(?![\p{L}\d])/iu;

/** "(L then R = 1)", "both sides count as one": of each side so often. */
const BOTH_ARE_ONE =
  /[,;]? ?\(?(?:(?:l|left|r|right) ?(?:then|and|&|\+|\/) ?(?:r|right|l|left)|both (?:sides|legs|arms)|one (?:on )?each side) ?(?:together )?(?:=|is|are|makes?|counts? (?:as|for)) ?(?:1|one)(?: (?:round|rep|time))?\)?(?=[\s.,;)]|$)/iu;

function withBothSides(text: string): string {
  return text
    .replace(BOTH_ARE_ONE, ' each side')
    .replace(EACH_FOOT, (all, often: string, what: string, first: string, of: string, second: string) => {
      const [one, other] = [first, second].map((side) => side.charAt(0).toLowerCase());
      return one === other ? all : `${often} ${what} each ${of}${one === 'r' ? ', starting right' : ''}`;
    });
}

/** "Bow [6x]" as "Bow (6x)". */
export function inRoundBrackets(text: string): string {
  return text.includes('[') ? text.replace(SQUARE, '$1($2)') : text;
}

/** Square brackets in a line and around one; "[ ]" and "[x]" before it are boxes to tick, "[04:30]" when it is. */
const SQUARE = /(^|.)(?<!^\s*(?=\[\d{1,2}:\d{2}(?::\d{2})?\] ))\[([^\][]{2,60}|(?<=.\[)\d|(?<=.\[)\d\d)\](?!\()/gu;
/** A long dash behind a breath, or in a line with an amount, as one between blanks. */
function withDashes(text: string): string {
  if (!text.includes('—')) return text;
  if (!HAS_NUMBER.test(text))
    return text.replace(/^((?:[a-z][.)] )?(?:in|out|inhale|exhale)) ?— ?(?=\p{L})/iu, '$1 – ');
  return text.replace(/ ?— ?(?=\S)/g, ' – ');
}
const NUMBER = `\\b(${NUMBER_IN_WORDS})\\b`;
const HAS_NUMBER = new RegExp(`\\d|${NUMBER}|\\b(?:once|twice|half|minute)\\b`, 'iu');
/** A number in words where only a count can stand: "x eight", "eight x", "six ea", "pause ten s", "four + four". */
const WORDED = [
  new RegExp(`(?<=(?:^|[\\s(])[x×] ?)${NUMBER}`, 'giu'),
  new RegExp(
    `(?<![-–]|\\b(?:to|or|and) )${NUMBER}(?= ?×| x(?=$|[\\s).,])| (?:ea\\b|s\\b(?!['’])|e/[swl]\\b|per side|a side))`,
    'giu',
  ),
  new RegExp(`(?<=^[([]?pauses?:? )${NUMBER}(?=[)\\].]*$)`, 'giu'),
  new RegExp(`(?<=\\b(?:rounds|reps|times|repetitions): ?)${NUMBER}`, 'giu'),
];
const WORDED_TWICE = new RegExp(`${NUMBER}( ?[+&/] ?| (?:and|n) )\\1\\b(?= *(?:$|[.,;)]))`, 'giu');

const ANY_WORDED = new RegExp(NUMBER, 'iu');

function inFigures(text: string): string {
  if (!ANY_WORDED.test(text)) return text;
  const figure = (word: string): string => String(NUMBER_WORDS.get(word.toLowerCase()) ?? word);
  return WORDED.reduce((line, form) => line.replace(form, figure), text).replace(
    WORDED_TWICE,
    (_, word: string, joint: string) => `${figure(word)}${joint}${figure(word)}`,
  );
}
