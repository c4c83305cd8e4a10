import { useEffect, useSyncExternalStore, type ComponentType, type ReactNode } from 'react';
import { useHeldKeys } from './use-held-keys';

/** What comes in a file of its own: how it stands, and how it is asked for. */
export interface Loadable<T> {
  /** `null` until it has come. */
  readonly now: () => T | null;
  /** Whether the last time it was asked for it did not come. */
  readonly failed: () => boolean;
  /** Asks for it, once for however many ask; again if it did not come. */
  readonly load: () => Promise<void>;
  readonly subscribe: (listener: () => void) => () => void;
}

export function loadable<T>(fetchIt: () => Promise<T>): Loadable<T> {
  let value: T | null = null;
  let failed = false;
  let loading: Promise<void> | null = null;
  const listeners = new Set<() => void>();
  const tell = (): void => listeners.forEach((listener) => listener());
  const load = async (): Promise<void> => {
    try {
      value = await fetchIt();
      failed = false;
    } catch {
      failed = true;
      loading = null;
    }
    tell();
  };
  return {
    now: () => value,
    failed: () => failed,
    load: () => (loading ??= load()),
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

/** What was loaded, asking for it where it is not there yet and `wanted`. */
export function useLoaded<T>(of: Loadable<T>, wanted = true): T | null {
  const value = useSyncExternalStore(of.subscribe, of.now, of.now);
  useEffect(() => {
    if (wanted) void of.load();
  }, [of, wanted]);
  return value;
}

/** A component that comes on demand; `load` fetches it before it is shown, so that it then shows at once. */
export interface OnDemand<Props> {
  (props: Props): ReactNode;
  readonly load: () => Promise<void>;
}

interface Options {
  /** What stands in its place until it has come. */
  readonly meanwhile?: ReactNode;
  /** Keys pressed after it was asked for are meant for it: it is given them when it has come. */
  readonly takesKeys?: boolean;
}

const RETRY_MILLISECONDS = 2_000;

/**
 * A component in a file of its own. Unlike `React.lazy`, one that has come is drawn in the same pass as what asks for
 * it, and none is held back for 300 ms because its place was empty before; one that does not come says so, and is
 * asked for again.
 */
export function onDemand<Props extends object>(
  fetchIt: () => Promise<ComponentType<Props>>,
  { meanwhile = null, takesKeys = false }: Options = {},
): OnDemand<Props> {
  const loaded = loadable(async () => ({ Part: await fetchIt() }));
  const Demanded = (props: Props): ReactNode => {
    const come = useLoaded(loaded);
    const failed = useSyncExternalStore(loaded.subscribe, loaded.failed, loaded.failed);
    useHeldKeys(takesKeys && !come);
    useEffect(() => {
      if (!failed) return undefined;
      const again = setInterval(() => void loaded.load(), RETRY_MILLISECONDS);
      return () => clearInterval(again);
    }, [failed]);
    if (come) return <come.Part {...props} />;
    return failed ? <NotThere /> : meanwhile;
  };
  return Object.assign(Demanded, { load: loaded.load });
}

function NotThere() {
  return (
    <p role="alert" className="alert alert-warning m-3 text-sm">
      This part of the page has not come from the server. It is asked for again; if it stays away, reload the page.
    </p>
  );
}
