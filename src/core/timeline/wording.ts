import {
  contractOf,
  countOf,
  isMovement,
  performedSteps,
  type ClassPlan,
  type Moment,
  type Step,
  type Turn,
} from '@/core/plan';
import {
  bellyWords,
  breathWords,
  directionOf,
  fillTokens,
  legOf,
  mirroredSide,
  sideWord,
  themed,
  wayWord,
  type Direction,
  type Leg,
  type Side,
  type Theme,
  type TokenFacts,
} from '@/core/words';

/** Fills the tokens of a plan's lines by its style, its theme and the place where each is said. */
export class Wording {
  private readonly theme: Theme | null;
  private readonly next: ReadonlyMap<string, string>;
  /** The side of the block that a step stands in. */
  private readonly blockSides: ReadonlyMap<string, Leg>;

  constructor(private readonly plan: ClassPlan) {
    this.theme = plan.themes.find((theme) => theme.id === plan.themeId) ?? null;
    this.next = nextNames(plan, this.theme);
    this.blockSides = new Map(performedSteps(plan).flatMap(({ step, side }) => (side ? [[step.id, side]] : [])));
  }

  /** A line as it is said there. */
  filled(text: string, step: Step, moment: Moment): string {
    return text.includes('{') ? fillTokens(text, this.facts(step, moment)) : text;
  }

  /** What the tokens of a step's line stand for there. */
  facts(step: Step, moment: Moment): TokenFacts {
    const { turn, rounds } = moment;
    const own = contractOf(step).tokens(step);
    const style = { ...this.plan.style, ...own.style };
    const { side, other } = this.sidesAt(step, own.sides, turn);
    const begins = turn?.begins ?? true;
    const word = (one: Side | null, isFirst: boolean): string => (one ? sideWord(one, style, isFirst) : '');
    const way = (one: Side | null, of: Direction): string =>
      one ? wayWord(directionOf(one) === null ? of : one, own.startSide, style) : '';
    const round = turn?.round ?? 0;
    const counting = own.counting ?? style.counting;
    const breath = breathWords(style, moment.form === undefined || moment.form === 'full');
    return {
      movement: themed(this.theme, step.name),
      nextMovement: this.next.get(step.id) ?? '',
      side: word(side, begins),
      otherSide: word(other, !begins),
      way: way(side, 'one-way'),
      otherWay: way(other, 'other-way'),
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

  /** The side that a line means, and the other: of its round, of the step's first, or of the block it stands in. */
  private sidesAt(
    step: Step,
    sides: readonly (Side | null)[],
    turn: Turn | null,
  ): { readonly side: Side | null; readonly other: Side | null } {
    const block = this.blockSides.get(step.id) ?? null;
    const [first = null, second = null] = turn
      ? [turn.side, turn.other]
      : [sides[0], sides.length > 2 ? sides[2] : sides[1]];
    const side = first ?? block;
    return { side, other: second ?? (side && legOf(side) ? mirroredSide(side) : null) };
  }
}

/** The name of the movement that follows each step, of those that are performed. */
function nextNames(plan: ClassPlan, theme: Theme | null): ReadonlyMap<string, string> {
  const names = new Map<string, string>();
  let next = '';
  for (const { step } of [...performedSteps(plan)].reverse()) {
    names.set(step.id, next);
    if (isMovement(step) && !step.skipped) next = themed(theme, step.name);
  }
  return names;
}
