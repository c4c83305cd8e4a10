import type { Command } from '@/core/live';

/** Whether news of a live class come in, for those who follow it. */
export const FOLLOW_LINK_WORDS = {
  open: 'In step with the class',
  away: 'No connection; the page goes on and catches up later',
  over: 'Over',
} as const;

/** The same for a phone that moves the class on. */
export const REMOTE_LINK_WORDS = {
  open: 'Connected',
  away: 'No connection; a press waits for a few seconds, then is dropped',
  over: 'This live class is over.',
} as const;

/** Buttons of a remote. */
export const COMMAND_WORDS: Readonly<Record<Command, string>> = {
  go: 'Resume',
  hold: 'Pause',
  'next-line': 'Next line',
  'line-back': 'Previous line',
  'next-step': 'Next movement',
  stay: 'Stay here',
};

/** How showing a class to others goes, for its instructor. */
export const SHARE_STATE_WORDS = {
  told: 'The class is shown. Those who follow are in step with you.',
  away: 'The server does not answer. The prompter goes on; those who follow are told as soon as it is back.',
  another: 'Another prompter now leads this class. It is no longer shown from here.',
  over: 'The class is no longer shown: its code has ended.',
} as const;
