export { isTimedText, readTimedText } from './read';
