export { countSyllables } from './syllables';
export { cardinal, ordinal, spokenText, wordsOf } from './spoken-words';
export { lineWeight, speakingSeconds } from './speaking-time';
