import { Volume2 } from 'lucide-react';
import { type Corner, corners } from '../../core/corner.ts';
import type { Place, Sound } from '../../core/diagnosis/index.ts';
import { dentGapMm, trackMm } from '../../core/old-part/index.ts';
import {
  type NutPicture,
  type PracticePicture,
  type SectionPicture,
} from '../../core/practice/index.ts';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { DrivenAxles } from '../floor/DrivenAxles.tsx';
import { playSound } from '../complaint/playSound.ts';
import { outerPx, UnrolledRing } from '../old-part/UnrolledRing.tsx';
import { CastleNut } from '../torque/CastleNut.tsx';
import { HowItStands } from '../torque/HowItStands.tsx';
import { NutFace } from '../torque/NutFace.tsx';
import { LaidDrawing } from './LaidDrawing.tsx';
import { Landed } from './Landed.tsx';
import { RamTrace } from './RamTrace.tsx';
import { WindowLine } from './WindowLine.tsx';

/** Sizes of the made-up bearing that rings are drawn by. */
const madeUp = { ballMm: 11.5, pitchMm: 58, contactAngleDeg: 35 };

/** A car from above, what its tests said where each was made; once it is answered, the cause where it sits. */
function CarTold({ picture: p }: { picture: Extract<PracticePicture, { of: 'car' }> }) {
  // What belongs to no corner stands under the car.
  const here = (place: Place) => corners.find((c) => c === place) ?? 'car';
  const at = <T extends { place: Place }>(all: readonly T[], list: Corner | 'car') =>
    all.filter((t) => here(t.place) === list);
  return (
    <div className="car-told">
      <p className="step-now">{p.title}</p>
      <div className="car-mid" aria-hidden="true">
        <DrivenAxles layout={p.layout} />
      </div>
      {([...corners, 'car'] as const).map((place) => (
        <ul key={place} className={`told-${place}`}>
          {at(p.was ?? [], place).map((w) => (
            <li key={w.text} className={w.right ? 'it-was' : 'it-was-not'}>
              <b>{w.right ? 'It is: ' : 'Yours: '}</b>
              {w.text}
            </li>
          ))}
          {at(p.told, place).map((t) => (
            <li key={t.text}>{t.text}</li>
          ))}
        </ul>
      ))}
    </div>
  );
}

/** A made-up noise to listen to, as often as one likes. */
function HearIt({ sound, overRoadDb }: { sound: Sound; overRoadDb?: number | undefined }) {
  return (
    <button type="button" className="btn hear-it" onClick={() => playSound(sound, overRoadDb)}>
      <Volume2 aria-hidden="true" />
      Play it
    </button>
  );
}

function Section({ picture: p }: { picture: SectionPicture }) {
  return (
    <>
      {p.title !== undefined && <p className="step-now">{p.title}</p>}
      <FamilySection
        code={p.code}
        corner={p.corner === true}
        bodies={p.bodies}
        lit={p.lit ?? []}
        off={p.off ?? []}
        hurt={p.hurt ?? []}
        label={p.title ? `In section: ${p.title}` : 'A wheel bearing in section'}
      />
    </>
  );
}

/** Of the made-up hub. */
export const studs = 5;

/** The nut as the walk left it. */
export function NutLeft({ picture: p }: { picture: NutPicture }) {
  const stage = p.procedure.stages.find((s) => s.id === p.ended?.stageId);
  return <NutFace stage={stage} actual={p.ended?.actual} studs={studs} none="new" />;
}

/** Pictures that need the whole width stand above each other. */
const wide: ReadonlySet<PracticePicture['of']> = new Set(['rings', 'places'] as const);

/** What an exercise shows, before and after its answer; all of it made up. */
export function PracticeDrawing({ picture: p }: { picture: PracticePicture }) {
  switch (p.of) {
    case 'section':
      return <Section picture={p} />;
    case 'rings': {
      const b = { ...madeUp, balls: p.balls };
      return (
        <>
          <UnrolledRing
            ring="outer"
            stands
            trackMm={trackMm(b, 'outer')}
            pxPerMm={outerPx / (Math.PI * trackMm(b, 'outer'))}
            pitchDeg={360 / p.balls}
            marks={p.marks}
          />
          <p className="note big">
            Outer ring, stands still. {p.balls} balls: {(360 / p.balls).toFixed(1)}° or{' '}
            {dentGapMm(b, 'outer').toFixed(1)} mm apart.
          </p>
        </>
      );
    }
    case 'stack':
      return <LaidDrawing laid={p.laid} judged={p.judged === true} />;
    case 'lay':
      return <LaidDrawing laid={{ work: p.bench.work, stack: p.left }} judged={false} />;
    case 'ram':
      return <RamTrace picture={p} at={p.ended?.at ?? p.from} />;
    case 'nut':
      return <NutLeft picture={p} />;
    case 'car':
      return <CarTold picture={p} />;
    case 'sound':
      return <HearIt sound={p.sound} overRoadDb={p.overRoadDb} />;
    case 'castle':
      return <CastleNut {...p} way={p.turned} />;
    case 'offset':
      return <HowItStands lengthMm={p.lengthMm} through={p.through} setNm={p.setNm} />;
    case 'landed':
      return <Landed picture={p} />;
    case 'places':
      return <WindowLine picture={p} />;
    case 'beside':
      return (
        <div className={p.list.some((x) => wide.has(x.picture.of)) ? 'above-each' : 'beside-each'}>
          {p.list.map(({ title, picture }) => (
            <section key={title} aria-label={title}>
              <h3 className="step-now">{title}</h3>
              <PracticeDrawing picture={picture} />
            </section>
          ))}
        </div>
      );
  }
}
