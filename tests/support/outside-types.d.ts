declare module 'webvtt-parser' {
  export class WebVTTParser {
    parse(
      text: string,
      mode: string,
    ): { cues: { startTime: number; endTime: number; text: string }[]; errors: { message: string; line: number }[] };
  }
}
