import { Volume2 } from 'lucide-react';
import { type Corner, corners } from '../../core/corner.ts';
import type { Place, Sound } from '../../core/diagnosis/index.ts';
import { dentGapMm, trackMm } from '../../core/old-part/index.ts';
import type { Judgement } from '../../core/press/index.ts';
import {
  judgeLaid,
  type LaidStack,
  type PracticePicture,
  practiceSetup,
  practiceStack,
} from '../../core/practice/index.ts';
import { Cutaway } from '../../ui/section/cutaway/Cutaway.tsx';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { DrivenAxles } from '../floor/DrivenAxles.tsx';
import { playSound } from '../complaint/playSound.ts';
import { outerPx, UnrolledRing } from '../old-part/UnrolledRing.tsx';
import { CastleNut } from '../torque/CastleNut.tsx';
import { HowItStands } from '../torque/HowItStands.tsx';
import { RamTrace } from './RamTrace.tsx';
import { WindowLine } from './WindowLine.tsx';

/** Sizes of the made-up bearing that rings are drawn by. */
const madeUp = { ballMm: 11.5, pitchMm: 58, contactAngleDeg: 35 };

/** Before the answer nothing is judged: no way of the force, no mark. */
const notJudged: Judgement = {
  status: 'good',
  verdicts: [],
  path: { nodes: [], throughBalls: false, verdicts: [] },
  score: 0,
};

function LaidDrawing({ laid, answered }: { laid: LaidStack; answered: boolean }) {
  const setup = practiceSetup(laid.operation);
  return (
    <Cutaway
      stack={practiceStack(laid.pusherId, laid.supportId)}
      setup={setup}
      judgement={answered ? judgeLaid(laid) : notJudged}
      travelMm={answered ? setup.requirement.travelMm * 0.6 : 0}
    />
  );
}

/** A car from above, what its tests said where each was made. */
function CarTold({ picture: p }: { picture: Extract<PracticePicture, { of: 'car' }> }) {
  // What belongs to no corner stands under the car.
  const here = (place: Place) => corners.find((c) => c === place) ?? 'car';
  const at = (list: Corner | 'car') => p.told.filter((t) => here(t.place) === list);
  return (
    <div className="car-told">
      <p className="step-now">{p.title}</p>
      <div className="car-mid" aria-hidden="true">
        <DrivenAxles layout={p.layout} />
      </div>
      {([...corners, 'car'] as const).map((place) => (
        <ul key={place} className={`told-${place}`}>
          {at(place).map((t) => (
            <li key={t.text}>{t.text}</li>
          ))}
        </ul>
      ))}
    </div>
  );
}

/** A made-up noise to listen to, as often as one likes. */
function HearIt({ sound }: { sound: Sound }) {
  return (
    <button type="button" className="btn hear-it" onClick={() => playSound(sound)}>
      <Volume2 aria-hidden="true" />
      Play it
    </button>
  );
}

/** What an exercise shows; all of it made up. */
export function PracticeDrawing({
  picture: p,
  answered,
}: {
  picture: PracticePicture;
  /** The way of the force is shown then, and not before. */
  answered: boolean;
}) {
  switch (p.of) {
    case 'section':
      return <FamilySection code={p.code} label="A wheel bearing in section" />;
    case 'step':
      return (
        <>
          <p className="step-now">{p.text}</p>
          <FamilySection code={p.code} lit={[...p.lit]} label={`In section, lit: ${p.text}`} />
        </>
      );
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
      return <LaidDrawing laid={p.laid} answered={answered} />;
    case 'ram':
      return <RamTrace picture={p} answered={answered} />;
    case 'told':
      return (
        <div className="told">
          <p className="step-now">{p.title}</p>
          <ol>
            {p.lines.map((l) => (
              <li key={l}>{l}</li>
            ))}
          </ol>
        </div>
      );
    case 'car':
      return <CarTold picture={p} />;
    case 'sound':
      return <HearIt sound={p.sound} />;
    case 'castle':
      return <CastleNut {...p} way={undefined} />;
    case 'offset':
      return <HowItStands lengthMm={p.lengthMm} through={p.through} setNm={undefined} />;
    case 'places':
      return <WindowLine picture={p} />;
  }
}
