/** The voice-activity model; see `VoiceJudge`. Both reject when the model could not be loaded, or broke. */
export interface JudgeWorker {
  ready(): Promise<void>;
  judge(samples: Float32Array<ArrayBuffer>, from: number): Promise<Float32Array>;
}
