import { itemAt } from '@/core/units';
import { useCombobox } from 'downshift';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import type { LibraryEntry } from '@/api/movements';
import type { SectionRole } from '@/core/movement';
import { likelyKinds, readTypedStep, stepTyped, withWritten, type TypedStep } from '@/core/plain-script';
import {
  isMovement,
  isSilence,
  LIMITS,
  makeStep,
  STEP_KINDS,
  stepOf,
  type Section,
  type Step,
  type StepKind,
} from '@/core/plan';
import { STEP_KIND_WORDS } from '@/messages/steps';
import { findMovements } from '../../library/find-movements';
import { fetchMovement, useLibrary } from '../library-context';
import { viewOf } from '../steps';
import { useDeskStore } from '../use-desk';

type Offer = { readonly key: string; readonly typed: TypedStep } & (
  { readonly kind: 'library'; readonly entry: LibraryEntry } | { readonly kind: StepKind }
);

const OFFERED_AT_MOST = 8;
const TAKING: ReadonlySet<unknown> = new Set([
  useCombobox.stateChangeTypes.ItemClick,
  useCombobox.stateChangeTypes.InputKeyDownEnter,
]);
const newId = (): string => crypto.randomUUID();

/** Adds steps at the end of a section: type a name, take it from the library or make it new. */
export const AddStep = memo(function AddStep({ section }: { readonly section: Section }) {
  const desk = useDeskStore();
  const library = useLibrary();
  const [typed, setTyped] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  // Looking through a long library takes longer than a key: the list follows what is typed, it does not hold it up.
  const searched = useDeferredValue(typed);
  const { role } = section;
  const offers = useMemo(() => offersFor(library, role, searched), [library, role, searched]);
  const insert = (step: Step): void => {
    const index = desk.getState().plan.sections.find((one) => one.id === section.id)?.steps.length ?? 0;
    desk.edit({ kind: 'insert-step', sectionId: section.id, index, step });
    desk.select(step.id);
  };
  const take = async (offer: Offer): Promise<void> => {
    setTrouble(null);
    if (offer.kind !== 'library') return insert(stepTyped(newId, offer.kind, offer.typed));
    const found = await fetchMovement(offer.entry.id);
    if (!found) return setTrouble('The library does not answer at the moment. Try again, or add a new movement.');
    const taken = stepOf(newId, found.movement, { movementId: found.id, revision: found.revision });
    return insert(withWritten(taken, offer.typed.step, offer.typed.counts));
  };
  const { isOpen, getLabelProps, getMenuProps, getInputProps, highlightedIndex, getItemProps } = useCombobox<Offer>({
    id: `add-${section.id}`,
    items: offers,
    inputValue: typed,
    selectedItem: null,
    defaultHighlightedIndex: 0,
    itemToString: (offer) => (offer?.kind === 'library' ? offer.entry.summary.name : (offer?.typed.name ?? '')),
    stateReducer: (state, { type, changes }) => {
      // Leaving the field adds nothing; it takes a press or Enter.
      if (type === useCombobox.stateChangeTypes.InputBlur) {
        return { ...changes, selectedItem: null, inputValue: state.inputValue };
      }
      return TAKING.has(type) ? { ...changes, selectedItem: changes.selectedItem, inputValue: '' } : changes;
    },
    onStateChange: ({ type }) => {
      // What is typed is kept where it is typed, at once: told afterwards it would overwrite the next key.
      if (TAKING.has(type) || type === useCombobox.stateChangeTypes.InputKeyDownEscape) setTyped('');
    },
    onSelectedItemChange: ({ selectedItem }) => {
      if (selectedItem) void take(selectedItem);
    },
  });
  // Nothing typed, nothing offered: the list would lie over the sections that follow.
  const showing = isOpen && typed.trim() !== '';
  return (
    <div
      className="no-print relative flex flex-wrap items-center gap-1 py-2 pl-14 max-md:pl-2"
      role="group"
      aria-label={`Add to ${section.title}`}
    >
      <label className="sr-only" {...getLabelProps()}>
        Add a step to {section.title}
      </label>
      <input
        className="input input-sm w-64 max-w-full"
        maxLength={LIMITS.titleCharacters}
        placeholder="Add a step: name, 3 each side"
        {...getInputProps({
          onChange: (event) => setTyped(event.target.value),
          onKeyDown: (event) => {
            // These move the caret, as in any field.
            if (event.key === 'Home' || event.key === 'End')
              Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
            if (event.key !== 'Enter' || (typed === searched && typed.trim() !== '') || event.nativeEvent.isComposing)
              return;
            // The list has not caught up: what is taken is what was typed, not what it showed a key before.
            Object.assign(event.nativeEvent, { preventDownshiftDefault: true });
            if (typed.trim() === '') return;
            void take(itemAt(offersFor(library, role, typed), 0));
            setTyped('');
          },
        })}
      />
      {STEP_KINDS.map((kind) => (
        <button
          key={kind}
          type="button"
          className="btn btn-xs btn-ghost max-md:hidden"
          onClick={() => insert(makeStep(newId, kind))}
        >
          + {capital(STEP_KIND_WORDS[kind])}
        </button>
      ))}
      <ul
        {...getMenuProps()}
        className={`bg-base-100 border-base-300 absolute left-14 top-11 z-20 w-80 max-w-[86vw] rounded max-md:left-2 border shadow-lg ${showing ? '' : 'hidden'}`}
      >
        {showing &&
          offers.map((offer, index) => (
            <li
              key={offer.key}
              className={`min-h-8 cursor-pointer px-3 py-1 ${highlightedIndex === index ? 'bg-secondary' : ''}`}
              {...getItemProps({ item: offer, index })}
            >
              {offer.kind === 'library' ? (
                <>
                  {offer.entry.summary.name}{' '}
                  <span className="quiet-ink text-sm">{offer.entry.summary.traditionalName}</span>
                </>
              ) : (
                <span className="quiet-ink">
                  New {STEP_KIND_WORDS[offer.kind]}
                  {offer.typed.name === '' ? '' : ` “${offer.typed.name}”`}
                </span>
              )}
              {amountWords(offer) !== '' && <span className="text-primary text-sm"> {amountWords(offer)}</span>}
            </li>
          ))}
      </ul>
      {trouble && (
        <p role="alert" className="text-error w-full text-sm">
          {trouble}
        </p>
      )}
    </div>
  );
});

/** Library movements that match what was typed, then the kinds of step by that name, the likeliest first. */
function offersFor(library: readonly LibraryEntry[], role: SectionRole, line: string): Offer[] {
  const typed = readTypedStep(newId, line);
  const found = findMovements(library, typed.name, {}).slice(0, OFFERED_AT_MOST);
  const kinds = likelyKinds(role, typed).map((kind): Offer => ({ kind, key: kind, typed }));
  const entries = found.map((entry): Offer => ({ kind: 'library', key: entry.id, entry, typed }));
  // A silence of so long is no movement of the library.
  if (isSilence(typed.step)) return [...kinds, ...entries];
  // What is called so comes first; what only has to do with it, by a tag, comes after what was typed.
  const named = new Set(found.filter((entry) => isNamed(entry, typed.name)));
  const isNamedOffer = (offer: Offer): boolean => offer.kind === 'library' && named.has(offer.entry);
  return [...entries.filter(isNamedOffer), ...kinds, ...entries.filter((offer) => !isNamedOffer(offer))];
}

function isNamed({ summary }: LibraryEntry, name: string): boolean {
  const asked = name.toLowerCase();
  return [summary.name, summary.traditionalName, ...summary.otherNames].some((one) =>
    one.toLowerCase().includes(asked),
  );
}

/** How the amount behind a name was understood. */
function amountWords({ kind, typed: { step } }: Offer): string {
  const means = kind === 'library' ? isMovement(step) : step?.kind === kind;
  return step && means ? viewOf(step).amount(step) : '';
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
