/** A term of the trade with the style' spellings. */
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

/** "song" is an English word too and is only a term beside its other spelling; it is not looked for by itself. */
const NOT_LOOKED_FOR: ReadonlySet<string> = new Set(['song', 'sung']);

/** The house's terms whose spellings are told from ordinary words, so that one can be chosen. */
export const SPELLABLE_TERMS = TERMS.filter(({ variants }) => variants.some((one) => !NOT_LOOKED_FOR.has(one)));

export const TERM_LIMITS = { own: 100, variants: 8, misheard: 20, characters: 60 } as const;

/** What a studio keeps about its terms. */
export interface Spelling {
  /** The spelling chosen for a term, by the term's name; a term that is left out stays as it is written. */
  readonly chosen: Readonly<Record<string, string>>;
  /** Terms of the studio's own beside the house list. */
  readonly own: readonly Term[];
}

/** Nothing chosen and nothing added. */
export const NO_SPELLING: Spelling = { chosen: {}, own: [] };

interface Use {
  readonly term: string;
  /** In small letters. */
  readonly variant: string;
}

interface Finder {
  readonly pattern: RegExp;
  readonly useOf: ReadonlyMap<string, Use>;
}

const finders = new WeakMap<readonly Term[], Finder>();

/** What finds the terms of the house and of a studio; made once for each list of own terms. */
function finderOf(own: readonly Term[]): Finder {
  const known = finders.get(own);
  if (known) return known;
  // Longer spellings first, so that "tai chi" is not read as "chi".
  const uses = allTerms(own)
    .flatMap(({ term, variants }) => variants.map((variant) => ({ term, variant: variant.toLowerCase() })))
    .filter(({ variant }) => !NOT_LOOKED_FOR.has(variant))
    .sort((a, b) => b.variant.length - a.variant.length);
  const parts = uses.map(({ variant }) => variant.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/ /g, '[ -]'));
  const letter = '[\\p{L}\\p{N}]';
  const finder = {
    pattern: new RegExp(`(?<!${letter})(?:${parts.join('|')})(?!${letter})`, 'giu'),
    useOf: new Map([...uses].reverse().map((use) => [plain(use.variant), use])),
  };
  finders.set(own, finder);
  return finder;
}

const plain = (written: string): string => written.toLowerCase().replace(/-/g, ' ');

/** The house list and a studio's own terms. */
export function allTerms(own: readonly Term[]): readonly Term[] {
  return own.length === 0 ? TERMS : [...TERMS, ...own];
}

/** Whether a term whose spelling can be chosen has this one. */
export function hasSpelling(own: readonly Term[], term: string, variant: string): boolean {
  return [...SPELLABLE_TERMS, ...own].some((one) => one.term === term && one.variants.includes(variant));
}

/** The first spelling that two terms have, of the house and a studio's own; `null` where each belongs to one. */
export function takenSpelling(own: readonly Term[]): string | null {
  const seen = new Set<string>();
  for (const { variants } of allTerms(own)) {
    for (const variant of variants) {
      if (seen.has(plain(variant))) return variant;
      seen.add(plain(variant));
    }
  }
  return null;
}

/** The terms in a text in the order in which they stand, each spelling once. */
export function termsIn(text: string, own: readonly Term[] = NO_SPELLING.own): Use[] {
  const { pattern, useOf } = finderOf(own);
  const found = new Map<string, Use>();
  for (const [match] of text.matchAll(pattern)) {
    const use = useOf.get(plain(match));
    if (use) found.set(use.variant, use);
  }
  return [...found.values()];
}

/** A text with every spelling of a term as the one wanted; a capital at its start stays. */
export function withSpelling(text: string, term: string, wanted: string, own: readonly Term[]): string {
  return spelled(text, { chosen: { [term]: wanted }, own });
}

/** A text in a studio's spelling; capitals at the start of a term stay. */
export function spelled(text: string, { chosen, own }: Spelling): string {
  const { pattern, useOf } = finderOf(own);
  return text.replace(pattern, (match) => {
    const term = useOf.get(plain(match))?.term;
    const wanted = term !== undefined && Object.hasOwn(chosen, term) ? chosen[term] : undefined;
    if (wanted === undefined) return match;
    return /^\p{Lu}/u.test(match) ? wanted.slice(0, 1).toUpperCase() + wanted.slice(1) : wanted;
  });
}
