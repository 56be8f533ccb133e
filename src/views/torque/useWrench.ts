import { useEffect, useState, useSyncExternalStore } from 'react';
import {
  type AfterPull,
  afterPull,
  brokeOff,
  canBeRecorded,
  type Followed,
  type Hand,
  judgeStage,
  keptCurve,
  type Procedure,
  pulledFigure,
  pullVerdict,
  snugOf,
  type Stage,
} from '../../core/torque/index.ts';
import type { Verdict } from '../../core/verdict.ts';
import { useJob } from '../shell/useJob.ts';
import { WrenchFeed, type WrenchState } from './wrenchFeed.ts';

export interface WrenchHandle extends WrenchState {
  snugNm: number;
  /** The figure of the stage as the wrench shows it now, in the stage's unit. */
  value: number | undefined;
  /** What it came to can be recorded: the hand has let go, or the nut is spoilt. */
  ended: boolean;
  /** What can come next once the hand is off. */
  next: AfterPull;
  /** What is wrong with the nut, or how the figure stands in its window. */
  verdict: Verdict | undefined;
  /** Torque over angle, for picture and record. */
  curve: [number, number][];
  /** What is read from across the bench: how much is still to go, or what it came to. */
  big: { value: string; unit: string; note: string } | undefined;
  pull: (setting: string) => void;
  putDown: () => void;
  forget: () => void;
}

/** The wrench at one stage of the centre nut, `at`: how it stands to it; undefined where a wrench reads nothing of it. */
export function useWrench(
  p: Procedure,
  stage: Stage,
  at: { gain: number; hand: Hand },
): WrenchHandle | undefined {
  const { view } = useJob();
  const [feed] = useState(() => new WrenchFeed());
  const state = useSyncExternalStore(feed.subscribe, feed.state, feed.state);
  useEffect(() => () => feed.putDown(), [feed]);
  const snugNm = snugOf(p, stage);
  if ((stage.kind !== 'torque' && stage.kind !== 'angle') || snugNm === undefined) return undefined;
  const { followed, running, lost } = state;
  const { kind } = stage;
  const value = followed && pulledFigure(kind, followed);
  const spoilt = followed && pullVerdict(kind, followed.call);
  const broke = followed && !running ? brokeOff(kind, followed, lost) : undefined;
  const actual = value === undefined ? undefined : Number(value.toFixed(1));
  return {
    ...state,
    snugNm,
    value: actual,
    ended: !running && !lost && followed !== undefined && canBeRecorded(kind, followed),
    next: afterPull(kind, followed, lost),
    verdict:
      spoilt ?? broke ?? (actual === undefined ? undefined : judgeStage(p, stage, { actual })),
    big: followed && bigOf(stage, snugNm, followed, running),
    curve: followed ? keptCurve(followed) : [],
    pull: (setting) =>
      feed.pull(`/api/jobs/${view.job.id}/wrench/${stage.id}/${setting}/${at.gain}`, snugNm, at),
    putDown: feed.putDown,
    forget: feed.forget,
  };
}

/** What is read from across the bench: how much is to go, or what it came to. */
export function bigOf(
  stage: Stage,
  snugNm: number,
  f: Followed,
  running: boolean,
): WrenchHandle['big'] {
  const angle = stage.kind === 'angle';
  const turned = f.turnedDeg;
  if (angle && turned === undefined)
    return { value: Math.max(0, snugNm - f.torqueNm).toFixed(0), unit: 'N·m', note: 'to snug' };
  const [target, now] = [stage.value ?? 0, angle ? (turned ?? 0) : f.peakNm];
  const unit = angle ? '' : 'N·m';
  const write = (n: number) => `${n.toFixed(0)}${angle ? '°' : ''}`;
  return running
    ? {
        value: write(Math.max(0, target - now)),
        unit,
        note: `to go, ${write(now)} of ${write(target)}`,
      }
    : { value: write(now), unit, note: `reached, ${write(target)} asked` };
}
