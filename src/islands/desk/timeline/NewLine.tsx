import { useState } from 'react';
import { TextField } from '@/ui/parts/TextField';
import { LINE_LIMIT } from './cue-text';

interface Props {
  readonly label: string;
  readonly placeholder: string;
  /** With what was typed, nothing where that was nothing, once the field is left. */
  readonly onDone: (text: string) => void;
}

/** A line that is written before there is one. */
export function NewLine({ label, placeholder, onDone }: Props) {
  const [text, setText] = useState('');
  return (
    <TextField
      label={label}
      hideLabel
      spoken
      startFocused
      placeholder={placeholder}
      className="text-lg leading-6"
      max={LINE_LIMIT}
      value={text}
      onChange={setText}
      onDone={() => onDone(text.trim())}
    />
  );
}
