import { useState } from 'react';
import { FileButton } from '../../ui/FileButton.tsx';
import { clockTime } from '../../core/units/index.ts';
import { call, useJob } from './useJob.ts';

interface Kept {
  hash: string;
  widthPx: number;
  heightPx: number;
}

/** Pictures of one part of the job, and a way to add one: kept in the shop, upright, without place and time of the camera. */
export function PhotoBox({ of }: { of: string }) {
  const { view, send } = useJob();
  const [said, setSaid] = useState<string>();
  const [busy, setBusy] = useState(false);
  const add = async (file: File) => {
    setBusy(true);
    const bytes = await file.arrayBuffer();
    const r = await call<Kept>('POST', '/api/photos', bytes, 'application/octet-stream');
    setBusy(false);
    if (!r.ok) return setSaid(r.problem.errors[0]?.reason ?? r.problem.detail);
    setSaid(undefined);
    await send('photo-left', { ...r.value, of });
  };
  const own = view.state.photos.filter((p) => p.of === of);
  return (
    <section className="photo-box">
      <h2>Photos</h2>
      {said && <p className="note bad">{said}</p>}
      <div className="photos">
        {own.map((p) => (
          <a key={p.hash} href={`/api/photos/${p.hash}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/photos/${p.hash}`}
              width={p.widthPx}
              height={p.heightPx}
              loading="lazy"
              alt={`${of}, ${view.people.find((x) => x.id === p.byId)?.name ?? ''} ${clockTime(p.atMs, view.timeZone)}`}
            />
          </a>
        ))}
      </div>
      {!view.state.signed && (
        <FileButton
          label="Add a photo"
          accept="image/jpeg,image/png,image/webp"
          busy={busy}
          onFile={(f) => void add(f)}
        />
      )}
      <p className="cap">Kept in the shop; what the camera noted of the place is taken out.</p>
    </section>
  );
}
