import { Mail, Printer } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { type Book, type DayHead, faultInWords } from '../../core/card/index.ts';
import { dayTime } from '../../core/units/index.ts';
import { Call } from '../../ui/Panels.tsx';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { call } from '../shell/useJob.ts';
import { HeldAgainst } from './HeldAgainst.tsx';
import './verify.css';

/** A hash as it is read aloud and typed: in fours. */
const inFours = (hash: string) => hash.replace(/(.{4})(?=.)/gu, '$1 ');

/** Is the record still what was written, and who outside could tell? */
export default function Verify({
  shop,
  people,
  who: firstWho,
  timeZone,
}: {
  shop: string;
  people: { id: string; name: string }[];
  who: string;
  timeZone: string;
}) {
  const [book, setBook] = useState<Book>();
  const [who, setWho] = useState(firstWho);
  const [failed, setFailed] = useState<string>();
  const latest = book?.days[0];
  const again = useCallback(async () => {
    const r = await call<Book>('GET', '/api/verify');
    if (r.ok) setBook(r.value);
    setFailed(r.ok ? undefined : r.problem.detail);
  }, []);
  useEffect(() => {
    // Many years of jobs take a while: the page stands before every seal is tried.
    // eslint-disable-next-line react-hooks/set-state-in-effect -- set once the server has answered
    void again();
  }, [again]);
  const sent = async (d: DayHead, how: 'printed' | 'mailed') => {
    const body = { id: uuid(), day: d.day, head: d.head, how, byId: who };
    const r = await call<Book>('POST', '/api/verify/sent', body);
    if (r.ok) setBook(r.value);
    setFailed(r.ok ? undefined : r.problem.detail);
    return r.ok;
  };
  const print = async () => {
    if (latest && (await sent(latest, 'printed'))) window.print();
  };
  const mail = async () => {
    if (!book || !latest || !(await sent(latest, 'mailed'))) return;
    location.assign(mailOf(shop, latest, book.publicKey));
  };
  return (
    <ShopPage
      shop={shop}
      note="Verify"
      person={{ people, who, onWho: setWho }}
      title="Nothing altered, left out or cut off?"
      lines={[
        book
          ? `${book.jobs} jobs, ${book.entries} entries, tried ${dayTime(book.checkedMs, timeZone)}`
          : 'Every seal is being tried',
      ]}
      main="verify-main"
    >
      {failed && <TryAgain what="Not done" failed={{ reason: failed, again }} />}
      {book && (
        <Tried book={book} timeZone={timeZone} onPrint={print} onMail={mail} onAgain={again} />
      )}
      {book && latest && <HeadSheet shop={shop} d={latest} publicKey={book.publicKey} />}
    </ShopPage>
  );
}

/** What was found, day by day, and how far it can be proven. */
function Tried({
  book,
  timeZone,
  onPrint,
  onMail,
  onAgain,
}: {
  book: Book;
  timeZone: string;
  onPrint: () => void;
  onMail: () => void;
  onAgain: () => void;
}) {
  const [latest] = book.days;
  return (
    <>
      <ol className="day-chain" aria-label="The record, day by day">
        {book.days.map((d) => (
          <DayLink key={d.day} d={d} timeZone={timeZone} />
        ))}
        {book.days.length === 0 && <li className="note big">Nothing is on record yet.</li>}
      </ol>
      <aside className="verify-side">
        {book.faults.length > 0 ? (
          <Call status="stop">
            {book.faults.length === 1
              ? faultInWords(book.faults[0]!)
              : `${book.faults.length} places do not fit.`}
          </Call>
        ) : (
          <Call status={book.entries > 0 ? 'good' : 'to-do'}>
            {book.entries > 0
              ? 'Every seal fits, no number is missing, every day that left this machine still stands.'
              : 'There is nothing to try yet.'}
          </Call>
        )}
        {book.faults.length > 1 && (
          <ul>
            {book.faults.map((f) => (
              <li key={faultInWords(f)}>
                {f.jobId ? (
                  <a className="plain-link" href={`/jobs/${f.jobId}/card`}>
                    {faultInWords(f)}
                  </a>
                ) : (
                  faultInWords(f)
                )}
              </li>
            ))}
          </ul>
        )}
        <section>
          <h2>How far it can be proven</h2>
          <p className="note">
            {book.provenTo === null
              ? 'No head has left this machine. Somebody who writes the whole record anew, seals and all, would not be found out.'
              : `Up to ${book.provenTo}. ${book.unproven === 0 ? 'Nothing' : `${book.unproven} entries`} after it: what lies behind the last head that left cannot be proven.`}
          </p>
          <div className="two">
            <button
              type="button"
              className="btn main"
              data-main=""
              onClick={onPrint}
              disabled={!latest}
            >
              <Printer aria-hidden="true" />
              Print the head
            </button>
            <button type="button" className="btn quiet" onClick={onMail} disabled={!latest}>
              <Mail aria-hidden="true" />
              Mail it
            </button>
          </div>
        </section>
        <HeldAgainst />
        <section>
          <h2>Key of the shop</h2>
          <p className="cap">
            Heads are signed (Ed25519) with a key that lies in a file beside the database, never in
            it. Keep its public half outside:
          </p>
          <pre className="public-key num">{book.publicKey}</pre>
        </section>
        <button type="button" className="btn quiet" onClick={onAgain}>
          Try all seals again
        </button>
      </aside>
    </>
  );
}

/** A day as a link of the chain, whole from below as far as it left the machine. */
function DayLink({ d, timeZone }: { d: DayHead; timeZone: string }) {
  const open = 1 - d.proven / Math.max(1, d.entries);
  const top = 4 + 56 * open;
  return (
    <li className={open === 0 ? 'proven' : ''}>
      <svg className="drawing" viewBox="0 0 60 76" aria-hidden="true">
        <rect className="link" x="15" y="4" width="30" height="56" rx="15" />
        {d.proven > 0 && open > 0 && (
          <svg x="0" y={top} width="60" height={60 - top} viewBox={`0 ${top} 60 ${60 - top}`}>
            <rect className="link left" x="15" y="4" width="30" height="56" rx="15" />
          </svg>
        )}
        <path className="link-next" d="M30 46V76" />
      </svg>
      <p>
        <b className="num">{d.day}</b>
        <span className="cap">
          {d.entries} {d.entries === 1 ? 'entry' : 'entries'}, {d.jobs}{' '}
          {d.jobs === 1 ? 'job' : 'jobs'}
          {d.proven > 0 && open > 0 && `; ${d.proven} proven`}
        </span>
      </p>
      <p>
        <span className="num head">{inFours(d.head.slice(0, 32))} …</span>
        <span className="cap">
          {d.sent
            ? `left this machine ${dayTime(d.sent.atMs, timeZone)}, ${d.sent.how} by ${d.sent.who}`
            : 'has not left this machine'}
        </span>
      </p>
    </li>
  );
}

const mailOf = (shop: string, d: DayHead, publicKey: string) =>
  `mailto:?subject=${encodeURIComponent(`${shop}: head of ${d.day}`)}&body=${encodeURIComponent(
    `Head of the record of ${d.day}:\n${d.head}\n\nSignature (Ed25519, base64):\n${d.signature}\n\n${publicKey}`,
  )}`;

/** The head for the folder, by print only. */
function HeadSheet({ shop, d, publicKey }: { shop: string; d: DayHead; publicKey: string }) {
  return (
    <article className="head-sheet">
      <h1>
        {shop}: head of {d.day}
      </h1>
      <p className="num">{inFours(d.head)}</p>
      <p>
        {d.entries} entries to {d.jobs} jobs on this day. Keep this sheet away from the machine:
        with it, a record that was written anew up to this day shows.
      </p>
      <p className="num">Signature: {d.signature}</p>
      <pre className="num">{publicKey}</pre>
    </article>
  );
}
