import type { Bench, Operation, Stack } from '../../core/press/index.ts';

/** Where everything stands on the press at a travel; heights in mm, down, from the upper face of the knuckle. */
export interface Scene {
  operation: Operation;
  /** The knuckle stands with its snap-ring face down. */
  flipped: boolean;
  bearingTop: number;
  /** Face of the hub's shoulder, and whether the flange stands above it. */
  hub?: { shoulder: number; flangeUp: boolean };
  ramBottom: number;
  capTop: number | undefined;
  pusherTop: number;
  pusherBottom: number;
  supportTop: number;
  supportBottom: number;
  /** Leading edge of what moves, now, at the start and at home. */
  lead: number;
  leadStart: number;
  leadHome: number;
  /** Extent of the whole drawing at the start of the stroke. */
  top: number;
  bottom: number;
  radius: number;
}

const ramShown = 10;
const bedShown = 9;

export function sceneOf(stack: Stack, { requirement: r, work }: Bench, travelMm: number): Scene {
  const { bearing: b, knuckle: k, hub: h } = work;
  const { operation } = r;
  const snapUp = k.snapRingSide === r.up;
  const seated = snapUp ? k.seatDepthMm - b.widthMm : k.bossDepthMm - k.seatDepthMm;
  const place = (t: number): { bearingTop: number; hub?: Scene['hub']; pusherBottom: number; supportTop: number; lead: number } => {
    switch (operation) {
      case 'bearing-in': return { bearingTop: t - b.widthMm, pusherBottom: t - b.widthMm, supportTop: k.bossDepthMm, lead: t };
      case 'bearing-out': return { bearingTop: seated + t, pusherBottom: seated + t, supportTop: k.bossDepthMm, lead: seated + t + b.widthMm };
      case 'hub-in': {
        const shoulder = seated - b.innerWidthMm + t;
        return { bearingTop: seated, hub: { shoulder, flangeUp: true }, pusherBottom: shoulder - h.overhangMm, supportTop: seated + b.widthMm, lead: shoulder };
      }
      case 'hub-out': {
        const shoulder = seated + b.widthMm + t;
        return { bearingTop: seated, hub: { shoulder, flangeUp: false }, pusherBottom: shoulder - h.journalLengthMm, supportTop: k.bossDepthMm, lead: shoulder - h.journalLengthMm };
      }
    }
  };
  const at = place(travelMm);
  const start = place(0);
  const head = stack.pusher.heightMm + (stack.cap?.heightMm ?? 0);
  const pusherTop = at.pusherBottom - stack.pusher.heightMm;
  const capTop = stack.cap ? pusherTop - stack.cap.heightMm : undefined;
  const reach = operation === 'hub-out' ? k.wheelSideReachMm : Math.max(k.farFaceOuterMm, k.bossOuterMm + 18);
  const low = Math.max(at.supportTop + stack.support.heightMm, operation === 'hub-out' ? k.bossDepthMm + h.overhangMm : 0);
  return {
    operation, flipped: !snapUp, ...at, pusherTop, capTop, ramBottom: capTop ?? pusherTop,
    supportBottom: at.supportTop + stack.support.heightMm,
    leadStart: start.lead, leadHome: start.lead + r.travelMm,
    top: start.pusherBottom - head - ramShown, bottom: low + bedShown,
    radius: Math.max(stack.pusher.outerMm, stack.cap?.outerMm ?? 0, stack.support.outerMm, reach, at.hub ? h.flangeMm : 0) / 2,
  };
}
