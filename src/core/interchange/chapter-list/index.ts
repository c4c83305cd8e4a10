export { readChapterList } from './read';
export { writeChapterList } from './write';
