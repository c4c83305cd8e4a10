import type { LineKind } from '../model/model';
import { NUMBER_IN_WORDS } from '../tokens/tokens';

const NUMBERED =
  /^(?:the )?(?:(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|next|last|final|\d{1,2}(?:st|nd|rd|th)) (?:movement|exercise|form|posture|pose|piece|drill|move|practice)|(?:movement|exercise|posture|pose|move) (?:no\.? ?|number )?(?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten))(?::| [–-]) (?=\p{L})(.{3,80})$/iu;

/** "FIRST MOVEMENT: Waking the Arms", "Exercise 2 - Rowing": the name behind it; `null` for any other line. */
export function nameOfNumbered(line: string): string | null {
  return NUMBERED.exec(line)?.[1] ?? null;
}

/** Labels that say what a line is. */
export const LABELS: ReadonlyMap<string, LineKind> = new Map([
  ['title', 'title'],
  ['section', 'section'],
  ['part', 'section'],
  ['block', 'section'],
  ['say', 'said'],
  ['cue', 'said'],
  ['script', 'said'],
  ['narration', 'said'],
  ['narrate', 'said'],
  ['voice', 'said'],
  ['voiceover', 'said'],
  ['speech', 'said'],
  ['dialogue', 'said'],
  ['instructor', 'said'],
  ['instructor says', 'said'],
  ['instructor cue', 'said'],
  ['teacher says', 'said'],
  ['verbal cue', 'said'],
  ['verbal cues', 'said'],
  ['key cue', 'said'],
  ['key cues', 'said'],
  ['imagery', 'said'],
  ['image', 'said'],
  ['visualisation', 'said'],
  ['visualization', 'said'],
  ['instruction', 'said'],
  ['instructions', 'said'],
  ['guide', 'said'],
  ['guidance', 'said'],
  ['guided words', 'said'],
  ['note', 'said'],
  ['reminder', 'said'],
  ['movement', 'movement'],
  ['exercise', 'movement'],
  ['form', 'movement'],
  ['move', 'movement'],
  ['drill', 'movement'],
  ['posture', 'movement'],
  ['caution', 'caution'],
  ['contraindications', 'caution'],
  ['precaution', 'caution'],
  ['precautions', 'caution'],
  ['careful', 'caution'],
  ['safety', 'caution'],
  ['watch out', 'caution'],
  ['regression', 'level'],
  ['regressions', 'level'],
  ['progression', 'level'],
  ['progressions', 'level'],
  ['regress', 'level'],
  ['progress', 'level'],
  ['modification', 'level'],
  ['modifications', 'level'],
  ['modify', 'level'],
  ['adaptation', 'level'],
  ['adaptations', 'level'],
  ['alternative', 'level'],
  ['alternatives', 'level'],
  ['easier', 'level'],
  ['harder', 'level'],
  ['option', 'level'],
  ['options', 'level'],
  ['variation', 'level'],
  ['variations', 'level'],
  ['aim', 'said'],
  ['theme', 'said'],
  ['materials', 'said'],
  ['goal', 'said'],
  ['focus', 'said'],
  ['tp', 'said'],
  ['cues', 'said'],
  ['tip', 'said'],
  ['teaching point', 'said'],
  ['teaching points', 'said'],
  ['key point', 'said'],
  ['homework', 'said'],
  ['home practice', 'said'],
  ['at home', 'said'],
  ['check in', 'said'],
  ['stop if', 'caution'],
  ['what we need', 'said'],
  ['what you need', 'said'],
  ['you need', 'said'],
  ['you will need', 'said'],
  ['needed', 'said'],
  ['needs', 'said'],
  ['bring', 'said'],
  ['kit', 'said'],
  ['room', 'said'],
  ['prep', 'said'],
  ['correction', 'said'],
  ['corrections', 'said'],
  ['common mistake', 'said'],
  ['common mistakes', 'said'],
  ['common error', 'said'],
  ['equipment', 'said'],
  ['props', 'said'],
  ['music', 'said'],
  ['warning', 'caution'],
  ['contra', 'caution'],
  ['contraindication', 'caution'],
  ['seated', 'seated'],
  ['sitting', 'seated'],
  ['silence', 'silence'],
  ['quiet', 'silence'],
  ['stillness', 'silence'],
  ['transition', 'transition'],
  ['inhale', 'inhale'],
  ['in', 'inhale'],
  ['exhale', 'exhale'],
  ['out', 'exhale'],
  ['pause', 'pause'],
  ['wait', 'pause'],
]);
/** Labels of amounts. */
export const SETTINGS: ReadonlySet<string> = new Set(['rounds', 'reps', 'repetitions', 'times', 'count', 'side', 'sides', 'time', 'target', 'total', 'total time', 'duration', 'length', 'for', 'call back']); // prettier-ignore

const LABEL = /^\s*(\p{L}[\p{L} -]{1,20}?)(?: ?\d)? ?(?::| [–-]) \S/u;
const OF_STEP: ReadonlySet<LineKind | undefined> = new Set(['said', 'caution', 'level', 'seated', 'inhale', 'exhale', 'pause']); // prettier-ignore

/** "Reps: 6", "Cue: soft knees": whether a line has a label of what is told of a step. */
export function isLabelled(line: string): boolean {
  const label = LABEL.exec(withUsualLabel(line.trim(), true))?.[1]?.toLowerCase() ?? '';
  return SETTINGS.has(label) || /^breath(?:ing)?$/.test(label) || OF_STEP.has(LABELS.get(label));
}

/** Labels in other words, and what they mean; longest first where one begins another. */
const SYNONYMS: readonly (readonly [RegExp, string])[] = [
  [
    /^(?:exercise name|movement name|name|activity|what|do|we do|task|action|practi[cs]e|pose|step(?: ?\d{1,2})?|exercise|movement|form)$/i,
    'Movement',
  ],
  [
    /^(?:(?:no\.?|number|nr\.?|amount|count) of (?:reps|repetitions|rounds|times|sets|breaths)|number|sets?|dose|dosage|amount|breaths|volume|quantity|frequency|how many(?: times)?|how often|how much|reps|repetitions|repeats|rounds)$/i,
    'Reps',
  ],
  [/^(?:timing|dur|dur\.|time|duration|approx(?:\.|imate)? time|how long|lasts)$/i, 'Time'],
  [
    /^(?:cautions?|safety(?: notes?| point)?|risks?|avoid|care|not for|health(?: note)?|be careful|watch out(?: for)?|contraindications?)$/i,
    'Caution',
  ],
  [/^(?:inhalation|breathing in|in[- ]breath)$/i, 'In'],
  [/^(?:exhalation|breathing out|out[- ]breath)$/i, 'Out'],
  [/^sides?$/i, 'Sides'],
];
const IN_UNITS = [
  [/^(?:minutes|mins|(?:time|duration|length) \(min(?:ute)?s?\)) ?[:=] ?(\d{1,3}(?:[.,]\d)?)$/i, 'min'],
  [/^(?:seconds|secs|(?:time|duration|length) \(sec(?:ond)?s?\)) ?[:=] ?(\d{1,3})$/i, 's'],
] as const;

const AMOUNT = new RegExp(`^(?:about |approx\\.? |~ ?)?(?:[x×] ?)?(?:\\d|(?:${NUMBER_IN_WORDS}|half|an?)\\b)`, 'i');

/** "…. Time: 90 sec", behind what a step is. */
const OF_TIME =
  /[.,;] (?:time|duration|length|for): (?=(?:about |around |approx\.? |~ ?)?(?:\d|an?\b|half\b|one\b|two\b|three\b|four\b|five\b))/gi;
const OF_AMOUNT = /[.,;] (?:time|counts?|reps|rounds|duration|length|sets|times|for): /gi;

/** "Number of repetitions = 6" as "Reps: 6", "Duration (min): 2" as "Time: 2 min"; below a movement without a sign too. */
export function withUsualLabel(line: string, below: boolean): string {
  if (line.length > 200) return line;
  for (const [form, unit] of IN_UNITS) {
    const amount = form.exec(line)?.[1];
    if (amount !== undefined) return `Time: ${amount} ${unit}`;
  }
  const match =
    /^(\p{L}[\p{L}. -]{1,24}?(?: ?\d{1,2})?) ?(?::|=| [–-]) +(\S.*)$/u.exec(line) ??
    (below ? /^(reps|time|rounds|duration) (\d[\p{L}\d .,:-]{0,28})$/iu.exec(line) : null);
  if (!match) return line;
  const [, label = '', text = ''] = match;
  const usual = SYNONYMS.find(([form]) => form.test(label.trim()))?.[1];
  if (usual === undefined || (usual === 'Movement' && / ?: /.test(text.replace(OF_AMOUNT, ' ')))) return line;
  // "Set: Cloud hands", "Volume: low": an amount is told by a figure.
  if ((usual === 'Reps' || usual === 'Time') && !AMOUNT.test(text)) return line;
  return `${usual}: ${usual === 'Movement' ? text.replace(OF_TIME, ', ') : text}`;
}
