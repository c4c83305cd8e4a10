export const BIN_KINDS = ['class', 'take', 'movement', 'series'] as const;
export type BinKind = (typeof BIN_KINDS)[number];

/** Things removed are deleted for good after this many days. */
export const BIN_DAYS = 30;

/** Something in the bin. */
export interface BinEntry {
  readonly kind: BinKind;
  readonly id: string;
  readonly name: string;
  /** The class that a take belongs to. */
  readonly of: string | null;
  /** ISO 8601. */
  readonly removedAt: string;
}
