import { itemAt, type Issue, type Seconds } from '@/core/units';
import type { Caption, CaptionsRead } from './model';

/*
 * Captions as machines and captioners write them have more than what is said: lines that stay while the next ones come,
 * sounds in brackets, and who speaks. What is told by the forms of WebVTT and SRT alone cannot tell them apart.
 */

/** Of the captions, so many have to begin with a line of the one before for lines to be taken as staying. */
const ROLLING_FROM = 0.3;
/** Of those, so many have another line below it: one line again and again is said again. */
const OVER_OTHERS_FROM = 0.15;
const CAPTIONS_AT_LEAST = 6;
/** Lines stay without a pause, in seconds. */
const GAP_AT_MOST: Seconds = 0.5;
/** A name that stands before so many captions, and such a share of all, is who speaks. */
const NAMED_AT_LEAST = 3;
const NAMED_SHARE = 0.15;

/** The same without what nobody says; what is taken out is told once for each kind. */
export function asSaid(read: CaptionsRead): CaptionsRead {
  const worded = changed(read.captions, (text) => text.replace(SOUND, ' ').replace(/[♪♫]+/g, ' '));
  const rolled = withoutStaying(worded.captions);
  const names = speakersOf(rolled.captions);
  const said = changed(rolled.captions, (text) =>
    text
      .split('\n')
      .map((line) => withoutSpeaker(line, names))
      .join('\n'),
  );
  if (said.captions.length === 0) return read;
  const told = (code: string, count: number): Issue[] => (count > 0 ? [{ code, at: '', facts: { count } }] : []);
  const found = [
    ...told('lines-that-stay', rolled.stayed),
    ...told('sounds-in-captions', worded.count),
    ...told('speakers-in-captions', said.count),
  ];
  return { captions: said.captions, oddities: [...found, ...read.oddities] };
}

/** The captions with their texts changed, how many were, and none that is empty then. */
function changed(captions: readonly Caption[], change: (text: string) => string) {
  let count = 0;
  const left = captions.flatMap((caption): Caption[] => {
    const text = change(caption.text);
    if (text === caption.text) return [caption];
    count++;
    const lines = text.split('\n').map((line) => line.replace(/ {2,}/g, ' ').trim());
    const kept = lines.filter((line) => line !== '').join('\n');
    return kept === '' ? [] : [{ ...caption, text: kept }];
  });
  return { captions: left, count };
}

/** "[Music]", "(bell rings)": a sound, by its brackets; round ones hold words too, unless they are the whole caption. */
const SOUND = /\[[^\][]{1,60}\]|^\s*\([^()]{1,60}\)\s*$/g;
/** ">> ", "- " before what another says. */
const CHANGE_OF_SPEAKER = /^\s*(?:>{1,3}|[-–—](?=\s?\p{L}))\s*/u;
const NAME = /^\s*([\p{L}][\p{L}\d .'’-]{0,29}):\s+(?=\S)/u;

function withoutSpeaker(line: string, names: ReadonlySet<string>): string {
  const bare = line.replace(CHANGE_OF_SPEAKER, '');
  const name = NAME.exec(bare)?.[1];
  return name !== undefined && names.has(name) ? bare.slice(bare.indexOf(':') + 1) : bare;
}

/** Names before a colon that stand in capitals or with a number, or are alone with it in many captions. */
function speakersOf(captions: readonly Caption[]): ReadonlySet<string> {
  const times = new Map<string, number>();
  for (const { text } of captions) {
    for (const line of text.split('\n')) {
      const name = NAME.exec(line.replace(CHANGE_OF_SPEAKER, ''))?.[1];
      if (name !== undefined) times.set(name, (times.get(name) ?? 0) + 1);
    }
  }
  const often = Math.max(NAMED_AT_LEAST, NAMED_SHARE * captions.length);
  return new Set(
    [...times].flatMap(([name, count]) =>
      !LEADS.test(name) && (count >= often || (SET.test(name) && count > 1)) ? [name] : [],
    ),
  );
}

/** "Inhale: …" leads a breath, and nobody speaks who is called so. */
const LEADS = /^(?:in|out|inhale|exhale|breathe? (?:in|out)|left|right)$/i;
/** "TEACHER", "Speaker 1". */
const SET = /^(?:\p{Lu}{2}[\p{Lu}\d .'’-]*|[Ss]peaker ?\d*)$/u;

/** Captions without the lines that stay on from the one before, where so many do that it is the way they are written. */
function withoutStaying(captions: readonly Caption[]): {
  readonly captions: readonly Caption[];
  readonly stayed: number;
} {
  const staying = captions.map((caption, at) => stayingLines(captions[at - 1], caption));
  const stays = captions.filter((_, at) => itemAt(staying, at) > 0);
  const over = captions.filter(({ text }, at) => itemAt(staying, at) > 0 && text.split('\n').length > itemAt(staying, at)); // prettier-ignore
  const rolls = stays.length >= ROLLING_FROM * captions.length && over.length >= OVER_OTHERS_FROM * captions.length;
  if (captions.length < CAPTIONS_AT_LEAST || !rolls) return { captions, stayed: 0 };
  const fresh = captions.flatMap((caption, at): Caption[] => {
    const text = caption.text.split('\n').slice(itemAt(staying, at)).join('\n');
    return text === '' ? [] : [{ ...caption, text }];
  });
  return { captions: fresh, stayed: stays.length };
}

/** How many lines a caption begins with that the one before ends with. */
function stayingLines(before: Caption | undefined, caption: Caption): number {
  if (!before || caption.startSeconds - before.endSeconds > GAP_AT_MOST) return 0;
  const [shown, lines] = [before.text.split('\n'), caption.text.split('\n')];
  for (let count = Math.min(shown.length, lines.length); count > 0; count--) {
    if (shown.slice(-count).join('\n') === lines.slice(0, count).join('\n')) return count;
  }
  return 0;
}
