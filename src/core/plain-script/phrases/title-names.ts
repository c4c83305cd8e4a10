/*
 * Names with capitals inside sentences: "For the middle of the class I like Folding the Sail", "They love Cloud Hands, so
 * we do it". Whatever stands around it, such a run of words is what the sentence is about.
 */

const LONGEST = 200;
/** Words without a capital that stand within a name. */
const WITHIN =
  /^(?:the|of|a|an|in|on|to|at|with|and|over|from|by|for|like|its|into|under|behind|between|across|&|[+]|or|one|both|two|his|her)$/;
const CAPITAL = /^["“'‘(]?\p{Lu}[\p{L}'’-]+["”'’)]?[,;:.!?]?$/u;
const ENDS = /[,;:.!?"”)]$/;
/** What only leads to a name at the start of a sentence. */
const OPENING =
  /^(?:(?:practi[sc]e|repeat|perform|perhaps|maybe|please|slowly|gently|softly|quietly|(?:still |while )?(?:standing|sitting|seated)(?: down| up)?|once more|again|(?:all )?together|very (?:slowly|gently|softly)|(?:now )?(?:it is |it['’]s )?time for|(?:go|going|move|moving|come|coming) (?:in)?(?:to|on to|through|on with)|to (?:warm up|finish|start|begin|close|end)|as a warm[- ]?up|now(?: for)?|then|next|first|last|finally|continue(?: with)?|try|show|teach|revise|review|run through|work on|demonstrate|learn|new(?: today)?|today|also|another|more|follow(?:ed)? by|next up|back to|return to|afterwards|later|if there is time|optional(?:ly)?|(?:to )?see)[,:]? )+/iu;
const TITLES =
  /^(?:mrs?|ms|miss|dr|sir|monday|tuesday|wednesday|thursday|friday|saturday|sunday|january|february|march|april|june|july|august|september|october|november|december)\b/i;

export interface TitleName {
  readonly before: string;
  readonly name: string;
  readonly after: string;
}

/**
 * The one name of at least two words with capitals in a sentence that has other words around it; `null` where there is
 * none, or more than one, or the sentence is all capitals.
 */
export function nameInSentence(text: string): TitleName | null {
  if (text.length > LONGEST || !/\p{Ll}/u.test(text)) return null;
  const opening = OPENING.exec(text)?.[0] ?? '';
  const words = text.slice(opening.length).split(/\s+/);
  const runs = runsOf(words).filter(([from, to]) => capitals(words, from, to) >= 2 && !TITLES.test(words[from] ?? ''));
  const [run] = runs;
  if (runs.length !== 1 || run === undefined) return null;
  const [from, to] = run;
  // The first word of a sentence has a capital whatever it is.
  if (from === 0 && opening === '' && capitals(words, 0, to) === 2 && to === 2 && words.length > 6) return null;
  const before = `${opening}${words.slice(0, from).join(' ')}`.trim();
  const after = words.slice(to).join(' ');
  const name = words
    .slice(from, to)
    .join(' ')
    .replace(/^["“'‘(]+|["”'’),;:.!?]+$/gu, '');
  return before === '' && after === '' ? null : { before, name, after };
}

function capitals(words: readonly string[], from: number, to: number): number {
  return words.slice(from, to).filter((word) => CAPITAL.test(word)).length;
}

/** Runs of words with capitals, with small words between them. */
function runsOf(words: readonly string[]): readonly (readonly [number, number])[] {
  const runs: [number, number][] = [];
  for (let at = 0; at < words.length;) {
    if (!CAPITAL.test(words[at] ?? '')) {
      at++;
      continue;
    }
    let end = at + 1;
    let next = end;
    while (next < words.length && !ENDS.test(words[end - 1] ?? '')) {
      if (CAPITAL.test(words[next] ?? '')) end = ++next;
      else if (WITHIN.test(words[next] ?? '') && next - end < 2) next++;
      else break;
    }
    runs.push([at, end]);
    at = end;
  }
  return runs;
}
