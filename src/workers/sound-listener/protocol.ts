import type { Listened } from '@/files/listen';
import type { Issue, Result } from '@/core/units';

/** To the worker: a file to listen to, the rate at which its sound is wanted, and that a piece has been taken. */
export type ListenRequest =
  { readonly kind: 'listen'; readonly file: File; readonly rate: number } | { readonly kind: 'taken' };

export type ListenReply =
  /** Mono sound at the rate that was asked for, and how much of the file has passed, 0 to 1. */
  | { readonly kind: 'piece'; readonly samples: Float32Array<ArrayBuffer>; readonly share: number }
  | { readonly kind: 'end'; readonly heard: Result<Listened, Issue> };
