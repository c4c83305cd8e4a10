import { useState } from 'react';
import type { Performance } from '@/core/conductor';

/** How the prompter looks and moves, kept in this browser. */
export interface PrompterSettings {
  /** Of the words, in per cent. */
  readonly size: number;
  /** Left and right changed about, for a glass in front of a camera. */
  readonly mirror: boolean;
  /** Seconds counted down before the start. */
  readonly countdown: number;
  /** Whether a change that lands the class is taken by itself. */
  readonly landsByItself: boolean;
  /** What moves it on from line to line. */
  readonly moves: Performance['by'];
  readonly ground: 'as the page' | 'light' | 'dark';
}

const NAME = 'prompter-settings';
const USUAL: PrompterSettings = {
  size: 100,
  mirror: false,
  countdown: 0,
  landsByItself: false,
  moves: 'clock',
  ground: 'as the page',
};
export const SIZES = { min: 60, max: 160, step: 10 } as const;
const MOVES: readonly Performance['by'][] = ['clock', 'hand', 'ear'];
export const COUNTDOWNS = [0, 3, 5, 10] as const;

function kept(): PrompterSettings {
  try {
    const found = JSON.parse(localStorage.getItem(NAME) ?? '{}') as Partial<PrompterSettings>;
    const size = Number(found.size ?? USUAL.size);
    return {
      size: size >= SIZES.min && size <= SIZES.max ? size : USUAL.size,
      mirror: found.mirror === true,
      countdown: COUNTDOWNS.find((one) => one === found.countdown) ?? USUAL.countdown,
      landsByItself: found.landsByItself === true,
      moves: MOVES.find((one) => one === found.moves) ?? USUAL.moves,
      ground: found.ground === 'light' || found.ground === 'dark' ? found.ground : USUAL.ground,
    };
  } catch {
    return USUAL;
  }
}

export function usePrompterSettings(): readonly [PrompterSettings, (part: Partial<PrompterSettings>) => void] {
  const [settings, setSettings] = useState(kept);
  const set = (part: Partial<PrompterSettings>): void => {
    setSettings((before) => {
      const now = { ...before, ...part };
      try {
        localStorage.setItem(NAME, JSON.stringify(now));
      } catch {
        // A browser that keeps nothing has them for this time.
      }
      return now;
    });
  };
  return [settings, set];
}
