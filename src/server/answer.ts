/** An answer that is all there: most are, and need no stream. */
export interface Answer {
  status: number;
  headers: Readonly<Record<string, string>>;
  body: string;
}

/** The same as the web's kind of answer. */
export const responseOf = ({ body, ...how }: Answer): Response => new Response(body, how);

/** What a handler gave, as JSON. */
export const jsonAnswer = (value: unknown): Answer => ({
  status: 200,
  headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  // Nothing to say is said as nothing.
  body: JSON.stringify(value) ?? '',
});
