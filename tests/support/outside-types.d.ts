declare module 'webvtt-parser' {
  export class WebVTTParser {
    parse(
      text: string,
      mode: string,
    ): { cues: { startTime: number; endTime: number; text: string }[]; errors: { message: string; line: number }[] };
  }
}

declare module 'smpte-timecode' {
  export default function createTimecode(frame: number, frameRate: number, dropFrame: boolean): { toString(): string };
}
