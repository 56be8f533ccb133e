import { useState } from 'react';
import type { FastenerOnJob } from '../../core/job/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';
import {
  isSaid,
  type Round,
  type TightenWalk,
  toolsToTurn,
  type Turn,
} from '../../core/torque/index.ts';
import { isoDay } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { roundUnit } from './roundFigure.ts';
import { atTheWrench, readAt, useToolAtHand } from './ToolAtHand.tsx';
import { readTyped } from '../../ui/units.ts';

/** A fastener whose bolts are counted. */
export type Walked = FastenerOnJob & { walk: TightenWalk };

/** One bolt's turn: what is asked of it, what was read, and how it goes on record. */
export function useTurn(f: Walked, at: Turn) {
  const { view, send } = useJob();
  const round: Round = f.rounds[at.round - 1] ?? {};
  const draft = `${view.job.id}:turn:${f.id}`;
  const place = `${at.round}:${at.bolt}`;
  const [text, setText, clear] = useDraft(`${draft}:${place}`);
  const [to, setTo] = useDraft(`${draft}:to`);
  const [chosen, setChosen] = useState<{ place: string; part: 'new' | 'reused' }>();
  // Said of one bolt it says nothing of the next.
  const usual = f.singleUse ? ('new' as const) : undefined;
  const part = chosen?.place === place ? chosen.part : usual;
  const tools = view.ctx.wrenches.filter((w) => !w.retired);
  const nm = 'torqueNm' in round ? round.torqueNm : undefined;
  const angleDeg = 'angleDeg' in round ? round.angleDeg : undefined;
  const able =
    nm === undefined ? toolsToTurn(angleDeg === undefined ? 'words' : 'angle', tools) : tools;
  const hand = useToolAtHand(nm, able, isoDay(view.nowMs, view.timeZone));
  const unit = roundUnit(round);
  const read = unit ? readTyped(text, unit) : undefined;
  const through = nm === undefined ? undefined : hand.way;
  const atNut = readAt(read, through);
  const said = f.figure !== undefined && isSaid(f.figure);
  const record = async () => {
    if (!hand.way) return;
    const { wrench, through } = hand.way;
    const body: EventBody<'fastener-tightened'> = {
      fastenerId: f.id,
      of: f.count ?? 1,
      round: at.round,
      bolt: at.bolt,
      toolId: wrench.id,
      ...(Object.keys(through).length > 0 ? { through } : {}),
      ...atNut,
      ...(part ? { part } : {}),
      ...(said ? {} : { to: to.trim() }),
    };
    if (await send('fastener-tightened', body)) clear();
  };
  const missing = firstThat(
    [text.trim() !== '' && read && !read.ok, 'The reading cannot be read'],
    [!said && to.trim() === '', 'Say to what'],
    [f.walk.spoilt.includes(at.bolt) && part !== 'new', 'Fit a new one first'],
    [!hand.way, 'No tool here can turn it'],
  );
  return {
    round,
    unit,
    read,
    actual: atNut.actual,
    other: atTheWrench(text, through),
    said,
    text,
    setText,
    to,
    setTo,
    part,
    setPart: (p: 'new' | 'reused') => setChosen({ place, part: p }),
    hand,
    tools,
    nm,
    angleDeg,
    missing,
    record,
  };
}
