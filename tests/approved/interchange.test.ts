import { describe, it } from 'vitest';
import {
  layOutCaptions,
  readCaptions,
  readChapterList,
  readChapters,
  readCsv,
  readCueSheet,
  timestamp,
  writeChapterList,
  writeChapters,
  writeCsv,
  writeCueSheet,
  writeSrt,
  writeSsml,
  writeWebvtt,
} from '@/core/interchange';
import { expandPlan } from '@/core/timeline';
import { itemAt } from '@/core/units';
import { demoClasses } from '@/demo/classes';
import { areAsApproved, asText } from './as-text';

/* Files as people and machines write them, and how they are read and written: odd ones too. */

const CAPTIONS: readonly string[] = [
  'WEBVTT\n\n00:01.000 --> 00:02.500\nSettle in\n\n00:03.000 --> 00:04.000 align:start\nBreathe <i>in</i>\n',
  'WEBVTT - a class\n\nNOTE\nnot read\n\nSTYLE\n::cue { color: red }\n\none\n01:00:01.250 --> 01:00:02.000\n<v Teacher>Two &amp; three\nlines\n',
  '1\n00:00:01,000 --> 00:00:02,000\nOne\n\n2\n00:00:01,500 --> 00:00:03,000\nTwo overlaps\n\n3\n00:00:09,000 --> 00:00:08,000\nBackwards\n',
  '\uFEFF1\r\n00:00:01,000 --> 00:00:02,000\r\n<b>Bold</b> {\\an8}text\r\n\r\n\r\nlost\r\n',
  '00:00:01.000 -> 00:00:02.000\nOne dash\n',
  '1\n0:1:2,5 --> 0:1:4,25\nShort figures\n',
  '0:05 Settle in\n0:12 - 0:15 Breathe out\n[0:20] And rest\n1:02:03 At last\n',
  '(0:05)\nWords below\nand below that\n\n(0:09)\n(0:12)\nAfter an empty one\n',
  '0:30 later\n0:10 earlier\n0:10.5 between, for rather a long line of words that go on\n',
  '5:00:00 beyond\n0:01 within\n',
  'WEBVTT\n\n00:01.000 --> 00:01.000\nNo time\n\n00:02.000 --> x\nBad\n\n00:61.000 --> 00:62.000\nBad seconds\n',
  'no times at all\nin these words\n',
  '',
  'WEBVTT',
];

const CHAPTERS: readonly string[] = [
  '0:00 Arriving\n1:30 Swings\n12:05 Rest\n',
  '\uFEFF0:00 Arriving\r\n\r\n1:02:03   Rest  \r\nno time\r\n1:75 odd\r\n',
  'nothing',
  '00:00 A\n00:00 B\n',
];

const CSVS: readonly string[] = [
  'a,b,c\n1,"two, three",4\n',
  'a;b;c\r\n1;2,5;"q""uote"\r\n',
  'a\tb\n1\t2\n\n',
  '\uFEFFone\n"open',
  '',
];

const CHAPTER_FILES: readonly string[] = [
  'WEBVTT\n\n00:00.000 --> 01:30.000\nArriving\n\n01:30.000 --> 02:00.000\nSwings\nand more\n',
  'WEBVTT\n\n',
  '1\n00:00:00,000 --> 00:01:00,000\nSwings\n',
];

const TIMES = [0, 0.0004, 0.0005, 0.999, 59.9994, 59.9996, 60, 3599.9996, 3600, 14_400.5];

const classes = demoClasses()
  .slice(0, 4)
  .map(({ name, plan }) => ({ name, plan, timeline: expandPlan(plan) }));

describe('files, as they were looked at', () => {
  it('of captions, chapters and tables, read', () =>
    areAsApproved('files-read', [
      ...CAPTIONS.flatMap((text) => [asText(text), `  ${asText(readCaptions(text))}`]),
      ...CHAPTERS.flatMap((text) => [asText(text), `  ${asText(readChapterList(text))}`]),
      ...CHAPTER_FILES.flatMap((text) => [asText(text), `  ${asText(readChapters(text))}`]),
      ...CSVS.flatMap((text) => [asText(text), `  ${asText(readCsv(text))}`, `  ${asText(writeCsv(readCsv(text)))}`]),
      ...TIMES.flatMap((seconds) => ([',', '.'] as const).map((mark) => `${seconds}: ${timestamp(seconds, mark)}`)),
    ]));

  it('of captions that are laid out and written', () =>
    areAsApproved(
      'files-written',
      classes.flatMap(({ name, plan, timeline }) => {
        const { captions, notes } = layOutCaptions(timeline.cues.slice(0, 40));
        const chapters = timeline.steps.slice(0, 6).map(({ startSeconds, endSeconds }, at) => ({
          title: `Part ${at + 1} --> & <next>`,
          startSeconds,
          endSeconds,
        }));
        return [
          `== ${name}`,
          asText(notes),
          writeSrt(captions),
          writeWebvtt(captions),
          writeChapterList(chapters),
          writeChapters(chapters),
          writeSsml(timeline.cues.slice(0, 40), {
            lengthSeconds: timeline.runtimeSeconds,
            syllablesPerMinute: plan.voice.syllablesPerMinute,
          }),
        ];
      }),
    ));

  it('of cue sheets, changed by hand and read again', () =>
    areAsApproved(
      'cue-sheets',
      classes.slice(0, 2).flatMap(({ name, plan, timeline }) => {
        const sheet = writeCueSheet(plan, timeline);
        const lines = sheet.split(/\r?\n/);
        const changed = [
          ...lines.slice(0, 3),
          itemAt(lines, 3).toUpperCase(),
          ...lines.slice(5, 12),
          `${itemAt(lines, 12)},more`,
          'nonsense,1,2',
        ];
        return [`== ${name}`, ...lines.slice(0, 14), asText(readCueSheet(changed.join('\n'), plan))];
      }),
    ));
});
