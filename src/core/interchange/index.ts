export { CAPTION_LIMITS, layOutCaptions, timestamp, type Caption, type CaptionsRead, type SaidLine } from './caption';
export { readChapters, writeChapters, type Chapter } from './chapters';
export { readChapterList, writeChapterList } from './chapter-list';
export { readCaptions } from './read-captions';
export { readSrt, writeSrt } from './srt';
export { readWebvtt, writeWebvtt } from './webvtt';
export { readCsv, writeCsv } from './csv';
export { readCueSheet, writeCueSheet, type ActualTimes, type CueSheetRead } from './cue-sheet';
export { writeSsml } from './ssml';
