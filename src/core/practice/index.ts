export { addBackground, BACKGROUNDS, TAKE_RATE, type Background } from './backgrounds';
export { plannedId } from './leaps';
export {
  practiceSchedule,
  practiceTake,
  type PracticeRecipe,
  type PracticeSchedule,
  type PracticeTake,
  type SaidTruth,
} from './practice-take';
