/** Beginnings that a table program takes for a formula and works out; a signed reading with its unit is none. */
const formula = /^(?![+-]\d+([.,]\d+)? ?[A-Za-z°%·/]{0,5}$)[=+\-@\t\r]/u;
/** An apostrophe in front makes a text of it; one that stood there is kept by another. */
const guarded = /^'(?=['=+\-@\t\r])/u;

/** A cell as it goes into a file: a text that would be worked out is made harmless; figures stay figures. */
export const harmless = (value: unknown): unknown =>
  typeof value === 'string' && (formula.test(value) || guarded.test(value)) ? `'${value}` : value;

/** The same cell as it was before it went out. */
export const restored = (cell: string): string => cell.replace(guarded, '');
