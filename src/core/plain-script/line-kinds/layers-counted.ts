import { itemAt } from '@/core/units';
import { singleSpaced } from '../model/line-words';
import { N, numberOf } from '../phrases/places';
import { reading, type LayerPart, type Reading } from '../model/reading';

/*
 * A movement taught in layers, by how many rounds each is practised: "arms only 3x, then add the weight shift 3x", "first
 * just the arms, four times, then with the steps, another six", "arms only (1-4), add the feet (5-8)".
 */

const LINE_AT_MOST = 200;
const ROUNDS_AT_MOST = 36;
const LED = /^(?:[,;:/+&→.–—-]|->|=>|\s|\b(?:and|then|now|next|finally|lastly|after that)\b)+/i;
const ENDS = /[\s,;:(–—-]+$/;
const OFTEN = '(?:x|×|times|rounds|reps|goes|breaths)';
/** How often, behind what is done; the stretch of rounds; or before it. */
const BEHIND = `[,:]? ?(?:\\(?(?:(?:for )?(?:another |the last |the next )?${N} ?(?:more )?${OFTEN}|[x×] ?${N}|another ${N}|${N} more|(?:rounds? )?(\\d{1,2}) ?[-–] ?(\\d{1,2}))(?![\\p{L}\\d])\\)?)`;
const BEFORE = `(?:${N} ?(?:more )?${OFTEN}|[x×] ?${N}|another ${N}|${N} more)(?: of)?:? `;
const JOINS =
  /\b(?:only|just|first|alone|add(?:ing|ed)?|with|plus|join|bring in|together|everything|whole|full|all of it|it all)\b/i;
const BODY = 'arms?|hands?|palms?|feet|foot|footwork|legs?|steps?|stepping|weight|waist|turn(?:s|ing)?|twist|breath(?:ing)?|knees?|hips?|body|eyes|gaze|everything|all|it all|all of it|both|together|whole|full|movement|thing|upper|lower|form|standing|moving'; // prettier-ignore
const SMALL = 'only|just|first|alone|add(?:ing|ed)?|with|plus|joins?|bring in|start(?:ing)? with|begin(?:ning)? with|the|your|our|a|of|in|too|as well|shift(?:s|ing)?|changes?|change|and|on|both|now|then|again|us|up|down|moves?|do|does|doing|half|part|version'; // prettier-ignore
const LAYER = new RegExp(`^(?:(?:${BODY}|${SMALL})(?: |$))+$`, 'i');
const OF_BODY = new RegExp(`\\b(?:${BODY})\\b`, 'i');
const LABEL = /^(?:layers?|layering|build(?: it)?(?: up)?|progression|in layers|stages?): /i;

/** Whether words name a layer of a movement, and nothing else. */
function isLayer(words: string): boolean {
  return words.length <= 60 && LAYER.test(words.replace(/ ?[-’'+&] ?/g, ' ')) && OF_BODY.test(words);
}

/** The layers that a line tells with their rounds, in order; `null` where it tells anything else. */
export function layersIn(line: string): readonly LayerPart[] | null {
  if (line.length > LINE_AT_MOST || !OF_BODY.test(line) || !/\d|\b(?:two|three|four|five|six|eight|ten|twelve)\b/i.test(line)) return null; // prettier-ignore
  const written = singleSpaced(line.trim()).replace(/[.!]$/, '');
  const labelled = LABEL.test(written);
  const text = written.replace(LABEL, '').replace(/^\(([^()]+)\)$/, '$1');
  const parts = [startsIn(text, labelled), numbersFirst(text), partsOf(text, BEHIND_EACH, true), partsOf(text, BEFORE_EACH, false)]
    .find((found) => found?.every(({ words }) => isLayer(words))); // prettier-ignore
  if (!parts) return null;
  const joins = labelled || parts.some(({ words }) => JOINS.test(words) || /\p{L} ?\+/u.test(words));
  const all = parts.reduce((sum, { rounds }) => sum + (rounds ?? 1), 0);
  return joins && all <= ROUNDS_AT_MOST ? parts : null;
}

const BEHIND_EACH = new RegExp(BEHIND, 'giu');
const BEFORE_EACH = new RegExp(`(?:^|[,;/+→.] ?|\\b(?:and|then) )(?:and |then )?${BEFORE}`, 'giu');

function partsOf(text: string, form: RegExp, behind: boolean): readonly LayerPart[] | null {
  const counts = [...text.matchAll(form)];
  if (counts.length === 0 || (!behind && counts[0]?.index !== 0)) return null;
  const parts: LayerPart[] = [];
  for (const [at, count] of counts.entries()) {
    const end = count.index + count[0].length;
    const from = behind ? (at === 0 ? 0 : endOf(itemAt(counts, at - 1))) : end;
    const to = behind ? count.index : (counts[at + 1]?.index ?? text.length);
    const rounds = roundsIn(count, parts);
    if (rounds === null) return null;
    parts.push({ words: wordsIn(text.slice(from, to)), rounds });
  }
  const left = behind ? wordsIn(text.slice(endOf(itemAt(counts, counts.length - 1)))) : '';
  return left === '' ? parts : [...parts, { words: left, rounds: null }];
}

const endOf = (match: RegExpExecArray): number => match.index + match[0].length;
const wordsIn = (text: string): string => text.replace(LED, '').replace(ENDS, '').trim();

/** In how many rounds, or up to which behind those before it; `null` where that is none. */
function roundsIn(count: RegExpExecArray, before: readonly LayerPart[]): number | null {
  const figures = count.slice(1).filter((one) => one !== undefined);
  const [first, last] = figures.map(numberOf);
  const done = before.reduce((sum, { rounds }) => sum + (rounds ?? 0), 0);
  if (figures.length === 2) return first === done + 1 && last !== null && last !== undefined && last > done ? last - done : null; // prettier-ignore
  return first !== null && first !== undefined && first >= 1 ? first : null;
}

/** "3 arms, 3 arms + knees, 3 full": how often, and the layer. */
function numbersFirst(text: string): readonly LayerPart[] | null {
  const parts = text.split(/[,;/] ?(?:then )?/).map((part) => /^(\d{1,2})(?: ?x)? (\p{L}.*)$/iu.exec(part.trim()));
  const found = parts.flatMap((match) => (match ? [{ rounds: Number(match[1]), words: itemAt(match, 2) }] : []));
  return found.length > 1 && found.length === parts.length ? found : null;
}

/** "layers: arms 1, feet 3, breath 5": from which round each joins. */
function startsIn(text: string, labelled: boolean): readonly LayerPart[] | null {
  if (!labelled) return null;
  const found = text.split(/[,;/] ?/).map((part) => /^(\p{L}[\p{L} ]*?) (?:from |on |in )?(?:round |r ?)?(\d{1,2})$/u.exec(part.trim())); // prettier-ignore
  const starts = found.flatMap((match) => (match ? [{ words: itemAt(match, 1), from: Number(match[2]) }] : []));
  const climbs = starts.every(({ from }, at) => from > (starts[at - 1]?.from ?? 0));
  if (starts.length < 2 || starts.length < found.length || !climbs || starts[0]?.from !== 1) return null;
  return starts.map(({ words, from }, at) => {
    const next = starts[at + 1]?.from;
    return { words, rounds: next === undefined ? null : next - from };
  });
}

/** Layers as what a line sets of its movement; one alone is a guess. */
export function layered(words: string, layers: readonly LayerPart[]): Reading {
  return { ...reading('setting', words, {}, layers.length === 1), sets: { layers } };
}

/** "Cloud hands x9: arms only 3x, add the waist 3x": a name, and its layers behind a mark; `null` for any other line. */
export function withLayersBehind(
  body: string,
): { readonly head: string; readonly layers: readonly LayerPart[] } | null {
  if (body.length > LINE_AT_MOST || !(JOINS.test(body) || /\p{L} ?\+/u.test(body))) return null;
  for (const mark of body.matchAll(/:\s|\s[–—-]\s|,\s|\s(?=\()/g)) {
    const layers = layersIn(body.slice(mark.index + mark[0].length));
    const head = body.slice(0, mark.index);
    if (layers && layers.length > 1 && /\p{L}{3}/u.test(head) && !isLayer(head)) return { head, layers };
  }
  return null;
}
