/** Keeps the home on screen in step with what is changed elsewhere; used once, by the shell. */
import type { HomeEvent } from '@dulvan/contract';
import { useEffect } from 'react';
import { useHome } from './home';
import { listen } from './live';

export function useLive(): void {
  useEffect(() => {
    const { follow } = useHome.getState();
    let opened = 0;
    return listen({
      onChange: (event) => void followed(event),
      onOpen: () => {
        opened += 1;
        const { facts, status, load } = useHome.getState();
        // The first time everything is being loaded anyway.
        if (status === 'failed') void load();
        else if (facts && opened > 1) void follow(facts.home.id, Infinity);
      },
    });
  }, []);
}

async function followed({ homeId, revision, isKept }: HomeEvent): Promise<void> {
  const { homes, status, follow, load } = useHome.getState();
  const isListed = homes.some((home) => home.id === homeId);
  if (status === 'none' || isListed !== isKept) await load();
  else if (isKept) await follow(homeId, revision);
}
