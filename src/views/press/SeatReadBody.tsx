import { useState } from 'react';
import type { SeatKind } from '../../core/fits/index.ts';
import { depthOf, type JobNow, seatAnswered, seatKinds, seatName } from '../../core/job/index.ts';
import { Choices } from '../../ui/Panels.tsx';
import { useJob } from '../shell/useJob.ts';
import { FeltSeatBody } from './FeltSeatBody.tsx';
import { SeatForm } from './SeatForm.tsx';
import type { SeatTab } from './seatTab.ts';
import { SeatsTold } from './SeatsTold.tsx';

/** The seats of the family, read at three depths and two angles each. */
export function SeatReadBody({ kicker, tabs, onDone, missing }: SeatTab) {
  const { view } = useJob();
  const kinds = seatKinds(view);
  const [picked, setKind] = useState<SeatKind>();
  const kind = picked ?? kinds.find((k) => !seatAnswered(view, k)) ?? kinds[0] ?? 'bore';
  // By the depth of the job, or because nothing here measures it; a seat that was measured is shown as it was.
  const [felt, setFelt] = useState<'no-instrument' | 'measured'>();
  const told = kinds.every((k) => seatAnswered(view, k));
  const byFeel =
    felt === 'no-instrument' ||
    (felt === undefined && depthOf(view) !== 'full' && !view.state.seats[kind]);
  const picker = kinds.length > 1 && (
    <Choices
      name="Seat"
      value={kind}
      onValue={setKind}
      options={kinds.map((k) => ({
        id: k,
        label: `${seatName(view, k)}${toldWord(view, k)}`,
      }))}
    />
  );
  // Told, and not all of them measured: what was said stands here, with the way on.
  const partlyFelt = kinds.some((k) => !view.state.seats[k]);
  if (told && partlyFelt && !picked && felt !== 'measured')
    return (
      <SeatsTold kicker={kicker} tabs={tabs} onAgain={setKind} onDone={onDone} missing={missing} />
    );
  if (byFeel && kinds.length > 0)
    return (
      <FeltSeatBody
        key={kind}
        kind={kind}
        kicker={kicker}
        tabs={tabs}
        picker={picker}
        noInstrument={felt === 'no-instrument'}
        onTold={() => {
          setKind(undefined);
          if (felt === 'no-instrument' && depthOf(view) === 'full') setFelt(undefined);
        }}
        onMeasure={() => setFelt('measured')}
      />
    );
  return (
    <SeatForm
      key={kind}
      kind={kind}
      picker={picker}
      onNoInstrument={() => setFelt('no-instrument')}
      onKind={setKind}
      kicker={kicker}
      tabs={tabs}
      onDone={onDone}
      missing={missing}
    />
  );
}

const toldWord = (view: JobNow, kind: SeatKind): string => {
  if (view.state.seats[kind]) return ', read';
  return view.state.felt[kind] ? ', told' : '';
};
