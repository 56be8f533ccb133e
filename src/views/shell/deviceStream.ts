/** A device that is being read: a gauge, an indicator or a wrench. */
export interface DeviceStream {
  close: () => void;
}

interface Reader {
  source: EventSource;
  lost: () => void;
}

let open: Reader | undefined;

/** Other pages of this browser hear when a device is taken up here, and let theirs go. */
const pages =
  typeof window === 'undefined' ? undefined : new BroadcastChannel('true-spindle-device');
const letGo = (): void => {
  const reader = open;
  open = undefined;
  reader?.source.close();
  reader?.lost();
};
pages?.addEventListener('message', letGo);

/**
 * Takes a device up. A browser reads one at a time, so that streams never use up its connections to the server: who
 * takes another up loses the one before, on this page or on another one. `lost` is called once, when the stream ends by
 * anything but `close`.
 */
export function readDevice<T>(
  path: string,
  take: (message: T) => void,
  lost: () => void,
): DeviceStream {
  letGo();
  pages?.postMessage('taken');
  const source = new EventSource(path);
  const reader: Reader = { source, lost };
  open = reader;
  source.onmessage = (e: MessageEvent<string>) => take(JSON.parse(e.data) as T);
  source.onerror = () => {
    if (open === reader) letGo();
  };
  return {
    close: () => {
      source.close();
      if (open === reader) open = undefined;
    },
  };
}
