/** Themed names and images of a class, swapped as one. */
export interface Theme {
  readonly id: string;
  readonly name: string;
  readonly words: readonly ThemeWord[];
}

/** A plain name, of a movement or a picture, and what the theme calls it. */
export interface ThemeWord {
  readonly plain: string;
  readonly themed: string;
}

/** What a theme calls a thing; its plain name where there is no theme or it says nothing of it. Case of the plain name is passed over. */
export function themed(theme: Theme | null, plain: string): string {
  if (!theme) return plain;
  const wanted = plain.trim().toLowerCase();
  return theme.words.find((word) => word.plain.trim().toLowerCase() === wanted)?.themed || plain;
}
