import type { PublishFormat } from '@/core/publish';

export interface Offered {
  readonly format: PublishFormat;
  readonly label: string;
  readonly about: string;
}

export const FORMATS: readonly Offered[] = [
  { format: 'webvtt', label: 'Captions (WebVTT)', about: 'for players on the web' },
  { format: 'srt', label: 'Captions (SRT)', about: 'for most other players' },
  { format: 'chapters', label: 'Chapters (WebVTT)', about: 'a chapters track' },
  { format: 'chapter-list', label: 'Chapters (list)', about: 'lines of m:ss and title, for a description' },
  {
    format: 'description',
    label: 'Description (text)',
    about: 'what it is, chapters and cautions, to stand under a video',
  },
  { format: 'cue-sheet', label: 'Cue sheet (CSV)', about: 'every line with its times, to edit and import again' },
  { format: 'labels', label: 'Labels (tab-separated)', about: 'a label track for audio editors' },
  { format: 'metadata', label: 'Breath and rounds (WebVTT)', about: 'a metadata track for players, with JSON' },
];

/** The take as it was measured. */
export const OF_TAKE: readonly Offered[] = [
  { format: 'reading', label: 'Analysis (JSON)', about: 'what was said when, how certain that is, and what differs' },
];

/** The cut version of a take. */
export const OF_CUTS: readonly Offered[] = [
  { format: 'cut-list', label: 'Cut list (EDL)', about: 'CMX 3600, for video editors' },
];

/** The class itself, to be brought in again without loss. */
export const WHOLE: readonly Offered[] = [
  { format: 'ssml', label: 'Speech (SSML)', about: 'for a speech synthesiser, with the silences' },
  {
    format: 'script',
    label: 'Plain script (text)',
    about: 'the whole class as text that can be read and written by hand',
  },
  { format: 'plan', label: 'Plan (JSON)', about: 'the whole plan, to import again' },
];
