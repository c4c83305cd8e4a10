import { practiceTake, type PracticeRecipe, type PracticeTake } from '@/core/practice';
import { speakLine, type TakeVoice } from './voices';

export interface TakeRecipe extends PracticeRecipe {
  readonly voice: TakeVoice;
}

/** A take of a class with its truth, said by a voice that the application does not have. */
export function makeTake({ voice, ...recipe }: TakeRecipe): PracticeTake {
  const making = practiceTake(recipe);
  let next = making.next();
  while (!next.done) next = making.next(speakLine(voice, next.value));
  return next.value;
}
