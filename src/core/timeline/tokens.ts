/** What a line may name: filled in when the timeline is made, so that sides and counts are never wrong. */
export interface TokenFacts {
  readonly movement: string;
  readonly side: string;
  readonly otherSide: string;
  readonly round: number;
  readonly rounds: number;
}

/** The tokens a line may hold, with what each stands for. */
export const TOKENS: readonly { readonly token: string; readonly stands: string }[] = [
  { token: '{movement}', stands: 'the movement’s name' },
  { token: '{side}', stands: 'the side now performed' },
  { token: '{other side}', stands: 'the side that follows' },
  { token: '{round}', stands: 'the number of this round' },
  { token: '{rounds}', stands: 'how many rounds there are' },
];

/** A line with its tokens filled in. What looks like a token but is none stays as it is written. */
export function fillTokens(text: string, facts: TokenFacts): string {
  if (!text.includes('{')) return text;
  return text.replace(/\{(movement|side|other side|round|rounds)\}/g, (_, name: string) => {
    if (name === 'movement') return facts.movement;
    if (name === 'side') return facts.side;
    if (name === 'other side') return facts.otherSide;
    return String(name === 'round' ? facts.round : facts.rounds);
  });
}
