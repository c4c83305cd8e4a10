import { breathRange } from './time/breath-range';
import { closingShort } from './time/closing-short';
import { eyesSilence } from './time/eyes-silence';
import { lineLate } from './time/line-late';
import { lineTooLong } from './time/line-too-long';
import { linesClose } from './time/lines-close';
import { offTarget } from './time/off-target';
import { paceJump } from './time/pace-jump';
import { restLong } from './time/rest-long';
import { restOptOut } from './time/rest-opt-out';
import { standingSilent } from './time/standing-silent';
import { talkShare } from './time/talk-share';
import { teachLong } from './time/teach-long';
import { lastEarly } from './count/last-early';
import { lastTwice } from './count/last-twice';
import { lastUnannounced } from './count/last-unannounced';
import { numberWrong } from './count/number-wrong';
import { oddRounds } from './count/odd-rounds';
import { roundsStyle } from './count/rounds-style';
import { sidesUnequal } from './count/sides-unequal';
import { clockwiseView } from './side/clockwise-view';
import { eyesBalance } from './side/eyes-balance';
import { eyesNotOpened } from './side/eyes-not-opened';
import { sideMirrored } from './side/side-mirrored';
import { sideUnsaid } from './side/side-unsaid';
import { sideWrong } from './side/side-wrong';
import { viewUnsaid } from './side/view-unsaid';
import { watchEyesClosed } from './side/watch-eyes-closed';
import { balanceSupport } from './safety/balance-support';
import { bendRise } from './safety/bend-rise';
import { breathForced } from './safety/breath-forced';
import { cautionLate } from './safety/caution-late';
import { cautionMissing } from './safety/caution-missing';
import { cautionUnclear } from './safety/caution-unclear';
import { cautionUntagged } from './safety/caution-untagged';
import { classCaution } from './safety/class-caution';
import { headLow } from './safety/head-low';
import { holdLong } from './safety/hold-long';
import { noEasierLevel } from './safety/no-easier-level';
import { noSeated } from './safety/no-seated';
import { feetTogether } from './flow/feet-together';
import { neverNamed } from './flow/never-named';
import { noArrival } from './flow/no-arrival';
import { noClosing } from './flow/no-closing';
import { noThanks } from './flow/no-thanks';
import { stanceBroken } from './flow/stance-broken';
import { breathWritten } from './words/breath-written';
import { filler } from './words/filler';
import { healthPromise } from './words/health-promise';
import { lineRepeated } from './words/line-repeated';
import { readingLevel } from './words/reading-level';
import { sentenceLong } from './words/sentence-long';
import { termUnexplained } from './words/term-unexplained';
import { tokenEmpty } from './words/token-empty';
import { tokenUnknown } from './words/token-unknown';
import { twoSpellings } from './words/two-spellings';
import type { Check } from './model';

/** Every check, by group. A new one is a file of its own and a line here. */
export const CHECKS: readonly Check[] = [
  breathRange,
  closingShort,
  eyesSilence,
  lineLate,
  lineTooLong,
  linesClose,
  offTarget,
  paceJump,
  restLong,
  restOptOut,
  standingSilent,
  talkShare,
  teachLong,
  lastEarly,
  lastTwice,
  lastUnannounced,
  numberWrong,
  oddRounds,
  roundsStyle,
  sidesUnequal,
  clockwiseView,
  eyesBalance,
  eyesNotOpened,
  sideMirrored,
  sideUnsaid,
  sideWrong,
  viewUnsaid,
  watchEyesClosed,
  balanceSupport,
  bendRise,
  breathForced,
  cautionLate,
  cautionMissing,
  cautionUnclear,
  cautionUntagged,
  classCaution,
  headLow,
  holdLong,
  noEasierLevel,
  noSeated,
  feetTogether,
  neverNamed,
  noArrival,
  noClosing,
  noThanks,
  stanceBroken,
  breathWritten,
  filler,
  healthPromise,
  lineRepeated,
  readingLevel,
  sentenceLong,
  termUnexplained,
  tokenEmpty,
  tokenUnknown,
  twoSpellings,
];
