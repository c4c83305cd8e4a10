import type { RefObject } from 'react';
import { Pause, Play, Repeat, Rewind } from 'lucide-react';
import { formatExactClock, type Seconds } from '@/core/units';
import type { Recording } from '@/core/reading';
import { pickFile, type AttachedFile } from './attached-file';
import type { Player } from './player';

interface Props {
  readonly source: string | null;
  readonly media: RefObject<HTMLVideoElement | null>;
  readonly player: Player;
  readonly attached: AttachedFile;
  readonly recording: Recording | null;
  /** The caption as it will be published, at the place that is played. */
  readonly caption: string | null;
  readonly onLoop: () => void;
}

/** The picture or the sound of the take, with the caption over it. */
export function PlayerDock({ source, media, player, attached, recording, caption, onLoop }: Props) {
  return (
    <section aria-label="The recording" className="border-base-300 border-b pb-4">
      <div
        className={`relative rounded ${attached.hasPicture ? 'bg-neutral' : 'bg-base-200 flex min-h-14 items-center'}`}
      >
        {/* One element for both, so that attaching a picture loses no place. The captions stand over it. */}
        <video
          ref={media}
          src={source ?? undefined}
          preload="auto"
          playsInline
          className={attached.hasPicture ? 'max-h-64 w-full rounded' : 'hidden'}
        />
        <p
          data-testid="caption-now"
          className={`font-serif text-lg whitespace-pre-line text-center ${
            attached.hasPicture ? 'text-neutral-content absolute inset-x-3 bottom-2' : 'w-full px-3 leading-6'
          }`}
        >
          {caption ?? ''}
        </p>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-sm" disabled={!source} onClick={() => player.skip(-5)}>
          <Rewind size={14} aria-hidden /> 5 s
        </button>
        <button type="button" className="btn btn-sm btn-primary w-24" disabled={!source} onClick={player.toggle}>
          {player.playing ? <Pause size={14} aria-hidden /> : <Play size={14} aria-hidden />}
          {player.playing ? 'Pause' : 'Play'}
        </button>
        <button
          type="button"
          className="btn btn-sm"
          disabled={!source}
          aria-pressed={player.loop !== null}
          onClick={onLoop}
        >
          <Repeat size={14} aria-hidden /> {player.loop ? 'Looping' : 'Loop the line'}
        </button>
        <span className="ml-auto text-lg" aria-label="Place in the recording">
          {formatExactClock(player.seconds)}
        </span>
      </div>
      <Attach attached={attached} recording={recording} hasSound={source !== null} />
    </section>
  );
}

function Attach({
  attached,
  recording,
  hasSound,
}: {
  readonly attached: AttachedFile;
  readonly recording: Recording | null;
  readonly hasSound: boolean;
}) {
  if (attached.url) return null;
  const picks = typeof window !== 'undefined' && 'showOpenFilePicker' in window;
  return (
    <div className="mt-2 text-sm">
      <p>
        {hasSound ? 'This plays the audio proxy.' : 'No sound was saved with this take.'}{' '}
        {recording?.file
          ? `To see the picture, choose “${recording.file.name}” again.`
          : 'Choose its recording to hear it.'}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        <label className="flex flex-col">
          <span className="sr-only">Choose the recording</span>
          <input
            type="file"
            className="file-input file-input-sm max-w-full"
            accept="audio/*,video/*,.wav,.mp3,.m4a,.mp4,.mov,.webm,.ogg,.flac"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) void attached.attach(file);
            }}
          />
        </label>
        {picks && (
          <button
            type="button"
            className="btn btn-sm"
            onClick={() => void pickFile().then((found) => found && attached.attach(found.file, found.handle))}
          >
            Choose and remember
          </button>
        )}
      </div>
      {attached.problem && (
        <p role="alert" className="text-error mt-1 font-semibold">
          {attached.problem}
        </p>
      )}
    </div>
  );
}

/** How much is heard before a line, so that its beginning is not missed. */
export const LEAD: Seconds = 0.4;
