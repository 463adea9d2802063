/** What is changed in other tabs and on other devices, as it happens. */
import { EVENTS_PATH, homeEventSchema, type HomeEvent } from '@dulvan/contract';
import { BASE } from './api';

const CHANNEL = 'dulvan-changes';

/** Tells the other tabs of this browser, which need not wait for the server. */
export function tellOthers(event: HomeEvent): void {
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage(event);
  channel.close();
}

export interface Heard {
  onChange(event: HomeEvent): void;
  /** The stream is open, for the first time or again: what was missed is to be asked for. */
  onOpen(): void;
}

/** Listens to the server's stream of changes. */
function listenToServer({ onChange, onOpen }: Heard): () => void {
  const source = new EventSource(`${BASE}${EVENTS_PATH}`);
  source.addEventListener('ready', onOpen);
  source.addEventListener('change', ({ data }: MessageEvent<string>) => {
    const event = homeEventSchema.safeParse(JSON.parse(data));
    if (event.success) onChange(event.data);
  });
  return () => source.close();
}

/**
 * Hears of changes made elsewhere until it is stopped. A page that is hidden lets go of the stream (browsers allow few to one
 * server) and catches up when it is looked at again.
 */
export function listen(heard: Heard): () => void {
  if (typeof EventSource === 'undefined' || typeof BroadcastChannel === 'undefined') return () => undefined;
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    const event = homeEventSchema.safeParse(data);
    if (event.success) heard.onChange(event.data);
  };
  let stop: (() => void) | null = null;
  const turned = () => {
    if (document.visibilityState === 'visible') stop ??= listenToServer(heard);
    else {
      stop?.();
      stop = null;
    }
  };
  turned();
  document.addEventListener('visibilitychange', turned);
  return () => {
    document.removeEventListener('visibilitychange', turned);
    channel.close();
    stop?.();
  };
}
