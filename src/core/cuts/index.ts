export { cutReading, cutTime, keptSeconds, keptStretches, onFrames } from './cut-times';
export { withCut, withCutAt, withDeadAirOf } from './edit';
export { writeCutList, type CutList } from './edl';
export { DEAD_AIR, proposeCuts } from './propose';
export { wordsIn } from './words-in';
export { FRAME_RATES, frameAt, frameSeconds, timecodeOf, type FrameRate } from './timecode';
