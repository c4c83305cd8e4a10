import { contractOf, countOf, isMovement, stepsInOrder, type ClassPlan, type Moment, type Step } from '@/core/plan';
import {
  bellyWords,
  breathWords,
  fillTokens,
  sideWord,
  themed,
  wayWord,
  type Side,
  type Theme,
  type TokenFacts,
} from '@/core/words';

/** Fills the tokens of a plan's lines by its style, its theme and the place where each is said. */
export class Wording {
  private readonly theme: Theme | null;
  private readonly next: ReadonlyMap<string, string>;

  constructor(private readonly plan: ClassPlan) {
    this.theme = plan.themes.find((theme) => theme.id === plan.themeId) ?? null;
    this.next = nextNames(plan, this.theme);
  }

  /** A line as it is said there. */
  filled(text: string, step: Step, moment: Moment): string {
    return text.includes('{') ? fillTokens(text, this.facts(step, moment)) : text;
  }

  /** What the tokens of a step's line stand for there. */
  facts(step: Step, moment: Moment): TokenFacts {
    const { style } = this.plan;
    const { turn, rounds } = moment;
    const own = contractOf(step).tokens(step);
    const side = turn ? turn.side : (own.sides[0] ?? null);
    const other = turn ? turn.other : (own.sides[1] ?? null);
    const begins = turn?.begins ?? true;
    const word = (one: Side | null, isFirst: boolean): string => (one ? sideWord(one, style, isFirst) : '');
    const way = (one: Side | null): string => (one ? wayWord(one, own.startSide, style) : '');
    const round = turn?.round ?? 0;
    const counting = own.counting ?? style.counting;
    const breath = breathWords(style, moment.form === undefined || moment.form === 'full');
    return {
      movement: themed(this.theme, step.name),
      nextMovement: this.next.get(step.id) ?? '',
      side: word(side, begins),
      otherSide: word(other, !begins),
      way: way(side),
      otherWay: way(other),
      round,
      rounds,
      roundsLeft: round > 0 ? rounds - round + 1 : 0,
      count: round > 0 ? countOf(counting, round, rounds) : 0,
      level: moment.level ?? own.level,
      minutesLeft: Math.max(1, Math.round((this.plan.targetSeconds - moment.at / 1000) / 60)),
      in: breath.in,
      out: breath.out,
      belly: bellyWords(style, moment.kind === 'exhale' ? 'exhale' : 'inhale'),
      picture: (name) => themed(this.theme, name),
    };
  }
}

/** The name of the movement that follows each step, of those that are performed. */
function nextNames(plan: ClassPlan, theme: Theme | null): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  let next = '';
  for (const { step } of stepsInOrder(plan).reverse()) {
    names.set(step.id, next);
    if (isMovement(step) && !step.skipped) next = themed(theme, step.name);
  }
  return names;
}
