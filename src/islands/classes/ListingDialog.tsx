import { format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import { LISTING_LIMITS, type ListedClass, type Listing } from '@/api/classes';
import { send } from '@/api/client';
import { Dialog } from '@/ui/parts/Dialog';

interface Props {
  readonly entry: ListedClass;
  readonly known: readonly string[];
  readonly onSaved: (listing: Listing) => void;
  readonly onClose: () => void;
}

/** Tags of a class, and when it is given live. */
export function ListingDialog({ entry, known, onSaved, onClose }: Props) {
  const [stored, setStored] = useState<Listing | null>(null);
  const [tags, setTags] = useState('');
  const [dates, setDates] = useState<readonly string[]>([]);
  const [date, setDate] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const path = `/api/classes/${entry.id}/listing`;
  useEffect(() => {
    void send<Listing>('GET', path).then((answer) => {
      if (!answer.ok) return setTrouble(answer.problem.detail);
      setStored(answer.value);
      setTags(answer.value.tags.join(', '));
      return setDates(answer.value.liveDates);
    });
  }, [path]);
  const named = [...new Set(tags.split(',').map((one) => one.trim()))].filter(Boolean);
  const tooMany = named.length > LISTING_LIMITS.tags;
  const tooLong = named.find((one) => [...one].length > LISTING_LIMITS.tagCharacters);
  const at = date === '' ? null : new Date(date);
  const usable = at !== null && !Number.isNaN(at.getTime()) && at.getFullYear() >= 2000 && at.getFullYear() < 2100;
  const withDate = usable ? [...new Set([...dates, at.toISOString()])].sort() : dates;
  const save = async (): Promise<void> => {
    const next = { tags: named, liveDates: withDate };
    const answer = await send<Listing>('PUT', path, { was: stored, next });
    if (answer.ok) return onSaved(answer.value);
    return setTrouble(
      answer.status === 409
        ? 'Somebody changed these in another window meanwhile. Nothing was overwritten; close this and open it again.'
        : answer.problem.detail,
    );
  };
  return (
    <Dialog title={`Tags and live dates of ${entry.title}`} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <label className="flex flex-col">
          Tags, with commas between them
          <input
            className="input w-full"
            value={tags}
            list="known-tags"
            autoComplete="off"
            maxLength={600}
            disabled={!stored}
            onChange={(event) => setTags(event.target.value)}
          />
        </label>
        {known.length > 0 && <p className="quiet-ink mt-1 text-sm">In use: {known.join(', ')}</p>}
        {(tooMany || tooLong) && (
          <p role="alert" className="text-error text-sm">
            {tooMany
              ? `At most ${LISTING_LIMITS.tags} tags.`
              : `“${tooLong}” is longer than ${LISTING_LIMITS.tagCharacters} characters.`}
          </p>
        )}
        <fieldset className="mt-4">
          <legend className="font-semibold">Live dates</legend>
          <ul>
            {dates.map((one) => (
              <li key={one} className="border-base-300 flex items-center justify-between border-b py-1">
                {format(parseISO(one), 'EEEE, d MMMM yyyy, HH:mm')}
                <button
                  type="button"
                  className="btn btn-xs"
                  onClick={() => setDates(dates.filter((kept) => kept !== one))}
                >
                  Remove
                </button>
              </li>
            ))}
          </ul>
          <div className="mt-2 flex flex-wrap items-end gap-2">
            <label className="flex flex-col">
              Date and time
              <input
                type="datetime-local"
                className="input"
                value={date}
                min="2000-01-01T00:00"
                max="2099-12-31T23:59"
                onChange={(event) => setDate(event.target.value)}
              />
            </label>
            <button
              type="button"
              className="btn"
              disabled={!usable || dates.length >= LISTING_LIMITS.liveDates}
              onClick={() => {
                setDates(withDate);
                setDate('');
              }}
            >
              Add date
            </button>
          </div>
        </fieldset>
        <CalendarLink />
        {trouble && (
          <p role="alert" className="text-error mt-2">
            {trouble}
          </p>
        )}
        <div className="mt-4 flex gap-2">
          <button type="submit" className="btn btn-primary" disabled={!stored || tooMany || tooLong !== undefined}>
            Save
          </button>
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
        </div>
      </form>
    </Dialog>
  );
}

/** Where every coming date of the studio is, for a calendar. */
function CalendarLink() {
  return (
    <p className="mt-2 text-sm">
      <a className="link" href="/calendar.ics">
        All coming live dates as a calendar (.ics)
      </a>
      , to be opened in a calendar or subscribed to.
    </p>
  );
}
