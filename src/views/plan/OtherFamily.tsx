import { useState } from 'react';
import { type Family, itemsOf } from '../../core/families/index.ts';
import { chosenPart } from '../../core/job/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { CloseJobDialog } from '../shell/CloseJobDialog.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';

/** A family that is named, matched and laid out here, but not yet walked step by step: said plainly, with its routes and strokes. */
export function OtherFamily({ family }: { family: Family }) {
  const { view } = useJob();
  const [closing, setClosing] = useState(false);
  const part = chosenPart(view);
  return (
    <StationBody
      kicker="Plan"
      title={family.name}
      picture={
        <div className="fam-known">
          <FamilySection
            code={family.code}
            ring={part?.kind === family.kind ? part.bearing : undefined}
            label={`${family.name} in section`}
          />
          <p className="note big">{family.out}</p>
          <div className="routes">
            {family.routes.map((r) => (
              <div key={r.id}>
                <b>{r.name}</b>
                <span>{r.risk}</span>
              </div>
            ))}
          </div>
        </div>
      }
      side={
        <>
          <Call status="stop">
            {family.name}: strip, strokes and rebuild are not walked here. Work this one by the
            maker’s instructions; parts and findings stay on the card.
          </Call>
          <section>
            <h2>Grips or slides</h2>
            <p className="note">{family.grips}</p>
          </section>
          <section>
            <h2>New each time</h2>
            <p className="note">
              {itemsOf(family.code)
                .filter((i) => i.singleUse)
                .map((i) => i.name)
                .join(', ')}
              .
            </p>
          </section>
          <div className="grow" />
        </>
      }
      actions={
        <>
          <MainAction label="Close this job" onAct={() => setClosing(true)} />
          {closing && (
            <CloseJobDialog
              why={`${family.name}: worked outside True Spindle`}
              onClose={() => setClosing(false)}
            />
          )}
        </>
      }
    />
  );
}
