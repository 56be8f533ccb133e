import { useEffect, useState } from 'react';
import { call } from '../shell/useJob.ts';

interface Offer {
  number: string;
  priceMinor: number;
  currency: string;
  stock: number;
  leadDays: number;
}
type Fails = 'no' | 'error' | 'nonsense';

/** What the parts service says of these numbers, and how its stand-in behaves. */
export function useOffers(numbers: readonly string[]) {
  const [byNumber, setOffers] = useState<ReadonlyMap<string, Offer>>(new Map());
  const [down, setDown] = useState<string | null>(null);
  const [mood, setMoodNow] = useState<{ latencyMs: number; fails: Fails }>();
  const key = [...new Set(numbers)].join(' ');
  useEffect(() => {
    void call<{ latencyMs: number; fails: Fails } | null>('GET', '/api/parts-service/mood').then(
      (r) => {
        if (r.ok && r.value) setMoodNow(r.value);
      },
    );
  }, []);
  useEffect(() => {
    if (key === '') return;
    let current = true;
    void call<{ offers: Offer[]; down: string | null }>('POST', '/api/parts-service/offers', {
      numbers: key.split(' '),
    }).then((r) => {
      if (!current || !r.ok) return;
      setOffers(new Map(r.value.offers.map((o) => [o.number, o])));
      setDown(r.value.down);
    });
    return () => {
      current = false;
    };
  }, [key, mood]);
  const setMood = (fails: Fails) => {
    void call<{ latencyMs: number; fails: Fails }>('PUT', '/api/parts-service/mood', {
      latencyMs: mood?.latencyMs ?? 120,
      fails,
    }).then((r) => {
      if (r.ok) setMoodNow(r.value);
    });
  };
  return { byNumber, down, mood: mood?.fails, setMood };
}
