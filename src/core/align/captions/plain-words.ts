import { spokenText, wordsOf } from '@/core/speech';

/** Lower case, numbers as words, no accents: what two spellings of a word have in common. */
export function plainWords(text: string): string[] {
  return wordsOf(spokenText(text)).map((word) =>
    word
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]/gu, ''),
  );
}
