/** A tablet that joined the shop: what a lead sees of it. */
export interface TabletRow {
  id: string;
  name: string;
  joinedMs: number;
  lastMs: number;
  /** The one that asks. */
  own: boolean;
}
