export { readWebvtt } from './read';
export { escapeWebvtt, writeWebvtt } from './write';
