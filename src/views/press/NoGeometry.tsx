import type { ReactNode } from 'react';
import { type Operation, operationNames } from '../../core/press/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { StationBody } from '../shell/JobSheet.tsx';

/** A stroke of parts that are not on record is not laid out. */
export function NoGeometry({
  kicker,
  operation,
  tabs,
}: {
  kicker: string;
  operation: Operation;
  tabs: ReactNode;
}) {
  return (
    <StationBody
      kicker={kicker}
      title={operationNames[operation]}
      tabs={tabs}
      picture={
        <p className="note p-4">
          Dimensions of the parts are not on record. True Spindle does not guess them: enter or
          import the unit’s record.
        </p>
      }
      side={<Call status="stop">No dimensions, no stack.</Call>}
      actions={<MainAction label="Record stroke" missing="Dimensions missing" />}
    />
  );
}
