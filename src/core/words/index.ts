export * from './proposed';
export * from './teaching-style';
export { bellyWords, breathWords } from './breath-words';
export { emptyTokens, fillTokens, TOKENS, unknownTokens, usualText, type TokenFacts } from './tokens';
export { themed, type Theme } from './themes';
export {
  allTerms,
  hasSpelling,
  NO_SPELLING,
  spelled,
  SPELLABLE_TERMS,
  takenSpelling,
  TERM_LIMITS,
  TERMS,
  termsIn,
  withSpelling,
  type Spelling,
  type Term,
} from './spelling';
