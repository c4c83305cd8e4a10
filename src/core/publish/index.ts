export {
  chaptersOf,
  fileNameFor,
  publish,
  PUBLISH_FORMATS,
  saidLines,
  type Published,
  type PublishFormat,
} from './publish';
