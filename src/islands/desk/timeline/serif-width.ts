/** The serif as lines of the timeline are set in it. */
const FONT = '18px "Source Serif 4 Variable"';
/** Width of a character where the font cannot be asked: on the wide side, so that a line is rather given more room. */
const CHARACTER_WIDTH = 8.6;
const WORDS_KEPT = 20_000;

const known = new Map<string, number>();
let context: CanvasRenderingContext2D | null | undefined;

/** Pixels that a word takes in the serif of the timeline: as the browser measures it, once the font is there. */
export function serifWidth(word: string): number {
  const found = known.get(word);
  if (found !== undefined) return found;
  if (typeof document === 'undefined' || !document.fonts.check(FONT)) return word.length * CHARACTER_WIDTH;
  context ??= document.createElement('canvas').getContext('2d');
  if (!context) return word.length * CHARACTER_WIDTH;
  context.font = FONT;
  const width = context.measureText(word).width;
  if (known.size >= WORDS_KEPT) known.clear();
  known.set(word, width);
  return width;
}

const WAIT_MILLISECONDS = 600;

/** Once the serif can be measured, or it has been waited for long enough. */
export async function serifReady(): Promise<void> {
  const late = new Promise((done) => setTimeout(done, WAIT_MILLISECONDS));
  await Promise.race([document.fonts.load(FONT), late]).catch(() => undefined);
}
