import { MainAction } from '../../ui/Panels.tsx';

/** When a recording is made: at Diagnose it is evidence; once all is done it is kept beside the one before. */
export type When = 'before' | 'after';

/** What becomes of a recording. */
export function KeepOrUse({
  when,
  none,
  useless,
  onKeep,
  onUse,
  onDone,
}: {
  when: When;
  /** What is said while there is no recording. */
  none: string | undefined;
  /** Why it is no evidence. */
  useless: string | undefined;
  onKeep: () => Promise<boolean>;
  onUse: () => void;
  onDone: () => void;
}) {
  if (when === 'before')
    return <MainAction label="Use as evidence" missing={none ?? useless} onAct={onUse} />;
  return (
    <MainAction
      label="Keep it beside the one before"
      missing={none}
      onAct={async () => {
        if (await onKeep()) onDone();
      }}
    />
  );
}
