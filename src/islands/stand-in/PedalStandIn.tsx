import { useState } from 'react';

/** Keys that pedals and presenter remotes send. */
const PEDALS = [
  { says: 'Left pedal', key: 'PageUp' },
  { says: 'Right pedal', key: 'PageDown' },
  { says: 'Arrow left', key: 'ArrowLeft' },
  { says: 'Arrow right', key: 'ArrowRight' },
  { says: 'Long press', key: ' ' },
] as const;

/** Stands in for a pedal: the prompter of a class, and buttons that send it a pedal's keys. */
export function PedalStandIn({ classId }: { readonly classId: string }) {
  const [prompter, setPrompter] = useState<Window | null>(null);
  const tread = (key: string): void => {
    if (!prompter || prompter.closed) return;
    // A key goes to what has the focus in the prompter's page, as one that was pressed does.
    const target = prompter.document.activeElement ?? prompter.document.body;
    const code = key === ' ' ? 'Space' : key;
    for (const kind of ['keydown', 'keyup']) {
      target.dispatchEvent(new KeyboardEvent(kind, { key, code, bubbles: true, cancelable: true }));
    }
  };
  return (
    <main id="main" className="mx-auto flex max-w-xl flex-col gap-4 p-4">
      <h1 className="text-xl font-semibold">Stand-in for a pedal</h1>
      <p>Opens the prompter in its own window. A pedal pressed here sends it the same keys as a real pedal.</p>
      <button
        type="button"
        className="btn self-start"
        onClick={() => setPrompter(window.open(`/classes/${classId}/perform`, 'calm-count-pedal', 'popup'))}
      >
        Open the prompter
      </button>
      <div role="group" aria-label="Pedals" className="grid grid-cols-2 gap-3">
        {PEDALS.map(({ says, key }) => (
          <button
            key={key}
            type="button"
            className="btn h-20 text-xl"
            disabled={prompter === null}
            onClick={() => tread(key)}
          >
            {says}
          </button>
        ))}
      </div>
    </main>
  );
}
