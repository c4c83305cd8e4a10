import type { CueEvidence } from '@/core/align';

/** What a line of a take was found by, in a sentence. */
export function evidenceSentence({ by, heard, nearer }: CueEvidence): string {
  if (by === 'words') return heard ? `Heard there: ${quoted(heard)}` : 'By the words about it.';
  if (by === 'length') return heard ? `By its place; heard there: ${quoted(heard)}` : 'By its length and place only.';
  if (nearer === null) return 'By its place: the lines run into each other there.';
  if (nearer <= 0) return 'By its place and length: its sound is no nearer to this line than to others.';
  return `By its sound: nearer to this line than to others by ${nearer.toFixed(1)} times their usual difference.`;
}

/** In quotation marks, at the end of a sentence: what ends in a stop of its own needs no second. */
function quoted(heard: string): string {
  return /[.!?…]$/.test(heard) ? `“${heard}”` : `“${heard}”.`;
}
