import type { NewId } from '@/core/document';
import { contentOf, makeLibraryMovement, type Movement, type SectionRole } from '@/core/movement';
import type { MovementStep } from '@/core/plan';
import { eightSections } from '@/templates';
import * as movements from './movements';

interface Entry {
  readonly make: (newId: NewId) => MovementStep;
  readonly roles: readonly SectionRole[];
  readonly tags: readonly string[];
}

const ENTRIES: readonly Entry[] = [
  { make: movements.raisingTheLamp, roles: ['loosening', 'main'], tags: ['waking up'] },
  { make: movements.coilingTheLine, roles: ['loosening'], tags: ['shoulders', 'desk break'] },
  { make: movements.tideOverTheSill, roles: ['main'], tags: ['evening'] },
  { make: movements.turningTheLighthouse, roles: ['main'], tags: ['waist', 'desk break'] },
  { make: movements.heronOnThePiling, roles: ['main'], tags: ['balance'] },
  { make: movements.haulingTheSlowNet, roles: ['main'], tags: ['strength', 'four breaths'] },
  { make: movements.rowingHome, roles: ['loosening', 'main'], tags: ['back'] },
  { make: movements.bellBuoy, roles: ['loosening'], tags: ['weight'] },
  { make: movements.settingDownTheNets, roles: ['main'], tags: ['back'] },
  { make: movements.gullsLeavingTheWall, roles: ['main'], tags: ['chest', 'waking up'] },
  { make: movements.bankingTheStove, roles: ['settling', 'closing'], tags: ['evening', 'belly'] },
];

/** The harbour studio's movement library: its own movements, and the eight traditional ones. */
export function demoLibrary(): Movement[] {
  let count = 0;
  const newId = (): string => `library-${++count}`;
  const own = ENTRIES.map(({ make, roles, tags }) => makeLibraryMovement(contentOf(make(newId)), { roles, tags }));
  const traditional = eightSections(newId).map((step) =>
    makeLibraryMovement(contentOf(step), { roles: ['main'], tags: ['eight sections'] }),
  );
  return [...own, ...traditional];
}
