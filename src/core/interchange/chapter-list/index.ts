export { readChapterList, type ListedChapter } from './read';
export { writeChapterList } from './write';
