import { dragFault, dragNm, type DragRead, type Stage } from '../../core/torque/index.ts';

import { sentence } from '../../core/rules/index.ts';
import { useDraft, useDraftList } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** The scale's readings of one drag as they come in, kept in this browser until they are recorded. */
export function useDrag(stage: Stage) {
  const { job } = useJob().view;
  const key = `${job.id}:drag:${stage.id}`;
  const [forcesN, setForces, clearForces] = useDraftList(`${key}:list`);
  const [force, setForce] = useDraft(`${key}:force`);
  const [radius, setRadius] = useDraft(`${key}:radius`);
  const [seal, setSeal] = useDraft(`${key}:seal`);
  const pull = readTyped(force, 'pull');
  const arm = readTyped(radius, 'length');
  const sealed = readTyped(seal, 'torque');
  const sealKnown = seal.trim() === '' || sealed.ok;
  const read: DragRead | undefined =
    arm.ok && arm.value > 0 && sealKnown
      ? { forcesN, radiusMm: arm.value, ...(sealed.ok ? { sealNm: sealed.value } : {}) }
      : undefined;
  const fault = read && dragFault(read);
  return {
    forcesN,
    force: { text: force, onText: setForce },
    radius: { text: radius, onText: setRadius },
    seal: { text: seal, onText: setSeal },
    ready: pull.ok && pull.value >= 0 && forcesN.length < 12,
    add: () => {
      if (!pull.ok) return;
      setForces([...forcesN, Number(pull.value.toFixed(3))]);
      setForce('');
    },
    back: () => setForces(forcesN.slice(0, -1)),
    radiusMm: arm.ok ? arm.value : undefined,
    /** What is still missing, or why the readings give none. */
    missing: missingOf(forcesN, read, fault && sentence(fault)),
    reading:
      read && !fault
        ? { actual: dragNm(read), drag: { ...read, forcesN: [...read.forcesN] } }
        : undefined,
    clear: () => {
      clearForces();
      setForce('');
    },
  };
}
export type Dragging = ReturnType<typeof useDrag>;

function missingOf(
  forcesN: readonly number[],
  read: DragRead | undefined,
  fault: string | undefined,
): string | undefined {
  if (forcesN.length === 0) return 'Pull the scale, and add what it takes to start the hub';
  if (!read) return 'Type the arm: from the middle of the hub to where the scale pulls';
  return fault;
}
