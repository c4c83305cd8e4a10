import type { LineKind } from './model';

/** What a line stands in: under which step, whether the next line underlines it, whether all is written in capitals. */
export interface Standing {
  readonly under: LineKind;
  readonly underlined: boolean;
  /** Whether a list or its subheads begin below it. */
  readonly opens: boolean;
  /** Whether it is set apart over steps, as the names of other parts are. */
  readonly apart: boolean;
  /** Whether it is one of a list and has a stop where the others have none. */
  readonly stopsAlone: boolean;
  /** Whether it is the name of a part with its time, over what is in it. */
  readonly heads: boolean;
  /** Whether the line below begins with a time, as those of a column do. */
  readonly timedBelow: boolean;
  /** Whether the lines with times are parts of the class, each a section. */
  readonly parts: boolean;
  /** Whether numbers alone are minutes in the script. */
  readonly inMinutes: boolean;
  /** Whether it stands in a list of what is to bring or to know, and of nothing that is done. */
  readonly beside: boolean;
  /** Whether nothing stands right below it. */
  readonly alone: boolean;
  /** Whether it is one of a list that has no marks, under the name of a part. */
  readonly named: boolean;
  /** Whether the usual name of a part stands right above. */
  readonly partAbove: boolean;
  /** Whether it names a step over a list of how that is done. */
  readonly detailed: boolean;
  readonly shouted: boolean;
  /** Whether it stands further in than the step above. */
  readonly inset: boolean;
  /** Whether it stands behind a dash, where the step above has a number. */
  readonly otherMark: boolean;
  /** Whether the line below has the next number: both are of one list. */
  readonly numbersOn: boolean;
  /** By the times that the lines begin with, how long it lasts; `null` where they tell nothing. */
  readonly lastsSeconds: number | null;
  /** Whether it stands in a list without marks: further in than a line that ends in a colon. */
  readonly listed: boolean;
  /** Whether the movement above has no amount yet, and nothing is told of it. */
  readonly wantsAmount: boolean;
  /** Whether the movement above has no amount yet, whatever is told of it. */
  readonly uncounted: boolean;
  /** Whether it is a name by itself above what is said in it. */
  readonly headsSpoken: boolean;
  /** Whether the movement above is named so: what stands below it is spoken. */
  readonly spoken: boolean;
  /** The name of the part that is open, where nothing stands in it yet and it may be that of a movement; else `null`. */
  readonly partName: string | null;
}
