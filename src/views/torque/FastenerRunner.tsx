import { type ReactNode, useState } from 'react';
import { type FastenerOnJob, isTightened, withCount } from '../../core/job/index.ts';
import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { FastenerList } from './FastenerList.tsx';
import { OneFastener } from './OneFastener.tsx';

/** Fasteners besides the centre nut, bolt by bolt, each turn with its own reading. */
export function FastenerRunner({
  all,
  bar,
  kicker,
  after,
}: {
  all: readonly FastenerOnJob[];
  bar: ReactNode;
  kicker: string;
  /** What comes once all of them are done. */
  after: ReactNode;
}) {
  const { view } = useJob();
  // What was just finished stays in sight until the hand goes on.
  const [picked, setPicked] = useState(() => (all.find((f) => !isTightened(f)) ?? all.at(-1))?.id);
  const [counted, setCounted] = useState<Record<string, number>>({});
  const found = all.find((f) => f.id === picked);
  if (!found)
    return (
      <StationBody
        kicker={kicker}
        title="None besides the centre nut"
        tabs={bar}
        picture={<p className="note big">The steps of this family name no other fastener.</p>}
        side={null}
        actions={after}
      />
    );
  const count = counted[found.id];
  const f = count === undefined ? found : withCount(found, count, view);
  const tabs = { all, bar, kicker, after, onPick: setPicked };
  if (f.walk) return <OneFastener key={f.id} f={{ ...f, walk: f.walk }} {...tabs} />;
  return (
    <StationBody
      kicker={kicker}
      title={f.name}
      tabs={bar}
      picture={
        <div className="torque-grid">
          <FastenerList all={all} now={f.id} onPick={setPicked} />
          <div className="how-many">
            <h2>How many are there?</h2>
            <Choices
              name="How many are there"
              value={undefined}
              onValue={(n) => setCounted({ ...counted, [f.id]: Number(n) })}
              options={Array.from({ length: 10 }, (_, i) => ({
                id: String(i + 1),
                label: String(i + 1),
              }))}
            />
          </div>
        </div>
      }
      side={<Call status="to-do">Count them on the car: the order follows from it.</Call>}
      actions={<MainAction label="Begin" missing="Say how many" />}
    />
  );
}
