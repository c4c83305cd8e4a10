import type { Milliseconds } from '@/core/units';
import type { Stretch } from '@/core/plan';
import type { Weights } from './cost';

/** Something that may stretch and shrink: a silence, an own-pace movement, a talk with a tempo. */
export interface ElasticItem {
  readonly stepId: string;
  /** `landing` is no step's: it is how far from the target the class may end. */
  readonly kind: Stretch['of'] | 'landing';
  /** Place in the class, to break ties. */
  readonly order: number;
  readonly min: Milliseconds;
  readonly preferred: Milliseconds;
  readonly max: Milliseconds;
  readonly costPerMillisecond: number;
  /** The steps that it is the time of: its own, or those that are tied to it too. */
  readonly parts: readonly TiedPart[];
}

/** One step of something that stretches. */
export interface TiedPart {
  readonly stepId: string;
  /** Of all times together that it is performed. */
  readonly preferred: Milliseconds;
  readonly times: 1 | 2;
}

/** How the choices of an item come about; see `writeChoices`. */
export type ItemKind =
  /** Whole rounds of breath: these counts at these costs. */
  | { readonly what: 'rounds'; readonly rounds: readonly number[]; readonly costs: readonly number[] }
  /** Whole rounds that fill a time. */
  | {
      readonly what: 'clock';
      readonly multiple: number;
      readonly min: Milliseconds;
      readonly preferred: Milliseconds;
      readonly max: Milliseconds;
      /** Set when pinned: the count that comes nearest to it, and no other. */
      readonly pinnedTo: Milliseconds | null;
    }
  /** It is there or it is not. */
  | { readonly what: 'presence' };

/** A step, with all that goes with it, about which the fit has a choice. */
export interface Item {
  readonly stepId: string;
  readonly kind: ItemKind;
  /** Itself and the steps that are left out with it. */
  readonly members: readonly string[];
  /** What it takes when it is there beside counted rounds: teaching, changes, companions, elastic parts as preferred. */
  readonly base: Milliseconds;
  /** Parts that stretch, while it is there. */
  readonly elastic: readonly ElasticItem[];
  /** In billionths; `null` where it may not be left out. */
  readonly outCost: number | null;
  /** One count of its rounds at each breath length, in the order of `breaths`; empty where nothing is counted. */
  readonly unitMilliseconds: Float64Array;
  /**
   * Where the pattern changes from round to round, all counts of each of its rounds at each breath length: by breath,
   * then in the order of `kind.rounds`; `null` where every count is one unit.
   */
  readonly countedMilliseconds: Float64Array | null;
  /** Its own step, or those that are tied to it too, and how often each is performed; lengths are of all of it. */
  readonly tied: readonly { readonly stepId: string; readonly times: 1 | 2 }[];
}

/** One breath length. */
export interface BreathChoice {
  /** Opening breath in tenths of a second. */
  readonly tenths: number;
  readonly cost: number;
}

/** A plan seen by the fit: what is fixed, what may be chosen, what may stretch. */
export interface FitProblem {
  readonly target: Milliseconds;
  /** Free on either side of the target. */
  readonly tolerance: Milliseconds;
  readonly fixed: Milliseconds;
  readonly items: readonly Item[];
  readonly elastic: readonly ElasticItem[];
  /** Steps that are not there whatever is chosen. */
  readonly absent: ReadonlySet<string>;
  /** The opening breath asked for, in tenths. */
  readonly preferredTenths: number;
  /** In order of length. */
  readonly breaths: readonly BreathChoice[];
  readonly weights: Weights;
}
