interface Props {
  readonly label: string;
  readonly pinned: boolean;
  readonly onChange: (pinned: boolean) => void;
}

/** What is pinned is left alone by the fit. */
export function PinBox({ label, pinned, onChange }: Props) {
  return (
    <label className="flex min-h-8 cursor-pointer items-center justify-between gap-2">
      {label}
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={pinned}
        onChange={(event) => onChange(event.target.checked)}
      />
    </label>
  );
}
