interface Props {
  /** What is being done: "Measuring". */
  readonly doing: string;
  /** How far it is, 0 to 1; `null` where nobody can say. */
  readonly share: number | null;
  readonly onCancel: () => void;
}

/** Work of more than a second: what is done, how far it is, and how to end it. */
export function Waiting({ doing, share, onCancel }: Props) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2" role="status">
      <progress
        className="progress progress-primary w-56 max-w-full"
        value={share ?? undefined}
        max={1}
        aria-label={doing}
      />
      <span>
        {doing}
        {share !== null && ` · ${Math.round(share * 100)} %`}
      </span>
      <button type="button" className="btn btn-sm" onClick={onCancel}>
        Cancel
      </button>
    </div>
  );
}
