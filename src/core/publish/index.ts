export {
  breathTimes,
  captionAt,
  captionsOf,
  chaptersOf,
  fileNameFor,
  publish,
  PUBLISH_FORMATS,
  saidLines,
  type Cutting,
  type Published,
  type PublishFormat,
} from './publish';
