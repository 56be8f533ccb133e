import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { cornerNames } from '../core/corner.ts';
import { fastenerOn, type FloorRow } from '../core/job/index.ts';
import { recheckWords } from '../core/prove/index.ts';
import { isoDay } from '../core/units/index.ts';
import { floorRows } from './floor.ts';
import { jobView } from './job-record.ts';
import { shopTitle, shopZone } from './shop.ts';

/** One recheck that is owed. */
async function reminder(r: FloorRow, zone: string) {
  const view = await jobView(r.id);
  if (r.recheck?.dueMs === undefined) return undefined;
  return {
    id: `recheck-${r.id}@true-spindle`,
    day: isoDay(r.recheck.dueMs, zone),
    // A later reading of the clock takes the place of an earlier one.
    sequence: Math.round(r.recheck.drivenKm),
    summary: `Recheck unit ${r.fleetNo}, ${cornerNames[view.ctx.corner].toLowerCase()}`,
    description: `${recheckWords(view.ctx.procedure, fastenerOn(view, 'wheel-nuts')?.torqueNm)} Due ${r.recheck.dueKm} km after job ${r.number}; ${Math.round(r.recheck.drivenKm)} km driven.`,
  };
}

/** Every recheck that is owed, as a calendar (RFC 5545): by date at the latest, sooner as the clock shows. */
export async function remindersCalendar(): Promise<Response> {
  const zone = await shopZone();
  const calendar = ical({
    name: `${await shopTitle()}: rechecks`,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'True Spindle', product: 'rechecks' },
  });
  for (const r of (await floorRows()).filter((x) => x.recheck)) {
    const e = await reminder(r, zone);
    if (!e) continue;
    const event = calendar.createEvent({
      id: e.id,
      start: new Date(e.day),
      allDay: true,
      sequence: e.sequence,
      summary: e.summary,
      description: e.description,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: e.summary });
  }
  return new Response(calendar.toString(), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="rechecks.ics"',
    },
  });
}
