interface Props {
  /** What was changed in another window. */
  readonly what: string;
  readonly onSettle: (keep: 'ours' | 'theirs') => void;
}

/** Two windows changed one thing: which of the two should stand. */
export function ConflictChoice({ what, onSettle }: Props) {
  return (
    <>
      {what} in another window meanwhile. Both versions are safe. Which one should stand?
      <span className="mt-1 flex gap-2">
        <button type="button" className="btn btn-sm" onClick={() => onSettle('ours')}>
          Keep mine
        </button>
        <button type="button" className="btn btn-sm" onClick={() => onSettle('theirs')}>
          Use the other
        </button>
      </span>
    </>
  );
}
