interface Props {
  readonly studio: string;
  /** Where the page belongs, below the shelf. */
  readonly to?: readonly { readonly href: string; readonly words: string }[];
}

/** The beginning of a page's head: the studio, and the way back. */
export function PageLinks({ studio, to = [] }: Props) {
  return (
    <>
      <span className="font-semibold">{studio}</span>
      <a className="link" href="/">
        Shelf
      </a>
      {to.map(({ href, words }) => (
        <a key={href} className="link" href={href}>
          {words}
        </a>
      ))}
    </>
  );
}
