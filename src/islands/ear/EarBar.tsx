import { Ear as EarIcon } from 'lucide-react';
import { issueSentence } from '@/messages/issues';
import type { Ear } from './use-ear';

/** Less likely than this the line shown may be another. */
const SURE = 0.6;

function told({ state, prepared, isFollowed, isAside, isSilent, isSpeaking, share }: Ear): string {
  if (state === 'preparing') return `Getting ready to follow by ear: ${Math.round(100 * prepared)} %`;
  if (isSilent) return 'No sound from the microphone; the clock goes on';
  if (!isFollowed) return 'Uncertain which line it is; the clock goes on until it is known';
  if (isAside) return isSpeaking ? 'Hears you, but no line of the class' : 'Waiting for the line';
  return share < SURE ? 'Following by ear, uncertain' : 'Following by ear';
}

/** Whether the prompter hears, how loud, and how sure it is of the line. */
export function EarBar({ ear }: { readonly ear: Ear }) {
  if (ear.trouble)
    return (
      <p role="alert" className="text-error text-center font-semibold">
        {issueSentence(ear.trouble)}
      </p>
    );
  if (ear.state === 'off') return null;
  return (
    <section
      aria-label="By ear"
      className="mb-2 flex items-center justify-center gap-3 text-lg max-md:text-base"
      data-testid="ear"
    >
      <EarIcon aria-hidden className={ear.isSpeaking ? 'text-primary' : 'quiet-ink'} />
      <span
        role="meter"
        aria-label="Level of the microphone"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(100 * ear.loudness)}
        className="bg-base-200 border-base-300 relative h-3 w-24 overflow-hidden rounded border"
      >
        <span
          className="bg-primary absolute inset-0 origin-left"
          style={{ transform: `scaleX(${ear.loudness.toFixed(2)})` }}
        />
      </span>
      <span role="status">{told(ear)}</span>
    </section>
  );
}
