/** A term of the trade with the schools' spellings. */
export interface Term {
  /** Its own name here, which is no spelling. */
  readonly term: string;
  /** The first is what output takes unless a studio chooses another. */
  readonly variants: readonly string[];
  /** What machines write for it when they mishear it; for reading takes, never for output. */
  readonly misheard: readonly string[];
  /** Known to everybody who comes: it needs no explaining. */
  readonly known: boolean;
}

/** The house list (common practice, no published source). */
export const TERMS: readonly Term[] = [
  { term: 'breath-energy', variants: ['qi', 'chi', 'ki'], misheard: ['key', 'chee', 'she'], known: false },
  {
    term: 'breath-work',
    variants: ['qigong', 'chi kung', 'qi gong', 'chi gong'],
    misheard: ['chi gung', 'key gong', 'chicken'],
    known: true,
  },
  {
    term: 'boxing',
    variants: ['tai chi', 'taiji', 'taijiquan', 'tai chi chuan'],
    misheard: ['tight chi', 'thai chi'],
    known: true,
  },
  {
    term: 'lower-belly',
    variants: ['dantian', 'dan tien', 'dan tian', 'tan tien'],
    misheard: ['dan ten', 'dontin', 'don tea in'],
    known: false,
  },
  { term: 'letting-go', variants: ['song', 'sung'], misheard: [], known: true },
  { term: 'hip-fold', variants: ['kua', 'kwa'], misheard: ['qua', 'quad'], known: false },
  {
    term: 'eight-pieces',
    variants: ['baduanjin', 'ba duan jin'],
    misheard: ['bad one gin', 'but one gin'],
    known: false,
  },
  { term: 'crown-point', variants: ['baihui', 'bai hui'], misheard: ['by way', 'buy hoy'], known: false },
  { term: 'sole-point', variants: ['yongquan', 'yong quan'], misheard: ['young one', 'young kwan'], known: false },
];

interface Use {
  readonly term: string;
  /** In small letters. */
  readonly variant: string;
}

/** Longer spellings first, so that "tai chi" is not read as "chi". */
const BY_LENGTH = TERMS.flatMap(({ term, variants }) => variants.map((variant) => ({ term, variant }))).sort(
  (a, b) => b.variant.length - a.variant.length,
);
const VARIANT_OF = new Map(BY_LENGTH.map((use) => [use.variant, use]));
/** "song" is an English word too and is only a term beside its other spelling; it is not looked for by itself. */
const LOOKED_FOR = BY_LENGTH.filter(({ variant }) => variant !== 'song' && variant !== 'sung');
/** The terms whose spellings are told from ordinary words, so that one can be chosen. */
export const SPELLABLE_TERMS = TERMS.filter(({ term }) => LOOKED_FOR.some((use) => use.term === term));
const PATTERN = new RegExp(
  `\\b(?:${LOOKED_FOR.map(({ variant }) => variant.replace(/ /g, '[ -]')).join('|')})\\b`,
  'gi',
);

/** The terms in a text in the order in which they stand, each spelling once. */
export function termsIn(text: string): Use[] {
  const found = new Map<string, Use>();
  for (const [match] of text.matchAll(PATTERN)) {
    const use = VARIANT_OF.get(match.toLowerCase().replace(/-/g, ' '));
    if (use) found.set(use.variant, use);
  }
  return [...found.values()];
}

/** A text with every spelling of a term as the one wanted; a capital at its start stays. */
export function withSpelling(text: string, term: string, wanted: string): string {
  return spelled(text, { [term]: wanted });
}

/** The spelling that a studio chose for a term, by the term's name; a term that is left out stays as it is written. */
export type Spelling = Readonly<Record<string, string>>;

/** A text in a studio's spelling; capitals at the start of a term stay. */
export function spelled(text: string, spelling: Spelling): string {
  return text.replace(PATTERN, (match) => {
    const term = VARIANT_OF.get(match.toLowerCase().replace(/-/g, ' '))?.term;
    const wanted = term !== undefined && Object.hasOwn(spelling, term) ? spelling[term] : null;
    if (wanted === null) return match;
    return /^\p{Lu}/u.test(match) ? wanted.slice(0, 1).toUpperCase() + wanted.slice(1) : wanted;
  });
}
