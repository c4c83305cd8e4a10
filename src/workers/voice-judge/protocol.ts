/** A block of sound to judge; see `VoiceJudge`. */
export interface JudgeRequest {
  readonly id: number;
  readonly samples: Float32Array<ArrayBuffer>;
  readonly from: number;
}

export type JudgeReply =
  | { readonly kind: 'ready' }
  | { readonly kind: 'judged'; readonly id: number; readonly likely: Float32Array }
  /** The model could not be loaded, or broke. */
  | { readonly kind: 'failed' };
