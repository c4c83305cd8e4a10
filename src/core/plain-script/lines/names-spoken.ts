import { reading, type Reading } from '../model/reading';

/*
 * Sentences that name what comes next: "Movement one is called Lifting the Lantern.", "Now we come to Sinking the Anchor.",
 * "Heron on the Rail, first the left leg."
 */

const NUMBER = '(?:one|two|three|four|five|six|seven|eight|nine|ten|\\d{1,2})';
const ORDINAL = '(?:first|second|third|fourth|fifth|sixth|seventh|eighth|next|last|final|new)';
const THING = '(?:movement|exercise|form|posture|piece|one|move|practice)';
/** "Movement one is called Lifting the Lantern.", "Our next movement is Turning the Wheel." */
const IS_CALLED = new RegExp(
  `^(?:(?:(?:and|now|so|ok|okay|right),? )*(?:the |our |your )?${ORDINAL} ${THING}(?: today| for today)?|${THING} (?:number )?${NUMBER}|this (?:next )?${THING}|this)(?: is|['’]s)(?: called| named| known as|:)? (?:the )?["“]?(\\p{Lu}[\\p{L}'’]*(?: [\\p{L}'’-]+){1,6})["”]?[.!]?$`,
  'iu',
);
/** "Now we come to Sinking the Anchor." */
const COMES_TO =
  /^(?:(?:and|so|then|now|next|ok|okay),? )*(?:(?:we|I)(?:['’]ll| will)? (?:come|move|go|turn|move on|go on) (?:on |in)?to|(?:next|now)? ?(?:comes|is|up is)|here (?:comes|is)|let['’]?s (?:do|try|move (?:on )?(?:in)?to|begin with|start with))(?: the movement| the exercise)?,? (?:the )?["“]?(\p{Lu}[\p{L}'’]*(?: [\p{L}'’-]+){1,6})["”]?[.!]?$/iu;
/** "Heron on the Rail, first the left leg." */
const NAME_AND_SIDE =
  /^(\p{Lu}[\p{L}'’]*(?: [\p{L}'’-]+){1,6}), (?:we )?(?:first|start(?:ing)?|begin(?:ning)?)(?: with| on| to)?(?: the)? (left|right)(?: (?:side|leg|arm|foot|hand))?(?: first)?[.!]?$/iu;
const TITLE_CASE = /^\p{Lu}\S*(?: (?:\p{Lu}\S*|the|of|a|an|in|on|to|and|with|like|its|his|her|your))*$/u;

/** The movement that a sentence names, and the sentence, which is said before its rounds; `null` for any other. */
export function namedIn(body: string): readonly Reading[] | null {
  const called = CALLED.exec(body)?.[1];
  if (called !== undefined) return [{ ...reading('movement', called, {}, true), heads: true }, { ...reading('said', body), sets: { before: body } }]; // prettier-ignore
  const [, led, side] = NAME_AND_SIDE.exec(body) ?? [];
  if (led !== undefined && side !== undefined && TITLE_CASE.test(led))
    return [{ ...reading('movement', led, { startSide: /^r/i.test(side) ? 'right' : 'left' }), heads: true }, { ...reading('said', body), sets: { before: body } }]; // prettier-ignore
  const name = (IS_CALLED.exec(body) ?? COMES_TO.exec(body))?.[1] ?? '';
  if (name === '' || !TITLE_CASE.test(name) || !/ \p{Lu}/u.test(name)) return null;
  return [
    { ...reading('movement', name), heads: true },
    { ...reading('said', body), sets: { before: body } },
  ];
}

/** "now the first exercise is called scooping the tide", in small letters. */
const CALLED =
  /^(?:(?:so|and|now|ok|okay|then|next) )*(?:the |our |your )?(?:(?:first|second|third|fourth|fifth|next|last|final|new) )?(?:movement|exercise|form|posture|one|move)(?: today)? (?:is|was) (?:called|named) (?:the )?(\p{L}[\p{L}'’-]*(?: [\p{L}'’-]+){0,5})[.]?$/iu;
