import { toString as qrSvg } from 'qrcode';
import { useState } from 'react';
import type { TabletRow } from '../../core/schemas/tablets.ts';
import { dayTime } from '../../core/units/index.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { call } from '../shell/useJob.ts';
import { useLeadPin } from '../shell/useLeadPin.tsx';

/** Tablets that joined a shop on a network: one more is let in by a code, a lost one is thrown out. */
export function Tablets({
  first,
  person,
  timeZone,
}: {
  first: readonly TabletRow[];
  person: { id: string; name: string } | undefined;
  timeZone: string;
}) {
  const [tablets, setTablets] = useState(first);
  const [code, setCode] = useState<{ svg: string; link: string; untilMs: number }>();
  const [fault, setFault] = useState<string>();
  const lead = useLeadPin(person);
  const show = async () => {
    const r = await call<{ code: string; untilMs: number }>('POST', '/api/tablets/invite', {});
    if (!r.ok) return setFault(r.problem.detail);
    const link = `${location.origin}/join?code=${r.value.code}`;
    setCode({
      link,
      untilMs: r.value.untilMs,
      svg: await qrSvg(link, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' }),
    });
  };
  const throwOut = async (id: string) => {
    const says = await lead.ask();
    if (!says) return;
    const r = await call<TabletRow[]>('POST', '/api/tablets/throw-out', { ...says, id });
    setFault(r.ok ? undefined : r.problem.detail);
    if (r.ok) setTablets(r.value);
  };
  return (
    <section>
      <h2>Tablets</h2>
      <ul className="shop-list">
        {tablets.map((t) => (
          <li key={t.id}>
            <b>{t.name}</b>{' '}
            <span className="cap">
              {t.own ? 'this one' : `last used ${dayTime(t.lastMs, timeZone)}`}
            </span>{' '}
            {!t.own && (
              <button type="button" className="link" onClick={() => void throwOut(t.id)}>
                Throw out<span className="visually-hidden"> {t.name}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      {code && (
        <figure className="join-code">
          <img
            alt="Code that lets one more tablet in"
            src={`data:image/svg+xml,${encodeURIComponent(code.svg)}`}
          />
          <figcaption className="note">
            Point the other tablet at it, or open <a href={code.link}>{code.link}</a> there. For one
            tablet, until {dayTime(code.untilMs, timeZone)}.
          </figcaption>
        </figure>
      )}
      {fault && (
        <p className="note" role="alert">
          {fault}
        </p>
      )}
      <MainAction label="Let another tablet in" onAct={show} />
      {lead.dialog}
    </section>
  );
}
