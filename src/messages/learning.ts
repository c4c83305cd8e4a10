import type { Proposal } from '@/core/learn';
import { formatClock } from '@/core/units';

/** A change that takes propose, in a sentence; `name` is the step's, where it is about one. */
export function proposalSentence({ kind, from, to }: Proposal, name: string): string {
  switch (kind) {
    case 'voice':
      return `You speak at ${to} syllables a minute; the class uses ${from}.`;
    case 'breath':
      return `You lead a breath of ${to.toFixed(1)} s; the class has ${from.toFixed(1)} s.`;
    case 'teach':
      return `You teach ${name} in ${to.toFixed(0)} s; its words and pauses take ${from.toFixed(0)} s. The silence after its last line would make up for it.`;
    case 'target':
      return `The take is longer than voice, breath and teaching explain. A plan of ${formatClock(to)} would end where you want it; the class aims at ${formatClock(from)}.`;
  }
}

export const PROPOSAL_NAMES: Readonly<Record<Proposal['kind'], string>> = {
  voice: 'Voice',
  breath: 'Breath',
  teach: 'Teaching',
  target: 'Usual drift',
};
