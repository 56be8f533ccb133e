import { useEffect, useSyncExternalStore } from 'react';
import { useKept } from '../../ui/kept.ts';

/** Whether this browser can speak at all. */
const speaker = (): SpeechSynthesis | undefined =>
  typeof window === 'undefined' ? undefined : window.speechSynthesis;

/** Says each stage aloud as it comes, where the browser can and somebody has switched it on; off at first. */
export function useSpoken(text: string): { can: boolean; on: boolean; toggle: () => void } {
  const [kept, keep] = useKept('localStorage', 'spoken-stages');
  const on = kept === '1';
  useEffect(() => {
    const voice = speaker();
    if (!on || !voice) return;
    voice.cancel();
    voice.speak(new SpeechSynthesisUtterance(text));
    return () => voice.cancel();
  }, [on, text]);
  // The server cannot know it: it is drawn once the page lives.
  const can = useSyncExternalStore(
    () => () => undefined,
    () => speaker() !== undefined,
    () => false,
  );
  return { can, on, toggle: () => keep(on ? '0' : '1') };
}
