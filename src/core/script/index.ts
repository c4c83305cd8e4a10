export { FADE_PRESETS, withForm, type FadePreset } from './fades';
export { applyFitted } from './keep-fitted';
export { fitWords, type FittedWords, type FormChange } from './fit-words';
export { linesOfProse, proseOf } from './prose';
export { findAndReplace, type Search } from './find-replace';
