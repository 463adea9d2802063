/** What is asked of the server by a screen that shows it, and asked again when its key changes. */
import { useEffect, useState } from 'react';

/** What came of asking the server. */
export type Fetched<T> =
  | { readonly state: 'working' }
  | { readonly state: 'ready'; readonly value: T }
  | { readonly state: 'failed'; readonly message: string; readonly retry: () => void };

/** @param fetching made once, and told by the key alone what is fetched */
export function useFetched<T>(fetching: (key: string) => Promise<T>, key: string): Fetched<T> {
  const [held, setHeld] = useState<{ readonly key: string; readonly outcome: Fetched<T> } | null>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let stale = false;
    const settle = (outcome: Fetched<T>) => !stale && setHeld({ key, outcome });
    fetching(key)
      .then((value) => settle({ state: 'ready', value }))
      .catch((error: Error) =>
        settle({ state: 'failed', message: error.message, retry: () => setTries((before) => before + 1) }),
      );
    return () => {
      stale = true;
    };
  }, [fetching, key, tries]);
  return held?.key === key ? held.outcome : { state: 'working' };
}
