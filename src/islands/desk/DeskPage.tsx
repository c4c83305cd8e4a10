import { useState, type ComponentProps } from 'react';
import type { ClassResponse } from '@/api/classes';
import { Desk } from './Desk';

type DeskProps = ComponentProps<typeof Desk>;

interface Props {
  /** JSON of a `ClassResponse`, as the server keeps it. */
  readonly stored: string;
  /** JSON of what of the studio the desk is given. */
  readonly studio: string;
  readonly takes: number;
}

/** The desk as its page is served: what it is given comes as text, which is cheaper to serve than to take apart. */
export function DeskPage({ stored, studio, takes }: Props) {
  const [given] = useState(() => ({
    stored: JSON.parse(stored) as ClassResponse,
    takes,
    ...(JSON.parse(studio) as Omit<DeskProps, 'stored' | 'takes'>),
  }));
  return <Desk {...given} />;
}
