import { itemAt } from '@/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  layOutCaptions,
  readCaptions,
  readChapterList,
  readChapters,
  readSrt,
  readWebvtt,
  writeChapterList,
  writeChapters,
  writeSrt,
  writeWebvtt,
} from '.';
import { wrap } from './caption';

const said = (startSeconds: number, endSeconds: number, text: string) => ({ startSeconds, endSeconds, text });
const codesOf = (read: ReturnType<typeof readWebvtt>): string[] =>
  read.ok ? read.value.oddities.map((oddity) => `${oddity.at} ${oddity.code}`) : [read.problem.code];

describe('laying captions out', () => {
  it('never overlaps, never leaves a caption without length, and keeps the order and all the words', () => {
    const line = fc.record({
      start: fc.double({ min: 0, max: 200, noNaN: true }),
      length: fc.double({ min: 0, max: 12, noNaN: true }),
      text: fc.array(fc.constantFrom('in', 'out', 'and,', 'the', 'lighthouse.', 'x'.repeat(50)), {
        minLength: 1,
        maxLength: 40,
      }),
    });
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), (lines) => {
        const cues = lines
          .map(({ start, length, text }) => said(start, start + length, text.join(' ')))
          .sort((a, b) => a.startSeconds - b.startSeconds);
        const { captions } = layOutCaptions(cues);
        captions.forEach((caption, index) => {
          expect(caption.endSeconds).toBeGreaterThan(caption.startSeconds);
          expect(caption.startSeconds).toBeGreaterThanOrEqual(captions[index - 1]?.endSeconds ?? 0);
          const rows = caption.text.split('\n');
          expect(rows.length).toBeLessThanOrEqual(2);
          for (const row of rows) expect([...row].length).toBeLessThanOrEqual(38);
        });
        const letters = (text: string): string => text.replace(/\s/g, '');
        expect(captions.map((caption) => letters(caption.text)).join('')).toBe(
          cues.map((cue) => letters(cue.text)).join(''),
        );
      }),
    );
  });

  it('keeps a short line on screen for 40 frames where the next one allows it (DCMP, from memory)', () => {
    const { captions } = layOutCaptions([said(1, 1.4, 'In.'), said(10, 10.4, 'Out.'), said(11, 11.4, 'In.')]);
    expect(captions.map((caption) => caption.endSeconds)).toEqual([2.333, 10.92, 12.333]);
  });

  it('says where the time does not allow comfortable reading', () => {
    const { notes } = layOutCaptions([said(0, 1, 'Breathe in as the tide comes over the sill.'), said(1, 2, 'Out.')]);
    expect(notes).toMatchObject([{ code: 'caption-too-fast', at: 'caption 1' }]);
  });

  it('breaks lines at sense', () => {
    expect(wrap('Stay within about seventy per cent, and rest when you like.')).toEqual([
      'Stay within about seventy per cent,',
      'and rest when you like.',
    ]);
  });
});

describe('WebVTT and SRT', () => {
  const text = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 60 })
    .filter(
      (one) =>
        one.trim() !== '' &&
        !/[\u0000-\u001f\u007f-\u009f\u2028\u2029\ufeff]/.test(one) &&
        !/<\/?(?:b|i|u|s|c|v)|\{\\/i.test(one),
    );

  it('come back as they were written', () => {
    fc.assert(
      fc.property(fc.array(text, { minLength: 1, maxLength: 10 }), (texts) => {
        const captions = texts.map((one, index) => said(index * 2, index * 2 + 1.5, one.trim()));
        const vtt = readWebvtt(writeWebvtt(captions));
        expect(vtt.ok && vtt.value).toEqual({ captions, oddities: [] });
        const srt = readSrt(
          writeSrt(captions.map((caption) => ({ ...caption, text: caption.text.replaceAll('-->', '→') }))),
        );
        expect(srt.ok && srt.value.captions.map((caption) => caption.startSeconds)).toEqual(
          captions.map((caption) => caption.startSeconds),
        );
      }),
    );
  });

  it('keeps arrows, tags and blank lines out of the file’s own structure', () => {
    const captions = [said(0, 1, 'a --> b\n\n<script>alert(1)</script> & more')];
    expect(writeWebvtt(captions)).toContain('a --&gt; b\n&lt;script&gt;alert(1)&lt;/script&gt; &amp; more\n');
    expect(writeSrt(captions)).toContain('a → b\r\n<script>alert(1)</script> & more\r\n');
  });

  it('reads a foreign WebVTT file and reports each oddity at its line', () => {
    const file = [
      '\uFEFFWEBVTT - made elsewhere',
      '',
      'NOTE a comment',
      'over two lines',
      '',
      'STYLE',
      '::cue { color: red }',
      '',
      '00:01.000 --> 00:03.000 align:start',
      '<v Keeper>Breathe <i>in</i></v>',
      '',
      '00:02,500 --> 00:04.000',
      'Breathe out',
      '00:05.000 --> 00:06.000',
      'No blank line before me',
      '',
      '00:09.000 --> 00:08.000',
      'Ends before it starts',
      '',
      '00:xx.000 --> 00:12.000',
      'Nobody knows when',
      '',
      'words with no time at all',
      '',
      '00:07.000 --> 00:07.500',
      'Late to the file',
      '',
      '00:20.000 --> 00:21.000',
      '   ',
    ].join('\r\n');
    const read = readWebvtt(file);
    expect(codesOf(read)).toEqual([
      'line 1 byte-order-mark',
      'line 9 tags-removed',
      'line 14 no-blank-line',
      'line 12 other-decimal-mark',
      'line 17 end-before-start',
      'line 20 bad-time',
      'line 23 text-without-time',
      'line 28 empty-caption',
      'caption 2 overlap',
      'caption 5 out-of-order',
    ]);
    expect(read.ok && read.value.captions.map((caption) => caption.text)).toEqual([
      'Breathe in',
      'Breathe out',
      'No blank line before me',
      'Late to the file',
      'Ends before it starts',
    ]);
  });

  it('reads a foreign SRT file with faults in its numbers, marks and hours', () => {
    const file =
      '1\n00:00:01,000 --> 00:00:02,000\nOne\n\n3\n00:00:03.000 --> 00:00:04.000\nTwo\nlines\n\n00:05,000 --> 00:06,000\nThree\n';
    const read = readSrt(file);
    expect(codesOf(read)).toEqual([
      'line 5 wrong-number',
      'line 6 other-decimal-mark',
      'line 6 other-decimal-mark',
      'line 10 no-number',
      'line 10 no-hours',
      'line 10 no-hours',
    ]);
    expect(read.ok && read.value.captions).toEqual([said(1, 2, 'One'), said(3, 4, 'Two\nlines'), said(5, 6, 'Three')]);
  });

  it.each([
    ['', 'empty-file'],
    ['\n\n', 'empty-file'],
    ['WEBVTT\n\n', 'no-captions'],
    ['just words', 'no-captions'],
    ['RIFF\u0000\u0000WAVE', 'not-text-file'],
  ])('refuses %j', (file, code) => {
    expect(codesOf(readCaptions(file))).toEqual([code]);
  });

  it('refuses more than 20 000 captions', () => {
    const captions = Array.from({ length: 20_001 }, (_, index) => said(index * 0.5, index * 0.5 + 0.4, 'in'));
    expect(codesOf(readCaptions(writeWebvtt(captions)))).toEqual(['too-many-captions']);
  });

  it('reports captions beyond four hours instead of losing them silently', () => {
    expect(
      codesOf(readCaptions('WEBVTT\n\n00:01.000 --> 00:02.000\nin\n\n05:00:00.000 --> 05:00:01.000\nout\n')),
    ).toEqual(['line 6 beyond-four-hours']);
  });

  it('bounds the list of oddities', () => {
    const file = `WEBVTT\n\n00:01.000 --> 00:02.000\nin\n\n${'words without a time\n\n'.repeat(2000)}`;
    const read = readWebvtt(file);
    expect(read.ok && read.value.oddities.length).toBe(501);
    expect(read.ok && itemAt(read.value.oddities, 500).code).toBe('more-oddities');
  });
});

describe('chapters', () => {
  const chapters = [
    { title: 'Arrival & welcome', startSeconds: 0, endSeconds: 30.5 },
    { title: 'Raising the lamp', startSeconds: 30.5, endSeconds: 3700 },
    { title: 'Closing', startSeconds: 3700, endSeconds: 3800 },
  ];

  it('come back from a WebVTT chapters track', () => {
    const read = readChapters(writeChapters(chapters));
    expect(read.ok && read.value).toEqual({ chapters, oddities: [] });
  });

  it('are listed as m:ss and title, and read again', () => {
    expect(writeChapterList(chapters)).toBe('0:00 Arrival & welcome\n0:31 Raising the lamp\n1:01:40 Closing\n');
    const read = readChapterList(`${writeChapterList(chapters)}not a chapter\n`);
    expect(read.ok && read.value.chapters.map((chapter) => chapter.startSeconds)).toEqual([0, 31, 3700]);
    expect(read.ok && read.value.oddities.map((oddity) => oddity.at)).toEqual(['line 4']);
    expect(readChapterList('nothing').ok).toBe(false);
    for (const list of ['0:00 - Arrive\n2:30 - Row', '[0:00] Arrive\n[2:30] Row', '• 0:00 Arrive\n• 2:30 Row']) {
      const other = readChapterList(list);
      expect(other.ok && other.value.chapters).toEqual([
        { startSeconds: 0, title: 'Arrive' },
        { startSeconds: 150, title: 'Row' },
      ]);
    }
  });
});

describe('words with times before them', () => {
  const timesOf = (text: string) => {
    const read = readCaptions(text);
    return read.ok ? read.value.captions.map((one) => [one.startSeconds, one.endSeconds, one.text]) : read.problem.code;
  };

  it('end where they say, or after as long as they take, before the next', () => {
    expect(timesOf('0:01 - 0:03 Arms rise\n0:05 - 0:04 Arms sink\n0:06 Rest')).toEqual([
      [1, 3, 'Arms rise'],
      [5, 6, 'Arms sink'],
      [6, 6.95, 'Rest'],
    ]);
    expect(timesOf('[1:02:03] One two three four five six')).toEqual([[3723, 3726.2, 'One two three four five six']]);
    expect(timesOf('0:01\nArms rise\nand sink\n0:09.5\nRest')).toEqual([
      [1, 3.3, 'Arms rise and sink'],
      [9.5, 10.45, 'Rest'],
    ]);
  });

  it('last a fifth of a second at least', () => {
    expect(timesOf('0:01.0 One\n0:01.1 Two')).toEqual([
      [1, 1.2, 'One'],
      [1.1, 2.05, 'Two'],
    ]);
  });

  it('tell each line of text that has no time, by its number', () => {
    const read = readSrt('stray\nlines\n1\n00:00:01,000 --> 00:00:02,000\nOne\n');
    expect(codesOf(read)).toEqual(['line 1 text-without-time', 'line 2 text-without-time']);
  });
});
