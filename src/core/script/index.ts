export { FADE_PRESETS, withForm, type FadePreset } from './fades';
export { applyFitted } from './keep-fitted';
export { fitWords, type FormChange } from './fit-words';
export { linesOfProse, proseOf } from './prose';
export { findAndReplace } from './find-replace';
