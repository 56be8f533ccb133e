import type { JobView } from '../../core/job/index.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { JobSheet, StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { Causes } from './Causes.tsx';
import { Looks } from './Looks.tsx';
import { Rings } from './Rings.tsx';
import { type ReadingRaceways, useRaceways } from './useRaceways.ts';
import './old-part.css';

/** What killed it? The rings unrolled, what is seen laid on them, and the causes it speaks for. */
export default function OldPart({ first, who }: { first: JobView; who: string }) {
  return (
    <JobSheet first={first} who={who} station="raceways">
      <Body />
    </JobSheet>
  );
}

function Body() {
  const { view } = useJob();
  const at = useRaceways();
  const back = `/jobs/${view.job.id}/press-out`;
  const recorded = view.state.raceways !== undefined && !at.changed;
  return (
    <StationBody
      kicker={kickerOf(at)}
      title="What do the raceways say?"
      picture={
        <div className="old-part">
          <Rings at={at} />
          <Looks at={at} />
        </div>
      }
      side={<Causes at={at} recorded={recorded} />}
      actions={
        <>
          {recorded ? (
            <MainAction label="Back to the press" onAct={() => location.assign(back)} />
          ) : (
            <MainAction
              label="Record reading"
              missing={at.marks.length === 0 ? 'Tap a ring where it is marked' : undefined}
              onAct={() => void at.record()}
            />
          )}
          {!recorded && (
            <a className="btn quiet" href={back}>
              Back
            </a>
          )}
        </>
      }
    />
  );
}

const kickerOf = ({ rolling, ballCount }: ReadingRaceways): string =>
  rolling
    ? `Old bearing, ${ballCount} balls or rollers on a ${rolling.pitchMm.toFixed(0)} mm pitch`
    : 'Old bearing; its sizes are not known: drawn in usual proportions';
