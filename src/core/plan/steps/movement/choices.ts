/** How the instructor is seen by the camera. */
export const VIEWS = ['front', 'side', 'back'] as const;

export const INTROS = ['full', 'short', 'silent'] as const;
/**
 * How much is said before and after the rounds of a movement: everything; the short wordings, and nothing taught;
 * or nothing but its caution, and what sends people into their own pace.
 */
export type Intro = (typeof INTROS)[number];
