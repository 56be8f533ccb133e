/** One reading of gauge and travel; `ms` from the start of the stroke. */
export interface TraceSample {
  ms: number;
  travelMm: number;
  forceKn: number;
}

/** A reading as it is kept: judged while pumping and read again later, it is the same figure. */
export const keptSample = ({ ms, travelMm, forceKn }: TraceSample): TraceSample => ({
  ms,
  travelMm: Number(travelMm.toFixed(3)),
  forceKn: Number(forceKn.toFixed(3)),
});

/** What is wrong with a trace as a file or a device gave it; undefined when nothing is. */
export function traceFault(
  samples: readonly TraceSample[],
): { field: string; reason: string } | undefined {
  if (samples.length < 2)
    return { field: 'samples', reason: 'A trace needs at least two readings.' };
  const back = samples.findIndex((s, i) => i > 0 && s.ms < samples[i - 1]!.ms);
  if (back > 0)
    return {
      field: `samples.${back}.ms`,
      reason: `Time runs backwards here, from ${samples[back - 1]!.ms} to ${samples[back]!.ms} ms.`,
    };
  const odd = samples.findIndex(
    (s) => !(s.forceKn >= 0 && s.forceKn < 2000) || !(s.travelMm >= -5 && s.travelMm < 600),
  );
  return odd >= 0
    ? {
        field: `samples.${odd}`,
        reason: `${samples[odd]!.forceKn} kN at ${samples[odd]!.travelMm} mm cannot be.`,
      }
    : undefined;
}

/** A trace as the strip and the card show it: the greatest force in each step of travel. */
export function thinned(
  samples: readonly TraceSample[],
  stepMm = 0.25,
): { travelMm: number; forceKn: number }[] {
  const best = new Map<number, TraceSample>();
  for (const s of samples) {
    const k = Math.floor(s.travelMm / stepMm);
    if (s.forceKn > (best.get(k)?.forceKn ?? -1)) best.set(k, s);
  }
  return [...best.entries()]
    .sort(([a], [b]) => a - b)
    .map(([, { travelMm, forceKn }]) => ({ travelMm, forceKn }));
}
