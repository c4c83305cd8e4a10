import { useCombobox } from 'downshift';
import { useEffect, useState } from 'react';
import { send } from '@/api/client';
import type { Found } from '@/api/studio';
import { formatClock } from '@/core/units';
import { Dialog } from '../parts/Dialog';

interface Props {
  readonly onClose: () => void;
  /** Follows a link after what waits was saved. */
  readonly onAway?: (href: string) => void;
}

interface Offer {
  readonly href: string;
  readonly words: string;
  readonly about: string;
}

const PAUSE_MILLISECONDS = 120;

/** Finds a class or a movement by words of its name, and opens it. */
export function FindDialog({ onClose, onAway }: Props) {
  const [typed, setTyped] = useState('');
  const [found, setFound] = useState<{ readonly of: string; readonly offers: readonly Offer[] } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const words = typed.trim();
  useEffect(() => {
    if (words === '') return undefined;
    let wanted = true;
    const timer = setTimeout(() => {
      void send<Found>('GET', `/api/find?words=${encodeURIComponent(words)}`).then((answer) => {
        if (!wanted) return;
        setTrouble(answer.ok ? null : answer.problem.detail);
        if (answer.ok) setFound({ of: words, offers: offersOf(answer.value) });
      });
    }, PAUSE_MILLISECONDS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [words]);
  const offers = words === '' ? [] : (found?.offers ?? []);
  const open = ({ href }: Offer): void => {
    onClose();
    if (onAway) onAway(href);
    else location.assign(href);
  };
  const { getLabelProps, getMenuProps, getInputProps, getItemProps, highlightedIndex } = useCombobox<Offer>({
    items: [...offers],
    inputValue: typed,
    defaultHighlightedIndex: 0,
    isOpen: true,
    itemToString: (offer) => offer?.words ?? '',
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) open(selectedItem);
    },
  });
  return (
    <Dialog title="Find" onClose={onClose}>
      <label className="quiet-ink text-sm" {...getLabelProps()}>
        A class or movement
      </label>
      <input
        className="input w-full"
        data-first
        {...getInputProps({
          autoComplete: 'off',
          maxLength: 200,
          onChange: (event) => setTyped(event.currentTarget.value),
          onKeyDown: (event) => {
            // Escape closes the dialog; the list has nothing to close.
            if (event.key === 'Escape') Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
          },
        })}
      />
      <ul className="mt-2 min-h-40" {...getMenuProps()}>
        {offers.map((offer, index) => (
          <li
            key={offer.href}
            className={`flex min-h-9 cursor-pointer items-center justify-between gap-3 rounded px-2 ${highlightedIndex === index ? 'bg-secondary' : ''}`}
            {...getItemProps({ item: offer, index })}
          >
            <span className="truncate">{offer.words}</span>
            <span className="quiet-ink shrink-0 text-sm">{offer.about}</span>
          </li>
        ))}
      </ul>
      <p role="status" className="quiet-ink text-sm">
        {trouble ??
          (found?.of === words && words !== '' && offers.length === 0 ? 'Nothing has these words in its name.' : '')}
      </p>
    </Dialog>
  );
}

function offersOf({ classes, movements }: Found): Offer[] {
  return [
    ...classes.map(({ id, title, runtimeSeconds }) => ({
      href: `/classes/${id}`,
      words: title,
      about: `class, ${formatClock(runtimeSeconds)}`,
    })),
    ...movements.map(({ id, name }) => ({ href: `/library#${id}`, words: name, about: 'movement' })),
  ];
}
