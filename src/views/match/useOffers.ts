import { useState } from 'react';
import { useFetched } from '../shell/useFetched.ts';
import { call } from '../shell/useJob.ts';

interface Offer {
  number: string;
  priceMinor: number;
  currency: string;
  stock: number;
  leadDays: number;
}
type Fails = 'no' | 'error' | 'nonsense';
interface Mood {
  latencyMs: number;
  fails: Fails;
}

/** What the parts service says of these numbers, and how its stand-in behaves. */
export function useOffers(numbers: readonly string[]) {
  const [set, setSet] = useState<Mood>();
  const [round, setRound] = useState(0);
  const wanted = [...new Set(numbers)];
  const first = useFetched<Mood | null>('/api/parts-service/mood');
  const mood = set ?? first.value ?? undefined;
  const offers = useFetched<{ offers: Offer[]; down: string | null }>(
    wanted.length > 0 ? '/api/parts-service/offers' : undefined,
    { numbers: wanted },
    round,
  );
  const setMood = async (fails: Fails) => {
    const r = await call<Mood>('PUT', '/api/parts-service/mood', {
      latencyMs: mood?.latencyMs ?? 120,
      fails,
    });
    if (!r.ok) return;
    setSet(r.value);
    setRound((n) => n + 1);
  };
  return {
    byNumber: new Map(offers.value?.offers.map((o) => [o.number, o])),
    down: offers.failed?.reason ?? offers.value?.down ?? null,
    mood: mood?.fails,
    setMood,
  };
}
