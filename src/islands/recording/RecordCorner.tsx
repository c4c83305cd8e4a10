import { useEffect, useRef } from 'react';
import { formatClock } from '@/core/units';
import { issueSentence } from '@/messages/issues';
import type { Recording } from './use-recorder';

interface Props {
  readonly recording: Recording;
}

/** What is recorded, small in a corner of the prompter, with its level; nobody else sees it. */
export function RecordCorner({ recording }: Props) {
  const { state, stream, loudness, clips, isSilent, seconds, trouble } = recording;
  const picture = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    if (picture.current) picture.current.srcObject = stream;
  }, [stream]);
  if (state === 'off' && trouble === null) return null;
  const told = clips ? 'Too loud' : isSilent ? 'No sound' : '';
  return (
    <section
      aria-label="Recording"
      className="bg-base-100 border-base-300 rounded-box pointer-events-none absolute top-28 right-6 z-10 flex w-fit max-w-64 flex-col gap-1 border p-2 max-md:top-24 max-md:right-3 max-md:flex-row-reverse max-md:items-center max-md:border-0 max-md:px-1 max-md:py-0 max-md:text-sm"
    >
      {state === 'asking' && <p role="status">Asking for the camera and the microphone</p>}
      {state === 'on' && (
        <>
          <div className="flex gap-2">
            <video ref={picture} autoPlay muted playsInline className="aspect-video w-40 bg-black max-md:hidden" />
            <LevelBar loudness={loudness} clips={clips} />
          </div>
          <p role="status">
            Recording {formatClock(seconds)}
            {told !== '' && <strong className="text-error"> · {told}</strong>}
          </p>
        </>
      )}
      {trouble && (
        <p role="alert" className="text-error font-semibold">
          {issueSentence(trouble)}
        </p>
      )}
    </section>
  );
}

/** How loud it is, as a bar that rises. */
function LevelBar({ loudness, clips }: { readonly loudness: number; readonly clips: boolean }) {
  return (
    <div
      role="meter"
      aria-label="Level of the microphone"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(loudness * 100)}
      className="border-base-300 bg-base-200 relative min-h-5 w-3 overflow-hidden rounded border"
    >
      <div
        className={`absolute inset-0 origin-bottom ${clips ? 'bg-error' : 'bg-primary'}`}
        style={{ transform: `scaleY(${loudness.toFixed(2)})` }}
      />
    </div>
  );
}
