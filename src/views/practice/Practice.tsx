import { useEffect, useState } from 'react';
import {
  kindTitles,
  levels,
  type PracticePicture,
  type PracticeView,
} from '../../core/practice/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { useFetched } from '../shell/useFetched.ts';
import { call } from '../shell/useJob.ts';
import { PracticeDrawing } from './PracticeDrawing.tsx';
import './practice.css';

interface Worth {
  right: boolean;
  answer: string;
  because: string;
  otherwise: string;
  source: string;
  /** With what would have come after. */
  picture: PracticePicture;
  dueMs: number;
}

/** Would I have seen it? Ten minutes a day on made-up work; nothing of it touches a job. */
export default function Practice({
  shop,
  people,
  who: firstWho,
}: {
  shop: string;
  people: { id: string; name: string }[];
  who: string;
}) {
  const [who, setWho] = useState(firstWho);
  const [round, setRound] = useState(0);
  const { value: view, failed } = useFetched<PracticeView>(
    who ? `/api/practice/${who}` : undefined,
    undefined,
    round,
  );
  return (
    <ShopPage
      shop={shop}
      note="Practice, made-up work"
      person={{ people, who, onWho: setWho }}
      title="Would I have seen it?"
      lines={
        view
          ? [
              `${view.today.done} of ${view.today.of} today`,
              view.due > 0 ? `${view.due} kinds due` : 'Nothing due: go on if you like',
            ]
          : []
      }
      main="station kit-main practice"
    >
      {failed && <TryAgain what="Not read" failed={failed} />}
      {view && (
        <OneExercise
          key={view.open.seed}
          view={view}
          who={who}
          onNext={() => setRound((n) => n + 1)}
        />
      )}
    </ShopPage>
  );
}

function OneExercise({
  view,
  who,
  onNext,
}: {
  view: PracticeView;
  who: string;
  onNext: () => void;
}) {
  const { open, set } = view;
  const [worth, setWorth] = useState<Worth>();
  const [said, setSaid] = useState<string>();
  const [given, setGiven] = useState<string>();
  const [out, setOut] = useState(view.ruledOut);
  const answer = async (id: string) => {
    if (worth || given || out.includes(id)) return;
    setGiven(id);
    const r = await call<Worth>('POST', `/api/practice/${who}/answers`, {
      seed: open.seed,
      answer: id,
    });
    if (r.ok) return setWorth(r.value);
    setGiven(undefined);
    setSaid(r.problem.errors[0]?.reason ?? r.problem.detail);
  };
  const help = async () => {
    const r = await call<{ ruledOut: string[] }>('POST', `/api/practice/${who}/help`, {
      seed: open.seed,
    });
    if (r.ok) setOut(r.value.ruledOut);
    else setSaid(r.problem.detail);
  };
  const canHelp = !worth && out.length < set.options.length - 2;
  useKeys(
    set.options.map((o) => o.id),
    answer,
  );
  return (
    <>
      <div className="pic">
        <p className="kicker">
          {kindTitles[open.kind]}, level {open.level} of {levels.most}: {set.hard.value}{' '}
          {set.hard.unit}
        </p>
        <h2 className="ask">{set.ask}</h2>
        <div className="practice-fig">
          <PracticeDrawing picture={worth?.picture ?? set.picture} answered={worth !== undefined} />
        </div>
      </div>
      <aside className="side" aria-label="Answer">
        <div className="side-in">
          {worth ? (
            <Call status={worth.right ? 'good' : 'check'}>
              {worth.right ? 'Seen. ' : 'Not so. '}
              {worth.because}
            </Call>
          ) : (
            <Call status="to-do">{said ?? 'Choose by what you see; keys 1 to 6 do it too.'}</Call>
          )}
          <section>
            <ol className="answers">
              {set.options.map((o, i) => (
                <li key={o.id}>
                  <button
                    type="button"
                    className={out.includes(o.id) && !worth ? 'is-out' : mark(o.id, given, worth)}
                    aria-disabled={given !== undefined || out.includes(o.id)}
                    onClick={() => void answer(o.id)}
                  >
                    <b className="num">{i + 1}</b>
                    <span>{o.text}</span>
                    {worth?.answer === o.id && <small>this one</small>}
                    {worth && given === o.id && !worth.right && <small>yours</small>}
                  </button>
                </li>
              ))}
            </ol>
            {canHelp && (
              <button type="button" className="link" onClick={() => void help()}>
                Help: rule one out. It comes again sooner then.
              </button>
            )}
          </section>
          {worth && (
            <section>
              <h2>On the car</h2>
              <p className="note">{worth.otherwise}</p>
              <p className="cap">
                {worth.source}. Comes again {againIn(worth.dueMs)}.
              </p>
            </section>
          )}
          <Standing view={view} who={who} />
          <div className="grow" />
        </div>
        <div className="acts one">
          <MainAction label="Next" missing={worth ? undefined : 'Choose first'} onAct={onNext} />
        </div>
      </aside>
    </>
  );
}

/** How one stands; the others see it where its owner says so. */
function Standing({ view, who }: { view: PracticeView; who: string }) {
  const [shared, setShared] = useState(view.shared);
  const share = async () => {
    const r = await call<{ shared: boolean }>('POST', `/api/practice/${who}/share`, {
      shared: !shared,
    });
    if (r.ok) setShared(r.value.shared);
  };
  return (
    <>
      <section>
        <h2>{shared ? 'Yours, seen by the others' : 'Yours alone'}</h2>
        <Kinds kinds={view.kinds} />
        <button type="button" className="link" onClick={() => void share()}>
          {shared ? 'Keep it to myself' : 'Let the others see it'}
        </button>
      </section>
      {view.others.map((o) => (
        <section key={o.name}>
          <details className="more">
            <summary>{o.name} lets you see</summary>
            <Kinds kinds={o.kinds} />
          </details>
        </section>
      ))}
    </>
  );
}

const Kinds = ({ kinds }: { kinds: PracticeView['kinds'] }) => (
  <ul className="kinds">
    {kinds.map((k) => (
      <li key={k.kind}>
        <span>{kindTitles[k.kind]}</span>
        <span className="num">
          {k.of === 0 ? 'new' : `${k.right} of ${k.of}`}, level {k.level}
        </span>
      </li>
    ))}
  </ul>
);

function mark(id: string, given: string | undefined, worth: Worth | undefined): string {
  if (worth?.answer === id) return 'is-right';
  return given === id ? 'is-given' : '';
}

function againIn(dueMs: number): string {
  const min = Math.max(1, Math.round((dueMs - Date.now()) / 60_000));
  if (min < 60) return `in ${min} min`;
  return min < 2880 ? `in ${Math.round(min / 60)} h` : `in ${Math.round(min / 1440)} days`;
}

/** A number key chooses, as a finger would. */
function useKeys(ids: readonly string[], choose: (id: string) => Promise<void>) {
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      const id = ids[Number(e.key) - 1];
      if (id !== undefined && !e.ctrlKey && !e.metaKey && !e.altKey) void choose(id);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [ids, choose]);
}
