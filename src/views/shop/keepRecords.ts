import type { ShopView } from '../../core/schemas/shop.ts';
import type { WorkshopFile } from '../../core/schemas/workshop.ts';
import { leadHeaders, type LeadSays } from '../shell/useLeadPin.tsx';
import { call } from '../shell/useJob.ts';

/** The shop as it stands; nothing where the server does not answer. */
export async function shopNow(): Promise<ShopView | undefined> {
  const r = await call<ShopView>('GET', '/api/shop');
  return r.ok ? r.value : undefined;
}

/** Keeps records through the same door as an imported file, and gives the shop back as it then is. */
export async function keepRecords(
  records: Pick<WorkshopFile, 'wrenches' | 'instruments'>,
  askLead: () => Promise<LeadSays | undefined>,
): Promise<{ ok: true; shop: ShopView } | { ok: false; reason: string }> {
  const file = { format: 'true-spindle/workshop', version: 1, ...records };
  const says = await askLead();
  if (!says) return { ok: false, reason: 'Not kept: no PIN was given.' };
  const kept = await call('POST', '/api/import', file, 'application/json', leadHeaders(says));
  if (!kept.ok) {
    const [first] = kept.problem.errors;
    return { ok: false, reason: first ? `${first.field}: ${first.reason}` : kept.problem.detail };
  }
  const shop = await call<ShopView>('GET', '/api/shop');
  return shop.ok ? { ok: true, shop: shop.value } : { ok: false, reason: shop.problem.detail };
}
