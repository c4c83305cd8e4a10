import type { Standing } from '@/core/live';
import type { ClassPlan } from '@/core/plan';

/** What the prompter tells other windows of the same browser; their shared clock is the wall clock. */
export type StageMessage =
  | {
      readonly kind: 'standing';
      readonly standing: Standing;
      /** The class as it is performed, where what is left of it was changed. */
      readonly performed: ClassPlan | null;
    }
  | { readonly kind: 'asks' };

export const channelOf = (classId: string): string => `calm-count-stage/${classId}`;
