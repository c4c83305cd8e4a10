export { readCsv } from './read';
export { writeCsv } from './write';
