import { ChevronLeft, ChevronRight, Ellipsis, Search } from 'lucide-react';
import { useEffect, useState, type ReactNode } from 'react';
import { ITEM, Menu, MenuButton } from '../parts/Menu';
import { KeyList, type KeyLine } from '../parts/KeyList';
import { ThemeChoice } from '../parts/ThemeChoice';
import { onDemand } from '../parts/on-demand';
import { useKeptFocus } from '../parts/use-kept-focus';
import { useKey } from '../parts/use-keys';

const FindDialog = onDemand(() => import('./FindDialog').then((its) => its.FindDialog), { takesKeys: true });
const StudioNameDialog = onDemand(() => import('./StudioNameDialog').then((its) => its.StudioNameDialog), {
  takesKeys: true,
});

interface Place {
  readonly href: string;
  readonly words: string;
}

interface Props {
  readonly studio: string;
  /** Pages between the list of classes and this one; left out on the pages that stand beside that list. */
  readonly trail?: readonly Place[];
  /** Where the page fills the window and has no room to spare. */
  readonly compact?: boolean;
  /** The heading of the page. */
  readonly title: string;
  /** Beside the heading: how it is saved, say. */
  readonly beside?: ReactNode;
  /** What can be done on this page, at its right. */
  readonly children?: ReactNode;
  /** More of it, in the menu. */
  readonly menu?: ReactNode;
  /** Keys of this page, told beside those of every page. */
  readonly keys?: readonly KeyLine[];
  /** Said below the list of keys. */
  readonly keysNote?: ReactNode;
  /** Follows a link of the head after what waits was saved. */
  readonly onAway?: (href: string) => void;
}

const PAGES = [
  { href: '/', words: 'Classes' },
  { href: '/library', words: 'Movements' },
  { href: '/voice', words: 'My voice' },
] as const;
const MORE_PAGES = [
  { href: '/terms', words: 'Spelling' },
  { href: '/bin', words: 'Bin' },
] as const;
const KEYS_EVERYWHERE: readonly KeyLine[] = [
  { keys: '/', does: 'find a class or movement' },
  { keys: '?', does: 'the keys of this page' },
  { keys: 'Escape', does: 'close what lies over the page' },
];

/** The head of every page: product and studio, where one is, the way back, search, and what can be done here. */
export function AppHead(props: Props) {
  const { studio, trail, compact, title, beside, children, menu, keys = [], keysNote, onAway } = props;
  const [over, setOver] = useState<'find' | 'keys' | 'studio' | null>(null);
  const [name, setName] = useState(studio);
  useKeptFocus();
  useEffect(() => {
    // Once the page is drawn: search then opens at once.
    const soon = setTimeout(() => void Promise.all([FindDialog.load(), StudioNameDialog.load()]), 200);
    return () => clearTimeout(soon);
  }, []);
  useKey('/', () => setOver('find'), { useKey: true });
  useKey('?', () => setOver('keys'), { useKey: true });
  const top = trail === undefined;
  const here = PAGES.find(({ href }) => href === location.pathname);
  const follow = (event: React.MouseEvent<HTMLAnchorElement>): void => {
    if (!onAway || event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    onAway(event.currentTarget.pathname);
  };
  const pageLink = ({ href, words }: Place, face: ReactNode = words) => (
    <a
      key={href}
      href={href}
      title={words}
      className={`hover:text-primary inline-block min-h-8 max-w-72 min-w-8 truncate leading-8 ${href === location.pathname ? 'border-primary text-primary border-b-2 font-semibold' : ''}`}
      aria-current={href === location.pathname ? 'page' : undefined}
      onClick={follow}
    >
      {face}
    </a>
  );
  return (
    <header
      className={`flex items-center gap-x-4 gap-y-1 ${compact ? 'mb-1.5' : 'mb-4'} ${top ? 'flex-wrap' : trail.length > 0 ? 'max-md:flex-wrap' : ''}`}
    >
      <a href="#main" className="skip-link btn btn-sm btn-primary">
        Skip to the page
      </a>
      <span className={`flex min-h-8 items-center gap-x-4 ${top ? '' : 'max-xl:hidden'}`}>
        <a href="/" className="inline-flex min-h-8 items-center font-semibold whitespace-nowrap" onClick={follow}>
          Calm Count
        </a>
        <span className={`quiet-ink max-w-52 truncate ${top ? 'max-md:hidden' : 'hidden'}`}>{name}</span>
      </span>
      {top ? (
        <nav aria-label="Pages" className="flex gap-x-4 max-md:hidden">
          {PAGES.map((one) => pageLink(one))}
        </nav>
      ) : (
        <nav
          aria-label="Breadcrumb"
          className={`flex items-center gap-1 ${trail.length > 0 ? 'min-w-0 max-md:flex-1' : 'shrink-0'}`}
        >
          {[{ href: '/', words: 'Classes' }, ...trail].map((one, at) => (
            <span
              key={one.href}
              className={`flex min-w-0 items-center gap-1 ${at < trail.length ? 'max-xl:hidden' : ''}`}
            >
              {pageLink(
                one,
                <>
                  <ChevronLeft size={22} aria-hidden className="-mt-0.5 -ml-1 inline md:hidden" />
                  <span className={trail.length === 0 ? 'max-sm:sr-only' : ''}>{one.words}</span>
                </>,
              )}
              <ChevronRight size={14} aria-hidden className="quiet-ink shrink-0 max-md:hidden" />
            </span>
          ))}
        </nav>
      )}
      <h1
        className={`min-w-0 flex-1 truncate text-lg font-semibold ${here ? 'md:sr-only' : ''} ${trail && trail.length > 0 ? 'max-md:order-last max-md:basis-full' : ''}`}
        title={title}
      >
        {title}
      </h1>
      {beside}
      <span className={`no-print ml-auto flex shrink-0 items-center justify-end gap-2 ${top ? 'flex-wrap' : ''}`}>
        {children}
        <button
          type="button"
          className={`btn btn-sm ${top ? 'max-lg:btn-square' : 'btn-square'}`}
          aria-label="Find a class or movement"
          title="Find a class or movement (/)"
          onClick={() => setOver('find')}
        >
          <Search size={16} aria-hidden />
          {top && (
            <span className="quiet-ink font-normal max-lg:hidden" aria-hidden>
              Find a class or movement <kbd className="pl-2">/</kbd>
            </span>
          )}
        </button>
        <Menu label="Menu" face={<Ellipsis size={16} aria-hidden />} className="btn btn-sm btn-square">
          {menu}
          <div className={top ? 'md:hidden' : ''}>{PAGES.map((one) => menuLink(one, follow))}</div>
          {MORE_PAGES.map((one) => menuLink(one, follow))}
          <MenuButton onClick={() => setOver('studio')}>Name of the studio…</MenuButton>
          <MenuButton onClick={() => setOver('keys')}>Keys of this page…</MenuButton>
          <hr className="border-base-300 my-1" />
          <ThemeChoice />
        </Menu>
      </span>
      {over === 'find' && <FindDialog onClose={() => setOver(null)} onAway={onAway} />}
      {over === 'keys' && (
        <KeyList keys={[...keys, ...KEYS_EVERYWHERE]} onClose={() => setOver(null)}>
          {keysNote}
        </KeyList>
      )}
      {over === 'studio' && <StudioNameDialog name={name} onNamed={setName} onClose={() => setOver(null)} />}
    </header>
  );
}

function menuLink({ href, words }: Place, follow: (event: React.MouseEvent<HTMLAnchorElement>) => void) {
  return (
    <a key={href} href={href} className={ITEM} onClick={follow}>
      {words}
    </a>
  );
}
