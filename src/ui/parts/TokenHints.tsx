import { TOKENS, unknownTokens } from '@/core/words';

/** The token being typed in front of the caret: from its brace on; `null` outside one. */
export function openToken(text: string, caret: number): { readonly from: number; readonly typed: string } | null {
  const from = text.lastIndexOf('{', caret - 1);
  if (from < 0) return null;
  const typed = text.slice(from + 1, caret);
  return /[{}]/.test(typed) || typed.length > 40 ? null : { from, typed };
}

/** The tokens that what is typed may become. */
export function tokensFor(typed: string): typeof TOKENS {
  const wanted = typed.trim().toLowerCase();
  return TOKENS.filter(({ token }) => token.slice(1).startsWith(wanted)).slice(0, 8);
}

interface Props {
  readonly id: string;
  readonly typed: string;
  /** Place in the list that Enter takes. */
  readonly chosen: number;
  readonly onTake: (token: string) => void;
}

/** What may stand between the braces, to be picked while typing. */
export function TokenHints({ id, typed, chosen, onTake }: Props) {
  const tokens = tokensFor(typed);
  if (tokens.length === 0) return null;
  return (
    <ul
      id={id}
      role="listbox"
      aria-label="Placeholders"
      className="bg-base-100 border-base-300 absolute inset-x-0 z-20 rounded border p-1 text-sm shadow-lg"
    >
      {tokens.map(({ token, stands }, index) => (
        <li
          key={token}
          id={`${id}-${index}`}
          role="option"
          aria-selected={index === chosen}
          className={`flex min-h-7 cursor-pointer items-center gap-2 rounded px-1 ${index === chosen ? 'bg-secondary' : ''}`}
          // Before the field loses the focus.
          onPointerDown={(event) => {
            event.preventDefault();
            onTake(token);
          }}
        >
          <span className="font-serif">{token}</span>
          <span className="quiet-ink">{stands}</span>
        </li>
      ))}
    </ul>
  );
}

/** What is wrong with the tokens of a line; `null` when nothing is. */
export function tokenProblem(text: string): string | null {
  const [unknown] = unknownTokens(text);
  return unknown === undefined ? null : `{${unknown}} stands for nothing`;
}
