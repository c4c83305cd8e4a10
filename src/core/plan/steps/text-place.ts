import type { Form, Moments, Shortened } from '@/core/movement';

/** Where in a step a text stands. */
export type TextPlace =
  | { readonly part: 'phase'; readonly phaseId: string; readonly form: Exclude<Form, 'silent'> }
  | { readonly part: 'teach' | 'line' | 'during'; readonly lineId: string }
  | { readonly part: 'moment'; readonly moment: keyof Moments }
  | { readonly part: 'short'; readonly line: Shortened }
  | { readonly part: 'level'; readonly index: number; readonly line: number }
  | {
      readonly part:
        | 'sideChangeLine'
        | 'wayChangeLine'
        | 'lastRoundLine'
        | 'openingLine'
        | 'reassuranceLine'
        | 'callBackLine'
        | 'transitionLine';
    };

/** Which text of the plan a cue comes from, so that it can be edited where it stands. */
export type CueSource = TextPlace | { readonly part: 'phase'; readonly phaseId: string; readonly form: 'silent' };

/** A short name for the place of a text, which stays while the text does. */
export function placeName(place: CueSource): string {
  if (place.part === 'phase') return `phase ${place.phaseId} ${place.form}`;
  if ('lineId' in place) return `${place.part} ${place.lineId}`;
  if (place.part === 'moment') return `moment ${place.moment}`;
  if (place.part === 'short') return `short ${place.line}`;
  if (place.part !== 'level') return place.part;
  return place.line === 0 ? `level ${place.index}` : `level ${place.index} ${place.line}`;
}

/** One text that is said in a step, its tokens not filled; empty ones are not told. */
export interface StepText {
  readonly text: string;
  readonly place: TextPlace;
}

/** Gives a text anew. */
export type TextChange = (text: string, place: TextPlace) => string;
