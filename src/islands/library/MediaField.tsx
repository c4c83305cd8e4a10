import { useId, useState } from 'react';
import { MEDIA_BYTES, type MovementMedia as Media } from '@/api/movements';
import { send, upload } from '@/api/client';
import { Waiting } from '@/ui/parts/Waiting';
import { MovementMedia } from '@/ui/parts/MovementMedia';

interface Props {
  readonly movementId: string;
  readonly name: string;
  readonly media: Media | null;
  readonly onChange: (media: Media | null) => void;
}

/** The picture or clip of a movement: chosen, shown, taken away. */
export function MediaField({ movementId, name, media, onChange }: Props) {
  const [sending, setSending] = useState<{ readonly share: number; readonly gone: AbortController } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const id = useId();
  const path = `/api/movements/${movementId}/media`;
  const choose = async (file: File): Promise<void> => {
    setTrouble(null);
    if (file.size > MEDIA_BYTES) return setTrouble(`${file.name} is larger than 5 MB. Choose a smaller one.`);
    const gone = new AbortController();
    setSending({ share: 0, gone });
    const answer = await upload<Media>(path, file, (share) => setSending({ share, gone }), gone.signal);
    setSending(null);
    if (!answer) return undefined;
    if (answer.ok) return onChange(answer.value);
    return setTrouble(`${file.name}: ${answer.problem.detail}`);
  };
  const remove = async (): Promise<void> => {
    const answer = await send('DELETE', path);
    if (answer.ok) return onChange(null);
    return setTrouble(answer.problem.detail);
  };
  return (
    <section aria-label="Picture or clip" className="my-3">
      <label htmlFor={id} className="font-semibold">
        Picture or clip
      </label>
      {media && (
        <MovementMedia movementId={movementId} name={name} media={media} className="my-2 max-h-56 max-w-full rounded" />
      )}
      <p className="quiet-ink text-sm">
        Up to 5 MB; a clip up to a minute. It is stored with the studio, without the place where it was taken.
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-2">
        <input
          id={id}
          type="file"
          className="file-input file-input-sm max-w-full"
          accept="image/jpeg,image/png,image/webp,video/mp4,video/webm,video/quicktime"
          disabled={sending !== null}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) void choose(file);
          }}
        />
        {media && (
          <button type="button" className="btn btn-sm" onClick={() => void remove()}>
            Remove picture
          </button>
        )}
        {sending && <Waiting doing="Uploading" share={sending.share} onCancel={() => sending.gone.abort()} />}
      </div>
      {trouble && (
        <p role="alert" className="text-error text-sm">
          {trouble}
        </p>
      )}
    </section>
  );
}
