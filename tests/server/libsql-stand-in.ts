import Database from 'libsql';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';

/**
 * A stand-in of a database server that speaks libSQL’s protocol over HTTP (Hrana 2, JSON), on a file. No real one runs
 * where these tests do. What is sent is taken as the client of the registry sends it; nothing else is promised.
 */

type Value =
  { type: 'null' } | { type: 'integer' | 'text'; value: string } | { type: 'float'; value: number };
interface Stmt {
  sql?: string;
  sql_id?: number;
  args?: Value[];
  want_rows?: boolean;
}
type Cond =
  | { type: 'ok'; step: number }
  | { type: 'error'; step: number }
  | { type: 'not'; cond: Cond }
  | { type: 'and'; conds: Cond[] }
  | { type: 'or'; conds: Cond[] };
type Request =
  | { type: 'execute'; stmt: Stmt }
  | { type: 'batch'; batch: { steps: { condition?: Cond; stmt: Stmt }[] } }
  | { type: 'sequence'; sql?: string; sql_id?: number }
  | { type: 'store_sql'; sql_id: number; sql: string }
  | { type: 'close_sql'; sql_id: number }
  | { type: 'close' };

const toValue = (v: unknown): Value => {
  if (v === null || v === undefined) return { type: 'null' };
  if (typeof v === 'string') return { type: 'text', value: v };
  const n = Number(v);
  return Number.isInteger(n) ? { type: 'integer', value: String(n) } : { type: 'float', value: n };
};
const fromValue = (v: Value): string | number | null => {
  if (v.type === 'null') return null;
  return v.type === 'text' ? v.value : Number(v.value);
};
interface Result {
  cols: { name: string }[];
  rows: Value[][];
  affected_row_count: number;
  last_insert_rowid: string | null;
}
const toError = (e: unknown) => ({
  message: e instanceof Error ? e.message : String(e),
  code: (e as { code?: string }).code ?? 'SQLITE_ERROR',
});

/** One connection, as a stream of the protocol has. */
class Stream {
  readonly #db: Database.Database;
  readonly #texts = new Map<number, string>();
  constructor(file: string) {
    this.#db = new Database(file);
  }
  #text = (s: { sql?: string; sql_id?: number }) => s.sql ?? this.#texts.get(s.sql_id ?? -1) ?? '';
  #run({ args = [], ...s }: Stmt): Result {
    const statement = this.#db.prepare(this.#text(s));
    const values = args.map(fromValue);
    if (!statement.reader) {
      const { changes, lastInsertRowid } = statement.run(...values);
      return {
        cols: [],
        rows: [],
        affected_row_count: changes,
        last_insert_rowid: String(lastInsertRowid),
      };
    }
    const rows = statement.raw(true).all(...values) as unknown[][];
    return {
      cols: statement.columns().map(({ name }) => ({ name })),
      rows: rows.map((row) => row.map(toValue)),
      affected_row_count: 0,
      last_insert_rowid: null,
    };
  }
  #batch(steps: { condition?: Cond; stmt: Stmt }[]) {
    const results: (Result | null)[] = [];
    const errors: (ReturnType<typeof toError> | null)[] = [];
    const holds = (c: Cond): boolean => {
      if (c.type === 'ok') return Boolean(results[c.step]);
      if (c.type === 'error') return Boolean(errors[c.step]);
      if (c.type === 'not') return !holds(c.cond);
      if (c.type === 'and') return c.conds.every(holds);
      return c.conds.some(holds);
    };
    for (const [i, { condition, stmt }] of steps.entries()) {
      results[i] = null;
      errors[i] = null;
      if (condition && !holds(condition)) continue;
      try {
        results[i] = this.#run(stmt);
      } catch (e) {
        errors[i] = toError(e);
      }
    }
    return { step_results: results, step_errors: errors };
  }
  answer(r: Request): object {
    switch (r.type) {
      case 'execute':
        return { type: r.type, result: this.#run(r.stmt) };
      case 'batch':
        return { type: r.type, result: this.#batch(r.batch.steps) };
      case 'sequence':
        this.#db.exec(this.#text(r));
        return { type: r.type };
      case 'store_sql':
        this.#texts.set(r.sql_id, r.sql);
        return { type: r.type };
      case 'close':
        this.#db.close();
        return { type: r.type };
      case 'close_sql':
        return { type: r.type };
    }
  }
}

/** What a bad line does to the next requests that write: one never arrives, or its answer is lost. */
export type Mood = 'well' | 'lost-before' | 'lost-after';

export interface LibsqlStandIn {
  url: string;
  /** How the next writes go, and how many of them. */
  setMood: (mood: Mood, times: number) => void;
  stop: () => void;
}

export function libsqlStandIn(file: string): Promise<LibsqlStandIn> {
  const streams = new Map<string, Stream>();
  let [mood, times, count]: [Mood, number, number] = ['well', 0, 0];
  async function pipeline(req: IncomingMessage, res: ServerResponse): Promise<void> {
    const chunks: Buffer[] = [];
    for await (const c of req) chunks.push(c as Buffer);
    const text = Buffer.concat(chunks).toString('utf8');
    const { baton, requests } = JSON.parse(text) as { baton?: string; requests: Request[] };
    const spoilt = times > 0 && /"COMMIT"|INSERT INTO/u.test(text) ? mood : undefined;
    if (spoilt) times -= 1;
    if (spoilt === 'lost-before') return void req.socket.destroy();
    const stream = streams.get(baton ?? '') ?? new Stream(file);
    const results = requests.map((r) => {
      try {
        return { type: 'ok', response: stream.answer(r) };
      } catch (e) {
        return { type: 'error', error: toError(e) };
      }
    });
    streams.delete(baton ?? '');
    const open = !requests.some((r) => r.type === 'close');
    const next = open ? `b${(count += 1)}` : null;
    if (next) streams.set(next, stream);
    if (spoilt) return void req.socket.destroy();
    res.setHeader('content-type', 'application/json');
    res.end(JSON.stringify({ baton: next, base_url: null, results }));
  }
  const server = createServer((req, res) => void pipeline(req, res));
  return new Promise((done) =>
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      done({
        url: `http://127.0.0.1:${port}`,
        setMood: (m, n) => ([mood, times] = [m, n]),
        stop: () => server.close(),
      });
    }),
  );
}
