export { readCueSheet, type CueSheetRead } from './read';
export { writeCueSheet, type ActualTimes } from './write';
