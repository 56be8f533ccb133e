import { useSyncExternalStore } from 'react';

/** As wide as a phone held upright; the same limit stands in narrow.css. */
const query = '(max-width: 560px)';

const follow = (changed: () => void) => {
  const media = matchMedia(query);
  media.addEventListener('change', changed);
  return () => media.removeEventListener('change', changed);
};

/** Whether the screen is a phone's; the server does not know and draws for a tablet. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    follow,
    () => matchMedia(query).matches,
    () => false,
  );
