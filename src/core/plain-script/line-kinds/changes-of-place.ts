/*
 * "Turn to face the window", "Find a space", "Chairs away": where people are next, and nothing that is done for a while.
 * A verb of going or staying, how, and a place; or what is done with the feet and the chairs.
 */

const PLACE =
  '(?:(?:wide|narrow|low|parallel|first|starting|start|ready|rest|home|basic|opening|next|middle|front|back|left|right|other|big|own|window|mirror|door|far|near|opposite|side) )*(?:floor|ground|mats?|chairs?|seats?|stools?|wheelchairs?|wall|cent(?:re|er)|middle|circle|window|door|front|back|places?|spots?|spaces?|sides?|corners?|edge|bench|lines?|rows?|start|beginning|standing|sitting|seated|kneeling|neutral|stance|positions?|room|hall|garden|lawn|grass|sea|sun|partners?|group|carpet|end|lying|camera|screen|all fours|pairs|knees?|feet|belly)';
const AT =
  '(?:around|round|throughout|to|into|onto|on to|on|in|at|behind|beside|against|by|near|next to|in front of|away from|towards?|over to|across|with (?:the|your|their) backs? to) (?:the |your |an? |their |our |one )?(?!(?:left|right) side$)';
const OF = `(?: of (?:the |your )?${PLACE})?`;
const THERE = `(?: ${AT}${PLACE}${OF})`;
const HOW =
  '(?: (?:down|up|back|forwards?|over|out|in|away|tall|upright|again|slowly|still|close(?:r)?|together|apart|further|wide(?:r)?|outside|inside|round|around|sideways|off|cross-legged|facing))';
const STAY = '(?:stand(?:ing)?|sit|lie|kneel)';
const GO =
  '(?:come|go|get|return|move|walk|shuffle|step|gather|spread|scatter|down|back|up|everyone|everybody|roll|slide|slip|scoot|turn|crawl|climb|make (?:your|their|our) way)';
const THINGS = '(?:chairs?|mats?|stools?|cushions?|blankets?|sticks?|tables?|shoes|bands?|blocks?)';
const FOOT = '(?:left|right|other|back|front)(?: foot| leg)?';

const CHANGES = [
  `${STAY}${HOW}*${THERE}+`,
  `${STAY}(?: facing (?:the |your |each )?\\p{L}+|,? (?:with )?(?:the |your )?feet (?:together|apart|wide|parallel))`,
  `(?:everyone|everybody|all) (?:up|down|standing|sitting|outside|inside)`,
  `take (?:a|the|your) (?:wide|narrow|low|long|bow|horse|parallel)?(?: ?stance)`,
  `let go of (?:the|your) ${PLACE}`,
  `turn (?:the|your) backs? to (?:the |your )?${PLACE}`,
  `(?:move|step|go|come)${HOW}* (?:one|two|three|a) (?:big |small )?steps?${HOW}?`,
  `take hold of (?:the|your) ${PLACE}`,
  `${GO}${HOW}*${THERE}+`,
  '(?:(?:come|go|get|move|step|gather|spread|stand) )+(?:apart|close(?:r)?(?: together)?|together|further apart|outside|inside)',
  `(?:let us |let[’']s |everyone |everybody |all |now |please )(?:${STAY})${HOW}*`,
  `sit(?: back)? down(?: again)?`,
  'lie down(?: again)?',
  '(?:stand|get)(?: back)? up(?: again)?(?: from (?:the|your) \\p{L}+)?',
  'kneel(?: down)?',
  'turn (?:around|round|to (?:face )?(?:the|each other|me)\\b[^,;:]{0,24})',
  `turn (?:the |your )?(?:body|chairs?|mats?) (?:to|towards?) (?:the |your )?${PLACE}`,
  'face (?:the|each other|me|forwards?|your partner|one another)\\b[^,;:]{0,16}',
  '(?:a )?(?:half|quarter)(?: a| of a)? turn(?: to the (?:left|right)| around)?',
  'take (?:a|one|two|three|half a) (?:(?:small|big|wide|little) )?steps? (?:back|forwards?|apart|out|in|away|sideways|to the (?:left|right|side|front|back))',
  `(?:take|get|fetch|find|grab|pick up) (?:a|your|the|some) (?:${THINGS}|partner|space|spot|seat|places?)${THERE}?`,
  `(?:(?:put|push|move|set|stack|take|clear) (?:the |your )?)?${THINGS} (?:away|aside|back|out|to the (?:side|wall|back))`,
  '(?:make|form|get into|stand in|move into) (?:a |one |two |the |three )?(?:(?:big|large|wide|small) )?(?:circles?|lines?|rows?|pairs?|half[- ]?circle|horseshoe)',
  '(?:swap|change|switch) (?:the |your )?(?:places?|partners?|sides of the (?:room|hall)|stance|front foot|foot in front)',
  '(?:widen|narrow|change) (?:the|your) stance',
  '(?:feet|legs) (?:back )?(?:together|apart|closer|narrower|wider?|parallel|further apart|(?:to )?(?:shoulder|hip)[- ]?width(?: apart)?)',
  '(?:step|put|place|bring|set|move|take) (?:the |your )?feet (?:(?:a little|a bit|slightly|much) )?(?:apart|together|wider?|parallel|closer)',
  '(?:open|widen|spread|close|part) (?:the |your )?(?:feet|legs|stance)(?: to (?:shoulder|hip)[- ]?width(?: apart)?| (?:wide|wider|apart|again))?',
  `(?:put|place|bring|set|take) (?:the |your )?${FOOT} (?:forwards?|back|in front|behind|out|in|beside the other|to the side)`,
  `${FOOT} (?:forwards?|back|in front|behind|out)(?: now)?`,
  'look (?:to|towards) (?:the )?(?:window|door|mirror|front|back)(?: wall)?',
  `lower (?:yourselves |yourself )?(?:down )?(?:onto|on to) (?:the |your )?${PLACE}`,
  '(?:look for|find|choose) (?:a |your )?(?:free |new |good |own )*(?:spot|space|place)',
  '(?:put|lay|pick up|bend down for|fetch) (?:the |your )?(?:sticks?|mats?|bands?|balls?|blocks?|cushions?|blankets?|fans?)(?: (?:down|away|aside|back))?',
  'come out of (?:the|your) (?:squat|stance|pose|position|bend|fold|twist)',
  'turn (?:left|right)(?: to face (?:the |your )?\\p{L}+)?',
  'shift (?:the weight )?back to (?:the )?(?:middle|cent(?:re|er))',
  'stand wherever you (?:like|want)',
  'find your balance(?: again)?(?: on both feet)?',
  'feet parallel,? (?:shoulder|hip)[- ]?width(?: apart)?',
  `${THINGS} in (?:a |two |three )?(?:circle|rows?|lines?|half[- ]?circle)`,
  'shuffle (?:the |your )?feet (?:together|apart)',
  '(?:make|give each other|leave) (?:some |a bit of |more |enough )?(?:room|space)',
  '(?:take|find|have|keep to) (?:your|the) (?:seats|chairs|places|mats)',
  `(?:up|down|off|away) from (?:the |your )?${PLACE}`,
  '(?:hold|take|grab|touch|stand behind) (?:on to )?(?:the |your )?(?:back|seat|edge|sides?|arms) of (?:the|your|a) (?:chair|bench|seat)',
  `${FOOT}(?: foot| leg)? to the (?:front|back|side|left|right)`,
  '(?:turn|swing|move) (?:the |your )?(?:chairs?|mats?|stools?) (?:round|around|over)',
  'sit with (?:both |the |your )*feet (?:flat )?(?:on|in) the (?:floor|ground)',
  '(?:put|place|set|stand with) (?:the |your )?feet (?:shoulder|hip)[- ]width(?: apart)?',
  '(?:gather|spread|come|move|scatter) (?:round|around|in|here|out|closer)',
  '(?:roll|turn) over(?: (?:on to|onto|to) (?:the|your|one) (?:left |right )?side)?(?: slowly)?,? (?:and|then) (?:slowly )?(?:stand|sit|come|get) up',
  `(?:leave|get off|get up from|step off) (?:the|your) ${PLACE}`,
  '(?:draw|pull|bring|take) (?:the |your )?(?:feet|legs|heels) (?:back )?(?:in|closer|together)',
  `hands (?:on|behind) (?:the |your )?(?:back|seat|edge|sides?|arms) of (?:the|your|a) ${PLACE}`,
  'stand(?: tall| up| straight| upright)+,? (?:with )?(?:the |your )?(?:feet|legs|heels) (?:together|apart|wide|parallel|closed)',
  'step (?:out|in|back|forwards?)? ?(?:wide|wider|narrow)',
  '(?:pair|line|team) up(?: (?:along|at|against|by|with|in|behind) [^,;:.\\d]{3,24})?',
  'find (?:a|your) (?:partner|neighbour)',
  'back to back(?: with (?:a|your) partner)?',
  '(?:the |your )?weight (?:back (?:to|on|onto|on to|into|in|over) (?:both|the|your)|(?:to|onto|on|over) (?:both|two)) (?:feet|heels|legs|middle|cent(?:re|er))',
  'turn (?:(?:a|one) )?(?:quarter|half|eighth)(?: turn)?(?: to the (?:left|right)| (?:left|right|round|around))?',
  '(?:shake|let go|let it go|relax|wiggle|roll|stretch)(?: \\p{L}+){0,3},? and (?:come|go|get|return)(?: back)? (?:to|into) (?:standing|sitting|the (?:middle|start|cent(?:re|er)))',
  'step (?:out|forwards?|wide|apart|off)(?: to the (?:left|right|side|front|back))?',
].join('|');

const CHANGES_PLACE = new RegExp(
  `^(?:(?:and|now|then|next|slowly|gently|quietly|everyone|all)[,:]? )*(?:${CHANGES})(?: slowly| gently| again)?(?:,? (?:when(?:ever)? (?:you are|you['’]re|they are) ready|so that [^.,;:!?]{3,30}))?[.!]?$`,
  'iu',
);
const LONGEST = 70;

/** Whether a line tells where people are next, by what it says and not by the usual words alone. */
export function changesPlace(text: string): boolean {
  return text.length <= LONGEST && CHANGES_PLACE.test(text);
}

const COUNTS_NOTHING =
  /^(?:(?:and|now|then|next|all)[,:]? )*(?:(?:take|make|form|get into|stand in) (?:a|one|two|three) |.{3,24} (?:a|one|two|three) (?:big |small )?steps?\b)/i;

/** Whether a change of place counts a step or a line, and no rounds: "Take one step back". */
export function stepsAside(text: string): boolean {
  return COUNTS_NOTHING.test(text) && changesPlace(text);
}
