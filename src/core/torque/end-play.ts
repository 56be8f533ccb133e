/** A nut on its thread: how far it goes along its axis for an angle, mm. Geometry of a screw. Throws RangeError. */
export function endPlayMm(pitchMm: number, angleDeg: number): number {
  if (!(pitchMm > 0)) throw new RangeError('pitchMm: must be more than 0 mm');
  return (pitchMm * angleDeg) / 360;
}

/** How far a nut is turned for a movement along its axis, degrees. Geometry of a screw. Throws RangeError. */
export function angleForMm(pitchMm: number, movementMm: number): number {
  if (!(pitchMm > 0)) throw new RangeError('pitchMm: must be more than 0 mm');
  return (360 * movementMm) / pitchMm;
}
