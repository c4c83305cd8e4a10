interface Props {
  readonly label: string;
  readonly checked: boolean;
  readonly title?: string;
  readonly disabled?: boolean;
  readonly onChange: (checked: boolean) => void;
}

/** Yes or no. */
export function CheckBox({ label, checked, title, disabled, onChange }: Props) {
  return (
    <label className="flex min-h-8 cursor-pointer items-center justify-between gap-2" title={title}>
      {label}
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={checked}
        disabled={disabled}
        onChange={(event) => onChange(event.target.checked)}
      />
    </label>
  );
}
