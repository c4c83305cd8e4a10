import { remembered } from '@/core/units';
import { readWords } from './words';

/** Words that make no name: what any movement is, a number, and what only joins. */
const NO_NAME = new Set(
  `the a an of on in at to from over under off up down and with by for as into onto out your my its it this that
  exercise movement part section step set form posture breath breathing breathe standing stand sitting warm warmup loosening
  loosen practice next first second third last one two three four five six seven eight nine ten slow slowly stretch
  number no round rounds minute minutes rest pause opening closing arrival settling free`.split(/\s+/),
);
/** A name of more words than this tells what to do; nobody says it as a name. */
const WORDS_OF_A_NAME = 6;

const stemsOf = remembered((text: string): ReadonlySet<string> => new Set(readWords(text).map(({ stem }) => stem)));

/** Whether a movement's name is said in a text: all of its own words by their stems, in any order; no name needs none. */
export function nameIsSaid(name: string, text: string): boolean {
  const words = readWords(name);
  if (words.length > WORDS_OF_A_NAME) return true;
  const own = words.filter(({ plain }) => !NO_NAME.has(plain) && !/^\d+$/.test(plain)).map(({ stem }) => stem);
  if (own.length === 0) return true;
  const said = stemsOf(text);
  return own.every((stem) => said.has(stem));
}
