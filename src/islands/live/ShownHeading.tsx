import { BREATH_WORDS } from '@/messages/breath';
import type { Shown } from '@/core/live';

interface Props {
  readonly shown: Shown;
  readonly as?: 'h1' | 'h2';
}

/** The movement with its round and side, to be read from afar, and below it what the breath does. */
export function ShownHeading({ shown, as: Level = 'h2' }: Props) {
  const { name, round, rounds, side, kind, action } = shown;
  const breath = [kind ? BREATH_WORDS[kind] : '', action].filter(Boolean);
  return (
    <div data-testid="count">
      <Level className="prompter-told font-semibold">
        <span>{name}</span>
        {round > 0 && <span className="text-primary"> · {`round ${round} of ${rounds}`}</span>}
        {side !== '' && <span className="text-primary"> · {side}</span>}
      </Level>
      <p className="min-h-9 text-3xl max-md:text-xl">{breath.join(' · ')}</p>
    </div>
  );
}
