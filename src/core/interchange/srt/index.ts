export { readSrt } from './read';
export { writeSrt } from './write';
