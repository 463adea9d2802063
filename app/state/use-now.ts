/** The time, kept to the minute while a screen is shown. */
import { useEffect, useState } from 'react';

const MINUTE_MS = 60_000;

export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
