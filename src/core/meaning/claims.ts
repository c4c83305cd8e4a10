import { itemAt } from '@/core/units';
import { patternsFor, type Found } from './meanings';
import { scoreFor } from './learned/score';
import { ofThoseHere } from './of-others';
import { speaksFor } from './speaks-for';

/** What is claimed for health, and a sentence that may stand instead. */
export interface Claim {
  readonly from: number;
  readonly to: number;
  /** The sentence that holds it. */
  readonly sentence: { readonly from: number; readonly to: number };
  readonly plainer: string;
}

/*
 * Who does what to which part of the body: claims of cure, of better organs and systems, of sleep, moods and years, and
 * of safety for somebody. Own lists, common practice: which claims may be made is decided by local rules.
 */
const FAMILIES: readonly { readonly plainer: string; readonly written: readonly string[] }[] = [
  {
    plainer: 'It may feel good.',
    written: [
      '@cure ..4 @illness',
      '@cure|reduce|lessen|soothe ..3 @sore|@condition|frozen|tennis @joint|@illness',
      'cure|heal|remedy ..2 everything|anything|it|disease|body|@organ|@joint|wound|yourself',
      'cure|remedy|=heals|medicine for ..3 @illness|@condition|@organ|@joint',
      '@organ|@joint|@illness|body|=cell|=cells ..3 cured|healed|healing|renewed',
      'goodbye =to ..2 @illness',
      '=heals|=cures|=cured|=treats',
      '@illness ..3 gone|disappear|vanish|leave|away|cured|end',
      '=get|=gets|rid|no|wont|never|without ..4 back|knee|neck|joint|=any|=more pain|ache|arthritis',
      'get rid of ..3 @illness|toxin',
      'help|helps|good|great|wonderful|works|work|effective|magic with|for|on|against ..2 @illness',
      'help|helps ..1 @illness',
      'sort|clear|fix|straighten out|up ..3 @illness',
      'stop|prevent|protect ..4 @illness',
      '=treats|=treat ..3 elbow|shoulder|back|hip|knee|neck|sciatica',
      'never ..2 ill|sick',
      'better ..1 than ..1 medicine|pill|drug|medication|tablet|doctor',
      '=off|without|=no|=fewer|=less ..4 tablet|pill|medication|medicine',
      'ward|wards|keep|keeps|drive|chase ..3 off|away|out ..2 @illness',
      'keep|keeps|hold|holds ..2 @illness ..1 =at =bay',
      '@illness ..2 return|returns|=back|come|comes ..2 again|anymore|once|=back',
      'sort|sorts|fix|fixes ..1 =it|=this|=that|=them',
      'throw|throws|threw|thrown|bin|binned ..2 =away|=out ..3 inhaler|tablets|pills|medicine|crutches|stick|glasses',
      'inhaler|pills|tablets|crutches|insulin ..3 =away|=bin|need|needed',
      'keep|keeps|ward|wards|chase ..2 @illness ..2 away|off|out',
      'wonders|miracle|miracles ..1 for',
      '@illness ..1 =gone|=goes|leave|leaves|ends|flies',
      'drive|drives|send|chase|push ..2 @illness ..1 =out|away|off',
      'bones|heart|skin|lungs|knees|spine =of ..4 old|child|teenager|youngster',
      'rebuild|rebuilds|regrow|regenerate|regenerates ..3 cartilage|bone|bones|nerve|nerves|joint|joints|tissue|muscle|@organ',
      'shown|proven|proved|known =to ..2 @better|@cure|help|ease',
      'lower|reduce|cut|halve ..2 risk|chance ..3 @illness|fall|falls|heart|stroke',
      '@illness patient? get|gets|recover ..1 better|faster|well',
      '=good|=great|=best|=helps|=help =for|=with|=against ..1 @sore',
      '=against ..1 @illness',
      'never|=no|=not need|needs ..2 =new ..1 @joint',
      'fear|fears =no ..1 @illness',
      'never|=no ..2 =again|=more ..2 @illness|=have|=get',
      'guarantee|guaranteed',
      '@illness ..2 lifts|lifted|melts|fades|yields|flees|surrenders|vanishes|dissolves|evaporates|retreats',
      '@illness ..2 =no ..1 chance|hope|place|home',
      'mend|mends|rebuild|rebuilds|repair|repairs|regrow|regrows|knit|knits ..3 cartilage|tendon|tendons|ligament|ligaments|nerve|nerves|bone|bones|tissue|disc|discs',
      'dissolve|dissolves|shrink|shrinks|melt|melts|destroy|destroys|kill|kills ..3 @illness|stone|stones|tumour|tumours|cyst|cysts|plaque|germs|cells',
      'never|wont|=without ..3 need ..3 =knee|=hip|glasses|=pills|stick|operation|surgery|hearing',
      '=leave|throw ..3 glasses|crutches|stick|walker ..3 =home|=away|=behind|=corner',
      'keep|keeps ..3 @organ|@system|@joint ..1 healthy|young|strong|clean|supple',
      'keep|keeps ..2 dementia|cancer|flu|colds|arthritis|doctor ..3 =away|=off|=bay|=distance',
      'lengthen|lengthens|prolong|prolongs|add ..3 =life|=years',
      'live ..3 =longer|ninety|hundred',
      'wound|wounds|scar|scars|bruise|bruises|fracture|fractures ..2 heal|heals|close|closes|faster|knit',
      'strengthen|strengthens|boost|boosts|fortify|fortifies ..2 immunity|immune|defences|defenses|resistance|constitution',
      'balance|balances|regulate|regulates|harmonise|harmonises|reset|resets ..2 hormone|hormones|thyroid|metabolism|meridians|glands|=sugar',
      'blood =sugar|=pressure ..4 =down|=drops|=falls|=normal|=sinks|itself',
      'keep|keeps ..1 =doctor|=doctors ..1 =away',
      '=this|=one|=ones ..2 for ..1 sleep|@system|@illness|@organ',
      'take|takes|draw|draws ..2 =pain|=ache|=stiffness ..2 =out|=from|=away',
      '=no|=without side effects',
      '=its|=is =medicine',
      '=relieves|=eases|=soothes|=heals|=fixes ..2 @joint|@illness',
      'protect|protects|protection|immunity ..1 from|against ..2 @illness|falls',
      'doctor|doctors|physio|physiotherapist|pharmacist ..4 =out =of work|=job|business',
      'doctor|doctors ..4 surprised|amazed|astonished',
      '!doctor|doctors ..4 =not|=never surprised',
      'nobody|none|whoever ..6 needs|need ..2 tablets|pills|medicine|medication|doctor|operation',
      'forget ..2 replacement|replacements|operation|operations|surgery|pills|tablets',
      '!dont|not|never|please|=to forget',
      'nobody|whoever ..6 gets|catches ..1 @illness|=flu|colds',
      'never has|had|gets ..2 trouble|problems|complaints',
      'cancer|tumour|tumor|growth ..2 stopped|shrank|shrunk|growing|disappeared|vanished',
      'reverse|reverses|undo|undoes ..2 damage|ageing|aging|decline|harm',
      'lungs|capacity ..1 double|doubles|doubled',
      'varicose|veins|tremor|snoring|wrinkles|tinnitus ..2 disappear|disappears|stop|stops|gone|vanish|fade|fades',
      'stop|stops|end|ends ..1 tremor|snoring|tinnitus|migraines',
      'banish|banishes ..1 tiredness|fatigue|exhaustion|pain|@illness',
      'skip|drop|leave ..4 sleeping ..1 pill|pills|tablet|tablets',
      'clinically|scientifically|medically proven',
      'science|scientist|study|research|researcher|doctor ..3 prove|proved|proven|show|recommend|swear|confirm',
      'never|wont|=no ..4 @sore ..1 @joint',
      '=worth|=better ..4 tablets|pills|medicine|medication|physiotherapy|physio|surgery|therapy',
      'had =no ..1 colds|flu|headaches|@illness ..2 since|=at|=any',
      'since ..6 =no|never ..1 colds|flu|headaches|migraines',
      'protect|protects ..2 @joint|@organ ..2 from|against ..1 wear|wearing|age|ageing|@illness',
      'straightens ..3 spine|posture',
      '@illness|=illness ..1 =cant|cannot ..1 stay|live|survive',
      'take|takes ..2 @illness|veins ..2 =away',
      'restore|restores ..2 hearing|sight|eyesight|vision',
      'ease|eases ..1 labour|childbirth|birth',
      '=never|=wont|=not ..3 =be|=get|=fall ..1 =sick|=ill',
      '=never ..1 have|catch|get|see ..2 @illness ..1 =again|=anymore',
      '=never harms|harm',
      'remove|removes|dissolve|dissolves ..2 blockages|blockage',
      'helped|cured|healed ..3 =people ..2 =with|=of ..1 @illness|=parkinsons|=alzheimers',
      '@joint ~6 stop|stops hurting',
      'used ..3 against ..1 fever|@illness',
    ],
  },
  {
    plainer: 'It gets things moving.',
    written: [
      'good|great|wonderful|excellent|beneficial for|to ..2 @organ|@system|@joint',
      'keep|keeps|make|makes ..2 arteries|vessels|veins|joints|tendons ..1 young|younger|supple|healthy|clean|strong|stronger',
      'sort|sorts|settle|settles ..1 =out? ..3 @organ|@system',
      '=lowers|=lower|=reduces ..3 =pressure|=cortisol|=cholesterol',
      '=clears ..2 sinuses|=lungs|=arteries|=skin',
      '@cleanse ..3 @organ',
      '@cleanse|drain ..2 @system',
      '@system|@organ|arteries ..2 thank =you',
      '=great|=good|=excellent for ..1 @organ|@system',
      '@cleanse ..3 toxin',
      'flush|remove|release|expel|draw|get ..3 toxin',
      'detox|detoxify',
      'unblock|unblocks|clear|clears|free|frees|empty|empties ..3 stuck|blocked|blockage|blockages|@organ',
      'blood sugar|cholesterol|pressure ..3 =down|=right|=normal|=under',
      'thymus|spleen|gland|glands|hormones|immune ..2 =up|awake|working|active',
      'wake|wakes|activate|activates|feed|feeds ..2 thymus|gland|glands|pituitary|marrow|@organ',
      'joint|joints|cartilage ..3 oiled|lubricated|healthy|nourished|fed',
      '@organ|@system|@joint ..1 love|loves|like|likes|adore|adores =this|=it|=that',
      'fight|fights ..1 @illness|infection|infections|germs|viruses',
      '!=call|=called|=calls|=name|=names|=named ..3 @cleanse ..3 @organ',
      '@organ ~6 =cleaned|=cleansed|=clean|=healed|=renewed|=happy|=grateful|=stronger|=younger',
      '=makes ..1 =blood|=heart|=liver|=lungs|=nerves ..1 thinner|calm|strong|stronger|clean|healthy|younger|better',
      '@organ|organs ..3 massaged|cleansed|detoxified|nourished|stimulated|toned|purified',
      '@better ..3 @system',
      '=boost|boost|strengthen|improve|stimulate|regulate|tonify|rejuvenate|activate|restore|stronger ..3 @organ',
      '=opens|=clears|=supports|=protects|=balances|=heals|=calms|=helps|=nourishes|=soothes ..2 @organ|nerve|nervous',
      'get|keep|make ..2 @organ|@system ..3 work|properly|again|healthy|young',
      '@system|=brain ..3 stronger|better|improve|improved|boosted|balanced|calmed|regulated',
      'improve|better ..3 way ..2 @organ|@system ..1 work',
      'lower|reduce|bring|keep|slow|drop ..3 blood pressure',
      'blood pressure ..2 down|lower|drops|falls|normal|normalise',
      'blood|oxygen ..3 brain|organ|heart',
      'burn|melt|lose ..2 fat|weight|kilo|kilos',
      'burn|burns ..2 calories',
      'lower|raise|boost|balance|regulate|reduce ..2 @system',
      'remember ..3 better',
      '@system|@organ ~8 =better',
      '@system|response ..2 up|stronger',
      'wake|kick|fire ..2 immune|immunity|metabolism',
    ],
  },
  {
    plainer: 'Many people like it at the end of a day.',
    written: [
      'sleep ..2 better|deeper|deeply|longer|soundly|=like',
      '!=i ..1 sleep',
      '=helps|=makes ..3 sleep',
      'sleep =through',
      '=no ..2 sleepless',
      'fall asleep ..2 faster|quickly|easily',
      'settle|calm|heal|cure|lift|transform|banish|dissolve|fix|still ..3 anxious|anxiety|depression|mood|mind|emotion|worry|grief',
      'mood ..3 transformed|lifted|better|improve|brightened|settled',
      'transform ..3 mood|life|health|body|mind|you',
      'stress|worry|tension|anxiety|sadness ..2 leave|melt|dissolve|disappear|gone|vanish|evaporate',
      'take|wash|melt ..3 stress|worry|depression|anxiety|sadness',
      'nerve ..2 calmed|settled|soothed|healed',
      'reduce|relieve|banish|kill ..2 stress',
      'add ..2 year',
      '=live ..1 longer|forever',
      'year|years ..2 younger',
      'iron|irons|smooth|smooths|smooth ..2 wrinkle|wrinkles',
      'lengthen|lengthens|prolong|prolongs|extend|extends ..2 life',
      'stay|look|keep|keeps ..1 young|younger',
      'slow|stop|reverse|slows ..2 age|ageing|aging',
    ],
  },
  {
    plainer: 'Do what feels easy, and ask your doctor if you are unsure.',
    written: [
      'safe|safely|harmless|suitable for|with|in|during ..2 everyone|everybody|anyone|anybody|people|you|all|@condition|@joint',
      '=with|during|after ..1 @organ|@condition|@illness ..6 safely|=safe',
      'safe|safely ..3 even ..4 @condition|@joint|if',
      'anyone|everyone|anybody|everybody ..2 do ..3 safely|even',
      'no|without|zero ..1 risk|danger|dangers',
      'nothing|=no ..8 anyone|anybody|you ..2 harm|injury|damage',
      '=no =way ..2 injure|hurt|harm',
      '!pain ..1 never hurt',
      'after|with ..2 replacement|surgery|stroke|fracture|@condition ..3 fine|okay|=ok|safe|harmless',
      '=perfectly|=completely|=totally|=absolutely|=entirely =safe',
      'nothing ..1 happen ..1 =to =you|=anyone|=anybody|=them',
      '=no =safer',
      'cannot|cant|never|wont ..2 hurt|harm|injure ..1 you|yourself|anyone|anybody|knee|back',
    ],
  },
];

const CLAIMS = FAMILIES.flatMap(({ written, plainer }) => written.map((one) => [one, plainer] as const));
const find = patternsFor(CLAIMS);

/** "People with back pain should leave this one out.": it is not the pain that leaves. */
const LEAVES_OUT = /\bleav(?:e|es|ing) (?:this|that|it|them|these|those)(?: \p{L}+)? out\b/iu;
const TROUBLE =
  '(?:pains?|aches?|trouble|problems?|sciatica|arthritis|injur(?:y|ies)|surgery|operations?|glaucoma|hernias?|vertigo|osteoporosis|asthma)';
/**
 * "No deep bends with back pain", "Stop at the first pain", "Contra: acute back pain": what somebody has is when to leave
 * something. "Stop back pain with this one" and "No more pills for back pain" promise something.
 */
const CAUTIONS = new RegExp(
  `^\\W*(?:(?:no|not|stop|skip|omit|careful|mind)\\b(?! more\\b)[^.!?]*?\\b(?:with|if|when|at|after|during)|contra\\p{L}*:?) (?:(?:the|any|your|an?|you have|first|acute|bad|sudden|sharp) )*(?:\\p{L}+ )?${TROUBLE}[.!]?$`,
  'iu',
);
/** "Your spine grows long.": how somebody stands, and nothing that heals. */
const STANDS = /^(?:the|your) (?:spine|neck|back|crown) grows? (?:long|tall|wide|light)[.!]?$/i;

/** What only looks like a claim: an invitation to treat something kindly, a condition told in a caution. */
const finds = (text: string): Found<string> | undefined =>
  find(text).find(({ negated, supposed }) => !negated && !supposed);

/** Who is told what to leave out, what is asked, and what is denied is claimed by nobody. */
const NO_CLAIM =
  /^\W*(?:anyone|anybody|whoever|those|people|if|with|not|no|ask|who|in|out)\b|\?|\b(?:if|whether|not|no|never|nobody|cannot|can['’]?t|don['’]?t|isn['’]?t|ask|doctor|nurse|care|sore|hurts?|badly)\b/i;

/** What claims for health are about: the body and what is in it, complaints, those who treat them, sleep and moods. */
const ofHealth = patternsFor([
  [
    [
      '@organ|@system|@illness|@condition|@joint|@sore|@cleanse',
      'muscle|skin|cell|body|posture|covid|virus|fever|cough|germ|tired|sugar|hearing|eyesight',
      'health|healthy|heal|healed|cure|cured|doctor|medicine|medical|medication|pill|tablet|hospital|nurse|surgery|operation|physio|therapy|therapist',
      'sleep|slept|sleepless|wrinkle|young|younger|youth|stress|worry|anxious|mood|energy|strong|stronger|strength|weak|toxin|poison|fat|weight|slim|calm|balance|vital|vitality',
      'safe|safely|safety|harm|harmless|risk|danger|miracle|magic|relief|relieve|soothe',
    ].join('|'),
    true,
  ],
]);
/** What they speak of as well, and stories too: “after a few years”, “by the end of my life”. */
const asInStories = patternsFor([
  [
    [
      'head|belly|eye|ear|hear|foot|hand|arm|leg|chest|breath|breathe|fall',
      'year|old|older|age|life|live|mind|remember|better|best|great|good|well|wonder|work|help|ease|easier',
      'rid|away|=gone|goodbye|again|chance|=no|never|nobody',
    ].join('|'),
    true,
  ],
]);
const OF_ME = /\b(?:i|i['’]\p{L}+|me|my|mine|we|us|our)\b/iu;
/** What speaks of nothing like that has to speak very clearly. */
const CLEARLY = 3;

/** "I'll come back": not the back that somebody has. */
const BACK_AGAIN = /\b(?:com(?:e|es|ing)|came|go(?:es|ing)?|went|get|gets|got|turn(?:s|ed)?|look(?:s|ed)?|lean(?:s|ed)?|step(?:s|ped)?|bring|brought|welcome|put|give|gave|be|in the|at the) back\b/gi; // prettier-ignore

/** Whether a sentence, by what it is about, may claim something. */
function mayClaim(written: string): boolean {
  const sentence = written.replace(BACK_AGAIN, 'again');
  if (ofHealth(sentence).length > 0 || scoreFor.claims(sentence) > CLEARLY) return true;
  return asInStories(sentence).length > 0 && !OF_ME.test(sentence) && ofThoseHere(sentence) !== '';
}

/** The first sentence whose words together speak for a claim. */
function claimByWords(text: string): Pick<Found<string>, 'from' | 'to' | 'of'> | undefined {
  for (const { 0: sentence, index } of text.matchAll(/[^.!?\n]+[.!?]*/g)) {
    const words = sentence.trim();
    if (NO_CLAIM.test(words) || STANDS.test(words) || !speaksFor('claims', words) || !mayClaim(words)) continue;
    const from = index + sentence.indexOf(words);
    return { of: itemAt(FAMILIES, 0).plainer, from, to: from + words.replace(/[.!?]+$/, '').length };
  }
  return undefined;
}

/** A claim in what stands behind so many characters. */
function movedOn(claim: Claim | null, by: number): Claim | null {
  if (!claim) return null;
  const { from, to, sentence, ...others } = claim;
  return { ...others, from: from + by, to: to + by, sentence: { from: sentence.from + by, to: sentence.to + by } };
}

/** Whether a sentence says who should leave something, or when. */
function isCaution(sentence: string): boolean {
  return CAUTIONS.test(sentence.trim()) || LEAVES_OUT.test(sentence);
}

/** The first claim of a text; `null` where it makes none. */
export function claimIn(text: string): Claim | null {
  const found = finds(text) ?? claimByWords(text);
  if (!found) return null;
  const start = Math.max(...['.', '!', '?', '\n'].map((mark) => text.lastIndexOf(mark, found.from - 1))) + 1;
  const end = /[.!?\n]|$/.exec(text.slice(found.to))?.index ?? 0;
  const from = start + (/^\s*/.exec(text.slice(start))?.[0].length ?? 0);
  const to = Math.min(text.length, found.to + end + 1);
  if (isCaution(text.slice(from, to))) return to < text.length ? movedOn(claimIn(text.slice(to)), to) : null;
  return { from: found.from, to: found.to, sentence: { from, to }, plainer: found.of };
}
