import { timestamp, writeChapterList, type Chapter, type SaidLine } from '@/core/interchange';
import { type ClassPlan, isMovement, performedSteps, stancesOf, stepsInOrder } from '@/core/plan';
import type { Reading } from '@/core/reading';
import type { Timeline } from '@/core/timeline';
import { formatClock, type Seconds } from '@/core/units';
import { CAUTION_LINES, DESCRIPTION_WORDS } from '@/core/words';

/** A label track: start, end and text by tabs, one line each, seconds with six decimals. */
export function writeLabels(lines: readonly SaidLine[]): string {
  return lines
    .map(({ startSeconds, endSeconds, text }) => {
      return `${startSeconds.toFixed(6)}\t${endSeconds.toFixed(6)}\t${text.replace(/\s+/g, ' ').trim()}\n`;
    })
    .join('');
}

/**
 * A WebVTT metadata track for players: one cue of JSON for each phase of the breath, with its step, round, rounds,
 * side and what is done, at the times that `toTake` gives for planned ones.
 */
export function writeMetadata(plan: ClassPlan, timeline: Timeline, toTake: (planned: Seconds) => Seconds): string {
  const names = new Map(performedSteps(plan).map(({ step }) => [step.id, step.name]));
  const rounds = new Map(timeline.steps.map((step) => [step.step, step.rounds]));
  const blocks = timeline.phases.flatMap(({ step, round, side, kind, action, startSeconds, endSeconds }) => {
    const [from, to] = [timestamp(toTake(startSeconds), '.'), timestamp(toTake(endSeconds), '.')];
    if (kind === 'spoken' || from >= to) return [];
    const facts = { step: names.get(step) ?? '', round, rounds: rounds.get(step) ?? 0, side, breath: kind, action };
    // An arrow would end the cue's text; JSON can write it otherwise.
    return [`${from} --> ${to}\n${JSON.stringify(facts).replaceAll('-->', '--\\u003e')}\n`];
  });
  return ['WEBVTT\n', ...blocks].join('\n');
}

/**
 * Text to stand under a video: what the class is, its chapters, and the cautions of its movements. It promises
 * nothing and defers to those who know the person.
 */
export function writeDescription(
  plan: ClassPlan,
  timeline: Timeline,
  chapters: readonly Chapter[],
  reading: Reading | null,
): string {
  const runtime = reading?.totals.runtimeSeconds ?? timeline.runtimeSeconds;
  const cautions = new Set(
    stepsInOrder(plan).flatMap(({ step }) =>
      isMovement(step) && !step.skipped ? step.cautions.map((caution) => CAUTION_LINES[caution]) : [],
    ),
  );
  const needed = atHand(plan);
  const parts = [
    [plan.title, `${formatClock(runtime)}${plan.focus ? `, ${plan.focus}` : ''}`].join('\n'),
    ...(needed.length > 0 ? [`${DESCRIPTION_WORDS.atHand}: ${needed.join(', ')}.`] : []),
    `${DESCRIPTION_WORDS.chapters}\n${writeChapterList(chapters).trimEnd()}`,
    [DESCRIPTION_WORDS.before, ...[...cautions].map((text) => `- ${text}`), `- ${DESCRIPTION_WORDS.defers}`].join('\n'),
  ];
  return `${parts.join('\n\n')}\n`;
}

/** What the ways of standing, sitting and lying in the class ask for. */
function atHand(plan: ClassPlan): string[] {
  const stances = new Set(
    stepsInOrder(plan).flatMap(({ step }) => {
      const { start, end } = stancesOf(step);
      return [start, end];
    }),
  );
  return [
    ...(stances.has('seated') ? [DESCRIPTION_WORDS.chair] : []),
    ...(stances.has('lying') ? [DESCRIPTION_WORDS.mat] : []),
  ];
}
