export { layOutCaptions, wrap, type SaidLine } from './layout';
export { CAPTION_LIMITS, type Caption, type CaptionsLaidOut, type CaptionsRead } from './model';
export { readCaptionBlocks, type Dialect } from './read-blocks';
export { timestamp } from './timestamp';
