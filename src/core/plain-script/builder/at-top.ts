import { sentencesOf } from '../layout/paragraphs';
import { SHORTEST_CLASS, titled } from '../layout/title';
import { readNatural } from '../lines/natural';
import type { Reading } from '../model/reading';
import type { Standing } from '../model/standing';

/** The first line of a script: what it names, or the class that it tells, with its title where that is told first. */
export function readAtTop(line: string, standing: Standing): readonly Reading[] {
  if (standing.beside) return readNatural(line, standing);
  return withTitleFirst(line, standing) ?? titled(readNatural(line, standing), line, standing.alone);
}

/** "Beach class, 30 minutes. Shake for two minutes. Sway for three …": a paragraph whose first sentence is the title. */
function withTitleFirst(line: string, standing: Standing): readonly Reading[] | null {
  const [first = '', ...others] = sentencesOf(line.trim());
  if (others.length === 0) return null;
  const [title] = titled([], first);
  if (title?.kind !== 'title' || (title.counts.seconds?.[0] ?? 0) < SHORTEST_CLASS) return null;
  const steps = readNatural(others.join(' '), standing);
  return steps.length > 1 ? [{ ...title, unsure: true }, ...steps] : null;
}
