export { asSaid } from './as-said';
export { layOutCaptions, wrap, type SaidLine } from './layout';
export { CAPTION_LIMITS, type Caption, type CaptionsRead } from './model';
export { readCaptionBlocks } from './read-blocks';
export { timestamp } from './timestamp';
