import { chosenPart, familyOf, openItems } from '../../core/job/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { JobSheet, type SheetProps, StationBody, Tabs } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { useTab } from '../shell/useTab.ts';
import { Bench } from './Bench.tsx';
import { FamilyTab } from './FamilyTab.tsx';
import { useMeasure } from './Measure.tsx';
import { PartTab } from './PartTab.tsx';
import './match.css';

export default function Match(props: SheetProps) {
  return (
    <JobSheet {...props} station="match">
      <Body />
    </JobSheet>
  );
}

const tabs = [
  { id: 'family', name: 'Family' },
  { id: 'measure', name: 'Measure' },
  { id: 'part', name: 'Part' },
  { id: 'bench', name: 'On the bench' },
] as const;
type Tab = (typeof tabs)[number]['id'];

/** Which family, which part, and is everything here that the job uses up. */
function Body() {
  const { view, send } = useJob();
  const { state, choices, job } = view;
  const family = familyOf(view);
  const [open, setOpen] = useTab<Tab>(`match:${job.id}`, family ? 'part' : 'family');
  const done: Tab[] = [
    ...(family ? ['family' as const] : []),
    ...(Object.keys(state.oldReadings).length > 0 ? ['measure' as const] : []),
    ...(choices.match ? ['part' as const] : []),
    ...(family && openItems(view).length === 0 ? ['bench' as const] : []),
  ];
  const bar = <Tabs tabs={tabs} open={open} done={done} onOpen={setOpen} />;
  const finish = async () => {
    if (state.done.includes('match') || (await send('station-done', { station: 'match' })))
      location.assign(`/jobs/${job.id}/plan`);
  };
  if (open === 'family' || !family)
    return <FamilyTab tabs={bar} onNext={() => setOpen('measure')} />;
  if (open === 'measure') return <MeasureTab bar={bar} onNext={() => setOpen('part')} />;
  if (open === 'bench') return <Bench bar={bar} finish={finish} onOther={() => setOpen('part')} />;
  return <PartTab tabs={bar} onNext={() => setOpen('bench')} />;
}

/** The old part, or the seats it leaves, as far as they can be reached now; the rest follows on the bench. */
function MeasureTab({ bar, onNext }: { bar: React.ReactNode; onNext: () => void }) {
  const { view } = useJob();
  const { picture, side, left, list } = useMeasure({ off: false });
  const standing = list.filter((c) => c.status !== 'stop');
  const any = Object.keys(view.state.oldReadings).length > 0;
  const settled = standing.length === 1 ? 'good' : 'check';
  const agreement = any ? settled : 'to-do';
  return (
    <StationBody
      kicker="Match, 2 of 4: what can be reached now; the rest on the bench"
      title="What does the old part measure?"
      tabs={bar}
      picture={picture}
      side={
        <>
          <Call status={agreement}>
            {firstThat(
              [!any, `${left} readings would settle it. They can wait for the bench.`],
              [standing.length === 0, 'No part of the catalogue agrees with this.'],
              [standing.length === 1, `Only ${standing[0]?.part.number} agrees.`],
              [true, `${standing.length} parts still agree.`],
            )}
          </Call>
          {side}
          <section>
            <h2>Still agree</h2>
            {standing.length === 0 && <p className="note">None.</p>}
            <table className="rows">
              <tbody>
                {standing.slice(0, 6).map((c) => (
                  <tr key={c.part.number}>
                    <td>
                      {c.part.maker} {c.part.number}
                    </td>
                    <td className="figure">
                      <b>{c.score}</b>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
          <div className="grow" />
        </>
      }
      actions={
        <MainAction
          label={chosenPart(view) ? 'Compare with the part' : 'On to the part'}
          onAct={onNext}
        />
      }
    />
  );
}
