import { mediaPath, type MovementMedia as Media } from '@/api/movements';

interface Props {
  readonly movementId: string;
  readonly name: string;
  readonly media: Media;
  readonly className?: string;
  /** Small, for lists: a clip shows its first picture and is not played. */
  readonly small?: boolean;
}

/** The picture or clip of a movement. */
export function MovementMedia({ movementId, name, media, className = '', small }: Props) {
  const source = mediaPath(movementId, media);
  if (media.contentType.startsWith('image/')) {
    return <img src={source} alt={small ? '' : `${name}, pictured`} loading="lazy" className={className} />;
  }
  return (
    <video
      src={source}
      muted
      playsInline
      loop
      controls={!small}
      preload="metadata"
      aria-label={`${name}, clip`}
      aria-hidden={small}
      tabIndex={small ? -1 : undefined}
      className={className}
    />
  );
}
