import { useState } from 'react';
import type { ShopView } from '../../core/schemas/shop.ts';
import { call, type ProblemDoc } from '../shell/useJob.ts';

/** What is done with a PIN behind it: sent, its problem kept, the PIN forgotten. */
export function useAsLead(who: string, onShop: (s: ShopView) => void) {
  const [pin, setPin] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const send = async (path: string, body: object): Promise<boolean> => {
    const r = await call<ShopView>('POST', path, { byId: who, pin, ...body });
    setPin('');
    setProblem(r.ok ? undefined : r.problem);
    if (r.ok) onShop(r.value);
    return r.ok;
  };
  return { pin, setPin, problem, send };
}
