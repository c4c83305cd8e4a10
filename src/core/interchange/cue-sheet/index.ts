export { readCueSheet, type CueSheetRead, type LineChange } from './read';
export { writeCueSheet, type ActualTimes } from './write';
