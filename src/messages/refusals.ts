/** What the server says when it refuses: what happened, what is safe, what to do. */
export const REFUSALS = {
  'not-json': { title: 'Not JSON', detail: 'The request held no readable JSON. Nothing was changed.' },
  'bad-request': {
    title: 'Values out of bounds',
    detail: 'Some values are missing or out of bounds. Nothing was changed.',
  },
  'too-large': {
    title: 'Too large',
    detail: 'The request is larger than this part of the application takes. Nothing was changed.',
  },
  busy: {
    title: 'Too much at once',
    detail: 'The server is busy. Nothing was changed; the request is sent again automatically.',
  },
  'bad-plan': { title: 'The plan cannot be saved', detail: 'The plan has values out of bounds. Nothing was changed.' },
  'bad-reading': { title: 'The analysis cannot be saved', detail: 'The analysis is not valid. Nothing was changed.' },
  'no-class': { title: 'No such class', detail: 'There is no such class in the list. It may have been removed.' },
  'no-movement': { title: 'No such movement', detail: 'There is no such movement in the library.' },
  'no-series': { title: 'No such series', detail: 'There is no such series in the list. It may have been removed.' },
  'no-revision': { title: 'No such revision', detail: 'This class has no such saved revision.' },
  'bad-movement': {
    title: 'The movement cannot be saved',
    detail: 'The movement has values out of bounds. Nothing was changed.',
  },
  'not-in-bin': { title: 'Not in the bin', detail: 'There is no such thing in the bin.' },
  'no-voice': { title: 'No such measurement', detail: 'There is no such measurement. It may have been removed.' },
  'too-many-voices': {
    title: 'Too many measurements',
    detail: 'Fifty measurements are saved already. Remove one first; nothing was changed.',
  },
  'no-take': { title: 'No such take', detail: 'There is no such take. It may have been removed.' },
  'no-envelope': { title: 'No levels', detail: 'The levels of this take were not saved.' },
  'no-sound': { title: 'No sound', detail: 'The sound of this take was not saved. Choose its recording to hear it.' },
  'bad-media': {
    title: 'Not a picture or clip',
    detail: 'Choose a JPEG, PNG or WebP picture, or an MP4 or WebM clip of up to a minute. Nothing was changed.',
  },
  'media-too-large': {
    title: 'Too large',
    detail: 'A picture or clip may have up to 5 MB. Nothing was changed.',
  },
  'no-media': { title: 'No picture', detail: 'This movement has no picture or clip.' },
  'bad-piece': {
    title: 'Not a piece of sound',
    detail: 'A piece of sound is up to 512 KB, and a take has at most a thousand of them. Nothing was changed.',
  },
  'disk-full': {
    title: 'The disk is full',
    detail: 'There is no room left for the studio’s data. Everything saved before is safe; make room and try again.',
  },
  'newer-revision': {
    title: 'Saved in another place',
    detail: 'This was saved in another place since it was opened here. Nothing was overwritten.',
  },
  'no-live': {
    title: 'No such live class',
    detail: 'No live class has this code. Check the code, or ask your instructor.',
  },
  'live-over': {
    title: 'This live class is over',
    detail: 'This code no longer works. Ask your instructor for a new one.',
  },
  'looks-on': {
    title: 'This code is for watching only',
    detail: 'To move the class on, use the code for the remote, which the prompter shows.',
  },
  'another-leads': {
    title: 'Another prompter leads this class',
    detail: 'This class is shown live from another window or device. Nothing was changed there.',
  },
  'database-away': {
    title: 'The database is not available',
    detail:
      'The database does not answer at the moment. Your changes are stored in this browser and saved when it is back.',
  },
  'no-studio': { title: 'No studio', detail: 'The database holds no studio yet. Run ./start, which puts the demo in.' },
  fault: {
    title: 'Something went wrong',
    detail: 'Something went wrong on the server. Nothing was changed; try again.',
  },
} as const;

export type RefusalCode = keyof typeof REFUSALS;
