/** Keeps the home on screen in step with what is changed elsewhere; used once, by the shell. */
import { useEffect } from 'react';
import { useHome } from './home';
import { listen } from './live';

export function useLive(): void {
  useEffect(() => {
    const { follow } = useHome.getState();
    let opened = 0;
    return listen({
      onChange: ({ homeId, revision }) => void followed(homeId, revision),
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

async function followed(homeId: string, revision: number): Promise<void> {
  const { homes, status, follow, load } = useHome.getState();
  if (status === 'none' || !homes.some((home) => home.id === homeId)) await load();
  else await follow(homeId, revision);
}
