import { useState } from 'react';
import type { ClassesPage } from '@/api/classes';
import type { ListedSeries } from '@/api/series';
import { Classes } from './Classes';

interface Props {
  readonly studio: string;
  /** JSON of the first part of the list and its series, as the server made it. */
  readonly listed: string;
}

/** The list as its page is served: what it is given comes as text. */
export function ListPage({ studio, listed }: Props) {
  const [given] = useState(
    () => JSON.parse(listed) as { readonly first: ClassesPage; readonly series: readonly ListedSeries[] },
  );
  return <Classes studio={studio} {...given} />;
}
