export { type Chapter } from './model';
export { readChapters } from './read';
export { writeChapters } from './write';
