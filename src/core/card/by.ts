/** Who and when of an entry, as the card has them. */
export const by = (k: { byId: string; atMs: number }) => ({ who: k.byId, atMs: k.atMs });
