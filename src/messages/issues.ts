import type { Issue } from '@/core/units';

type Facts = Issue['facts'];

/** A sentence for each code that a plan, a caption file or a sound file can be refused or remarked on with. */
const SENTENCES: Readonly<Record<string, (facts: Facts) => string>> = {
  // plans
  'not-a-plan': () => 'This is not a class plan of Calm Count. Export one with “Plan (JSON)” to see the form.',
  'not-a-movement': () => 'This is not a movement of Calm Count.',
  'no-version': () => 'The document carries no version number.',
  'newer-version': (f) =>
    `It was written by a newer version (${f.version}); this one knows up to ${f.known}. Update first.`,
  'too-large': (f) => `The file is larger than ${f.megabytes} MB. A class plan is far smaller.`,
  'empty-file': () => 'The file is empty.',
  'not-script-file': () => 'This is not a text file. Choose a plan (JSON), or a script saved as plain text.',
  'script-not-read': () => 'The script could not be read here. Reload the page and try again.',
  'script-too-long': (f) => `A script may have at most ${f.max} characters.`,
  'not-json': () => 'The file is not readable JSON. It may have been cut short.',
  'too-many-steps': (f) => `The plan has ${f.found} steps; at most ${f.max} fit in one class.`,
  'too-many-sections': (f) => `The plan has ${f.found} sections; at most ${f.max} fit in one class.`,
  'script-too-many-steps': (f) =>
    `At most ${Number(f.max).toLocaleString('en')} steps fit in one class. The text from line ${f.line} on was not read.`,
  'too-many-cues': (f) => `The plan would have ${f.found} spoken lines; at most ${f.max} fit in one class.`,
  missing: () => 'This value is missing.',
  'not-text': () => 'This has to be text.',
  'not-number': () => 'This has to be a number.',
  'not-whole': () => 'This has to be a whole number.',
  'not-list': () => 'This has to be a list.',
  'not-object': () => 'This has to be an object.',
  'not-yes-no': () => 'This has to be true or false.',
  'too-long': (f) => `This is too long; at most ${f.f0} characters.`,
  'too-few': (f) => `There have to be at least ${f.f0}.`,
  'too-many': (f) => `There are too many; at most ${f.f0}.`,
  empty: () => 'This must not be empty.',
  'bad-characters': () => 'This has characters that cannot be saved, such as control characters.',
  'bad-instant': () => 'This has to be a date and time, as in 2026-05-14T17:00:00.000Z.',
  'bad-id': () => 'An id may have letters, digits, - and _, at most 64.',
  'out-of-range': (f) => `This has to lie between ${f.f0} and ${f.f1}.`,
  'not-one-of': (f) => `This has to be one of: ${f.f0}.`,
  'unknown-field': (f) => `There is a field that is not known here: ${f.f0}.`,
  'bounds-turned': (f) => `The minimum (${f.min}) is above the maximum (${f.max}).`,
  'id-twice': (f) => `The id “${f.id}” is used twice.`,
  'phase-without-length': (f) => `A ${f.kind} phase needs a share of the breath or seconds of its own.`,
  'round-empty': (f) => `No phase is part of round ${f.round}: let one of them go on, or begin earlier.`,
  // my voice
  'voice-silent': () =>
    'Hardly any speech was heard. Is the right microphone chosen, and is it switched on? Nothing was saved.',
  'voice-clipped': (f) =>
    `The sound is cut off at its loudest places (${f.percent} % of it). Move back from the microphone or turn it down, and read once more.`,
  'voice-noisy': (f) =>
    `Speech is only ${f.decibels} dB above the noise of the room; ${f.min} dB are needed. Close the window, or come nearer.`,
  'voice-other-words': (f) =>
    `That was ${f.seconds} s of speech, which would be ${f.rate} syllables a minute for this paragraph. Read all of it, once, as you would in a class.`,
  'microphone-refused': () =>
    'The browser was not allowed to use the microphone. Allow it in the browser’s address bar, or choose a sound file.',
  'microphone-none': () => 'No microphone was found. Plug one in, or choose a sound file.',
  'microphone-failed': () => 'The microphone could not be used; another program may hold it. Or choose a sound file.',
  'camera-refused': () =>
    'The browser was not allowed to use the camera and the microphone. Allow them in its address bar. The prompter goes on without.',
  'camera-none': () =>
    'No camera or no microphone was found. Plug it in and press Record again. The prompter goes on without.',
  'recording-failed': () =>
    'Camera or microphone could not be used; another program may hold them. The prompter goes on without.',
  'recording-no-room': () =>
    'There is no room left to record. What was recorded until now is saved. The prompter goes on.',
  'ear-refused': () =>
    'The browser was not allowed to use the microphone. Allow it in its address bar and press E again. The clock goes on.',
  'ear-no-microphone': () => 'No microphone was found. Plug one in and press E again. The clock goes on.',
  'ear-unplugged': () => 'The microphone was unplugged. The clock goes on; press E to hear again.',
  'ear-failed': () => 'What you say cannot be followed in this browser. The clock goes on.',
  'microphone-unplugged': () =>
    'The microphone was unplugged. What was recorded until then is saved. Press Record to go on in another recording.',
  'camera-unplugged': () =>
    'The camera was unplugged. What was recorded until then is saved. Press Record to go on in another recording.',
  // cue sheets
  'cue-sheet-too-large': () => 'The cue sheet is larger than that of any class here.',
  'not-a-cue-sheet': () =>
    'This is no cue sheet of Calm Count: its first row has to name the columns “line id” and “line”. Nothing was changed.',
  'cue-sheet-no-line': () => 'This row names a line that the class does not have. It was ignored.',
  'cue-sheet-line-long': (f) => `The line in this row is longer than ${f.max} characters. It was ignored.`,
  'cue-sheet-two-wordings': (f) =>
    `“${f.line}” stands in several rows with different wordings. It is left as it is; write one wording in all of them.`,
  // caption files
  'caption-file-too-large': (f) =>
    `The caption file is larger than ${f.megabytes} MB. Four hours of captions are far smaller.`,
  'not-text-file': () => 'This is not a text file. Choose WebVTT or SRT captions.',
  'no-captions': () => 'No captions could be found in the file. Choose WebVTT or SRT captions.',
  'too-many-captions': (f) => `The file holds more than ${f.max} captions.`,
  'byte-order-mark': () => 'The file began with a byte order mark; it was ignored.',
  'no-header': () => 'The WEBVTT line at the top is missing.',
  'text-without-time': (f) => `There are words without a time: “${f.text}”. They were ignored.`,
  'bad-time': (f) => `The time “${f.time}” cannot be read. Its words “${f.text}” were ignored.`,
  'no-blank-line': () => 'A caption follows without a blank line before it.',
  'no-number': () => 'The number of the caption is missing.',
  'wrong-number': (f) => `The caption is numbered ${f.found}; ${f.expected} was expected.`,
  'end-before-start': () => 'The caption ends before it starts; it was given one second.',
  'empty-caption': () => 'The caption has no words; it was ignored.',
  'no-hours': () => 'The hours are missing in a time.',
  'no-fraction': () => 'The thousandths are missing in a time.',
  'other-decimal-mark': (f) => `A time is written with “${f.mark}”.`,
  'minutes-over-59': () => 'A time has minutes or seconds above 59.',
  'beyond-four-hours': (f) => `The caption at ${f.time} lies beyond four hours; its words “${f.text}” were ignored.`,
  'tags-removed': () => 'Tags for styles or voices were removed.',
  'out-of-order': () => 'The caption starts before the one above it; they were put in order.',
  'lines-that-stay': (f) => `Lines that stay on from one caption to the next (${f.count}) were read once.`,
  'sounds-in-captions': (f) => `Sounds in brackets (${f.count}) were not read as words.`,
  'speakers-in-captions': (f) => `Names of who speaks (${f.count}) were not read as words.`,
  overlap: () => 'The caption starts before the one above it ends.',
  'more-oddities': (f) => `There is more of the same; the first ${f.listed} are listed.`,
  'other-encoding': () => 'The file is not UTF-8; it was read as Western European text. Look at the accents.',
  'caption-too-fast': (f) => `This caption runs at ${f.wordsPerMinute} words a minute; ${f.max} are comfortable.`,
  'not-a-chapter-line': () => 'The line is not “m:ss title”.',
  'no-chapters': () => 'No chapters could be found in the file.',
  'bad-reading': () => 'The analysis is not valid here.',
  // sound files
  'not-wav': () => 'This is not a WAV file.',
  'broken-wav': () => 'The WAV file is broken or cut short: no sound could be found in it.',
  'unknown-wav': (f) => `This kind of WAV (${f.bits} bit, kind ${f.kind}, ${f.channels} channels) cannot be read.`,
  'not-media': () => 'This file could not be read as sound or video. Choose WAV, MP3, M4A, WebM or MP4.',
  'no-sound-track': () => 'The file has no sound track.',
  'no-index': () =>
    'The file is broken or cut short: its index is missing, so nothing in it can be read. Copy it again from where it was recorded.',
  'caption-too-long': ({ max }) =>
    `This caption is longer than ${max} characters. Cut it into captions as they are shown, and choose the file again.`,
  'too-deep': ({ max }) => `Lists and objects inside each other go deeper than ${max}.`,
  'too-many-values': ({ max }) => `It holds more than ${max} values.`,
  'not-once': () => 'Each term has its own name, and each spelling belongs to one term.',
  'not-a-spelling': () => 'A spelling can only be chosen out of those that its term has.',
  'no-decoder': () =>
    'This browser cannot decode the sound in this file. Convert it to WAV or MP3 and choose it again.',
  'broken-media': (f) => `The file is broken or cut short; it could be read up to ${f.until}.`,
  'no-speech': () => 'No speech could be found in the sound. Is it the right file, and is it loud enough?',
  'no-voice-model': () =>
    'The part that tells voices from other sound could not be loaded. Speech was told by its level, which is enough in a quiet room.',
  'sound-not-kept': () =>
    'The analysis is saved, but not the audio proxy. To hear the take later, choose the recording again.',
  'too-long-take': () => 'The recording is longer than four hours.',
  'nothing-brought': () => 'Choose a recording, captions, a log, or several of these.',
  'bad-log': () => 'This file is not the log of a performance, or it is broken.',
  'second-not-read': (f) => `${f.name} could not be read as sound or video. The first recording was read without it.`,
  'recordings-differ': (f) =>
    `${f.name} could not be matched with the first recording: they do not seem to be of one class. It was ignored.`,
};

/** The sentence for an issue, without its place. */
export function issueSentence(issue: Issue): string {
  return SENTENCES[issue.code]?.(issue.facts) ?? `Not in order (${issue.code}).`;
}

/** The sentence with its place in front: `line 12: ...`. */
export function issueText(issue: Issue): string {
  return issue.at ? `${issue.at}: ${issueSentence(issue)}` : issueSentence(issue);
}
