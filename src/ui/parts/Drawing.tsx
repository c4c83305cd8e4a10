import { useId, useState, type ReactNode } from 'react';

interface Props {
  readonly title: string;
  /** What the drawing shows, in words. */
  readonly words: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** The drawing itself; hidden from screen readers, who have the words and the table. */
  readonly children: ReactNode;
}

/** A drawn figure that can be had as a table. */
export function Drawing({ title, words, heads, rows, children }: Props) {
  const [asTable, setAsTable] = useState(false);
  const id = useId();
  return (
    <section aria-labelledby={id} className="mb-6 min-w-0">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h2 id={id} className="font-semibold">
          {title}
        </h2>
        {rows.length > 0 && (
          <button type="button" className="btn btn-xs ml-auto" onClick={() => setAsTable(!asTable)}>
            {asTable ? `${title} drawn` : `${title} as a table`}
          </button>
        )}
      </div>
      <p className="mb-2 text-sm">{words}</p>
      {rows.length > 0 && !asTable && <div aria-hidden>{children}</div>}
      {asTable && (
        <div className="max-h-80 overflow-y-auto" tabIndex={0} role="group" aria-label={`${title}, table`}>
          <table className="table-sm table">
            <thead>
              <tr>
                {heads.map((head, at) => (
                  <th key={head} scope="col" className={at > 0 ? 'text-right' : ''}>
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, index) => (
                <tr key={index}>
                  {row.map((cell, at) =>
                    at === 0 ? (
                      <th key={at} scope="row" className="font-normal">
                        {cell}
                      </th>
                    ) : (
                      <td key={at} className="text-right tabular-nums">
                        {cell}
                      </td>
                    ),
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
