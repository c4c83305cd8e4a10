import { AArrowDown, AArrowUp, Captions, CaptionsOff, SunMoon } from 'lucide-react';
import { useState, type ReactNode } from 'react';

/** How a follower has the page, kept in their browser. */
interface Look {
  readonly size: number;
  readonly ground: (typeof GROUNDS)[number];
  /** Whether what is said is written out. */
  readonly words: boolean;
}

const GROUNDS = ['as the page', 'light', 'dark'] as const;
const NAME = 'follow-look';
const USUAL: Look = { size: 100, ground: 'as the page', words: true };
const SIZES = { min: 60, max: 160, step: 20 };

function kept(): Look {
  try {
    const found = JSON.parse(localStorage.getItem(NAME) ?? '{}') as Partial<Look>;
    const size = Number(found.size ?? USUAL.size);
    return {
      size: size >= SIZES.min && size <= SIZES.max ? size : USUAL.size,
      ground: GROUNDS.find((one) => one === found.ground) ?? USUAL.ground,
      words: found.words !== false,
    };
  } catch {
    return USUAL;
  }
}

export function useFollowLook(): readonly [Look, (part: Partial<Look>) => void] {
  const [look, setLook] = useState(kept);
  const set = (part: Partial<Look>): void => {
    const now = { ...look, ...part };
    setLook(now);
    try {
      localStorage.setItem(NAME, JSON.stringify(now));
    } catch {
      // A browser that keeps nothing has it for this time.
    }
  };
  return [look, set];
}

interface Props {
  readonly look: Look;
  readonly onChange: (part: Partial<Look>) => void;
}

/** Size, ground and words of one's own. */
export function FollowLook({ look, onChange }: Props) {
  const { size, ground, words } = look;
  const next = GROUNDS[(GROUNDS.indexOf(ground) + 1) % GROUNDS.length] ?? USUAL.ground;
  return (
    <div role="group" aria-label="How this page looks" className="flex gap-2">
      <LookButton says="Smaller words" off={size <= SIZES.min} onClick={() => onChange({ size: size - SIZES.step })}>
        <AArrowDown aria-hidden />
      </LookButton>
      <LookButton says="Larger words" off={size >= SIZES.max} onClick={() => onChange({ size: size + SIZES.step })}>
        <AArrowUp aria-hidden />
      </LookButton>
      <LookButton says={`Ground: ${ground}; change it to ${next}`} onClick={() => onChange({ ground: next })}>
        <SunMoon aria-hidden />
      </LookButton>
      <LookButton says={words ? 'Hide what is said' : 'Show what is said'} onClick={() => onChange({ words: !words })}>
        {words ? <Captions aria-hidden /> : <CaptionsOff aria-hidden />}
      </LookButton>
    </div>
  );
}

interface ButtonProps {
  readonly says: string;
  readonly off?: boolean;
  readonly children: ReactNode;
  readonly onClick: () => void;
}

function LookButton({ says, off = false, children, onClick }: ButtonProps) {
  return (
    <button
      type="button"
      className="btn btn-square h-11 w-11"
      aria-label={says}
      title={says}
      disabled={off}
      onClick={onClick}
    >
      {children}
    </button>
  );
}
