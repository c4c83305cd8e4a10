import { reading, type Reading } from '../model/reading';

/*
 * A caution below a movement by what it tells, without a label: of whom it is no movement for, when to leave it, and what
 * to do where somebody is unwell. What is told to everybody ("Soften the knees.") is said.
 */

const LONGEST = 160;

/** What people have that a movement is changed or left for; the kinds of `docs/checks.md`, as people write them. */
const CONDITION =
  '(?:(?:high|low|raised|very high) (?:blood[- ]?pressure|bp)|hbp|blood[- ]?pressure|glaucoma|pregnan(?:t|cy)|osteoporosis|osteopenia|arthritis|hernias?|vertigo|dizziness|epilepsy|asthma|sciatica|pacemakers?|slipped disc|strokes?|migraines?|(?:tennis|golfer.?s) elbow|bunions?|fibromyalgia|parkinson.?s|osteoarthritis|rheumatism|gout|cataracts?|thrombosis|varicose veins|prolapse|carpal tunnel|whiplash|scoliosis|tinnitus|frozen shoulders?|diabetes|heart attacks?|(?:high )?(?:eye )?pressure in the eyes?|(?:heart|lung|eye|back|knee|hip|neck|shoulder|wrist|ankle|elbow|hand|foot|leg|thumb|balance|joint) (?:trouble|problems?|conditions?|disease|issues?|pain|injur(?:y|ies)|surgery|operations?|replacements?|complaints?)|(?:new|replaced|artificial|bad|sore|stiff|weak|painful|tender|inflamed|operated|injured|dodgy|frozen|sensitive|poor|tight|unstable) (?:hips?|knees?|backs?|lower backs?|necks?|shoulders?|wrists?|ankles?|joints?|feet|hearts?|bones?|balance)|(?:after )?(?:an? |any )?(?:recent |fresh |hip |knee |back |heart |eye |cataract |shoulder )+(?:surgery|operations?|op|injur(?:y|ies)|falls?|stroke))';
/** How somebody is who should stop or sit down. */
const UNWELL =
  '(?:dizz(?:y|iness)|light[- ]?head(?:ed|edness)|faint(?:ing)?|giddy|sick|nausea|unwell|ill|breathless(?:ness)?|out of breath|short of breath|pain(?:ful)?|hurts?|(?:sharp|any) pain|chest pain|numb(?:ness)?|unsteady|wobbly|shaky(?: on (?:your|the|their) (?:legs|feet))?|weak)';
const WHO = '(?:any(?:one|body)|people|those|somebody|someone|students?|whoever|everyone|if you|if they|who)';
const HAS =
  '(?:with|after|who (?:has|have|is|are|gets?|feels?|becomes?|suffers? from)|(?:have|has|are|is|had|were|gets?|feels?|becomes?))';

/** What each of them has; most lines have none of it. */
const MAY_CAUTION = new RegExp(
  `\\b(?:${CONDITION}|${UNWELL}|n\\.?b\\b|skip|omit|avoid|watch|mind|care|leave|miss|easy|beware|after|patients|if (?:the|your))`,
  'i',
);

const FORMS: readonly RegExp[] = [
  // "Glaucoma: do not lower the head", "Bad knees – stay higher".
  new RegExp(
    `^${CONDITION}(?: (?:sufferers|patients|people|group))?(?:(?:,| and| or| ?/) ${CONDITION})*(?: ?[:=?]| ?->| [–—-]|,) (?=\\p{L})`,
    'iu',
  ),
  // "With vertigo keep the eyes open".
  new RegExp(`^(?:with|for|in case of) (?:an? |any |your )?${CONDITION}[,:]? \\p{L}`, 'iu'),
  // "Not for people with a new hip", "Not suitable with glaucoma", "Not after surgery".
  new RegExp(`^not\\b(?=.{0,50}\\b(?:for|with|if|when|after|in|during)\\b).{0,60}\\b${CONDITION}`, 'iu'),
  // "Skip this if you are pregnant", "Avoid with high blood pressure".
  /^(?:skip|omit|leave (?:this |it )?out|miss(?: out)?|avoid)(?: (?:this|it|these|that|the \p{L}+)(?: (?:one|movement|exercise|part|step))?)?,? (?:if|when|with|where|in case|during|for|after)\b(?!.*\b(?:time|late|long|short|over|running|needed|like|wish|want|know|weather|rain\p{L}*|cold|hot|early)\b)/iu,
  new RegExp(`^avoid\\b.{0,50}\\b(?:if|with|when)\\b.{0,40}\\b(?:${CONDITION}|${UNWELL})`, 'iu'),
  // "Anyone with bad knees stays higher".
  new RegExp(`^${WHO} (?:${HAS} )?(?:an? |any |your |the )?(?:\\p{L}+ )?${CONDITION}\\b`, 'iu'),
  // "Those who get dizzy keep their eyes open", "If pregnant, no deep squat", "Injured? Watch this one".
  new RegExp(`^${WHO} ${HAS} (?:${UNWELL}|pregnant|injured|recovering)\\b,? \\p{L}`, 'iu'),
  /^(?:if|when) (?:you(?: are|['’]re)? |they(?: are|['’]re)? )?(?:pregnant|injured|recovering|in pain|not well)\b,? \p{L}/iu,
  /^(?:pregnant|injured|recovering|operated|in pain|not well|unwell)\? ?\p{L}/iu,
  // "Don't do this one if you are dizzy".
  new RegExp(
    `^(?:don['’]t|do not|please don['’]t|never) (?:do|try|join|take) (?:this|it|that|the)(?: \\p{L}+){0,2} (?:if|when|with|after)\\b.{0,24}\\b(?:${CONDITION}|${UNWELL})`,
    'iu',
  ),
  // "After a heart attack no squats".
  new RegExp(`^after (?:an? |any |your )?${CONDITION}(?:,| no\\b| not\\b| only\\b| ask\\b| do\\b)`, 'iu'),
  // "If the hip clicks, smaller".
  /^if (?:the|your|an?|any) (?:hips?|knees?|backs?|lower back|necks?|shoulders?|wrists?|ankles?|joints?) (?:clicks?|hurts?|complains?|aches?|pinch(?:es)?|grumbles?|swells?|twinges?),? \p{L}/iu,
  // "Stay upright if you have glaucoma", "Take it easy with frozen shoulders".
  new RegExp(
    `^(?!no\\b|.*\\b(?:good|great|helps?|heals?|eas(?:es|ing)|reliev|improv|benefit|lowers|better|cures?)).{4,60}\\b(?:if|with|for|when|after|in case of) (?:.{0,16} )?(?:an? |any |your |the )?${CONDITION}[.!]?$`,
    'iu',
  ),
  // "NB: hold on to the chair if unsteady".
  new RegExp(`^n\\.?b\\.?[:,!]? .*\\b(?:${CONDITION}|${UNWELL}|not|never|stop|avoid|careful)\\b`, 'iu'),
  // "Dizzy people sit", "Pregnant women keep the feet wide".
  /^(?:dizzy|unsteady|pregnant|unwell|breathless|heart|stroke|asthma|migraine) (?:people|patients|students|ones|women|mothers) \p{Ll}/iu,
  // "Painful wrists keep fists".
  /^(?:bad|sore|painful|arthritic|weak) (?:knees|backs?|hips|necks?|shoulders|wrists|ankles|hands) \p{Ll}/iu,
  // "Watch out for dizziness", "Take care with the lower back".
  new RegExp(
    `^(?:watch(?: out)? for|beware of|look out for|mind|signs of) (?:any )?(?:${UNWELL}|${CONDITION})\\b`,
    'iu',
  ),
  /^(?:take (?:special |extra |great )?care|(?:be )?(?:very )?careful|go (?:easy|gently)|easy) (?:with|on|of|if) (?:the |your |any )?(?:(?:lower|sore|bad|stiff|upper|weak) )?(?:knees?|backs?|necks?|hips?|shoulders?|wrists?|ankles?|spine|joints?|balance|dizz\p{L}+)\b/iu,
  // "Dizzy? Sit down", "Dizzy = stop".
  new RegExp(`^${UNWELL} ?(?:\\?|:|=|->|→| [–—-]|,) (?=\\p{L})`, 'iu'),
];

const OF_CONDITION = new RegExp(`\\b${CONDITION}`, 'iu');

/** A caution without a label, in a line below a movement; uncertain where it names no condition. `null` for another line. */
export function cautionTold(body: string): Reading | null {
  if (body.length > LONGEST || !MAY_CAUTION.test(body) || !FORMS.some((form) => form.test(body))) return null;
  return reading('caution', body, {}, !OF_CONDITION.test(body));
}
