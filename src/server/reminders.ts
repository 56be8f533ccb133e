import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { cornerNames } from '../core/corner.ts';
import { fastenerOn, type FloorRow, wayOf } from '../core/job/index.ts';
import { recheckWords } from '../core/prove/index.ts';
import { isoDay } from '../core/units/index.ts';
import {
  causeWords,
  everyOf,
  type FleetService,
  serviceNames,
  servicesDue,
} from '../core/service/index.ts';
import { listRecords } from '../db/records.ts';
import { floorRows } from './floor.ts';
import { jobView } from './job-record.ts';
import { settingsOf, shopTitle, shopZone } from './shop.ts';
import { store } from './store.ts';

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
    description: `${recheckWords(view.ctx.procedure, fastenerOn(view, 'wheel-nuts')?.torqueNm, wayOf(view, 'feed') === 'oil')} Due ${r.recheck.dueKm} km after job ${r.number}; ${Math.round(r.recheck.drivenKm)} km driven.`,
  };
}

/** A packed bearing that is seen to from time to time. */
const serviceEvent = (s: FleetService, zone: string) => ({
  id: `service-${s.unitId}-${s.corner}@true-spindle`,
  day: isoDay(s.dueMs, zone),
  sequence: Math.round(s.drivenKm ?? 0),
  summary: `Service unit ${s.fleetNo}, ${cornerNames[s.corner].toLowerCase()}`,
  description: `${s.words} Due ${causeWords[s.cause]}${s.last ? `; last ${s.last.on}, ${serviceNames[s.last.what]}` : ''}.`,
});

/** Every recheck that is owed and every service to come, as a calendar (RFC 5545): by date at the latest, sooner as the clock shows. */
export async function remindersCalendar(): Promise<Response> {
  const zone = await shopZone();
  const calendar = ical({
    name: `${await shopTitle()}: rechecks and services`,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'True Spindle', product: 'rechecks' },
  });
  const owed = await Promise.all(
    (await floorRows()).filter((x) => x.recheck).map((r) => reminder(r, zone)),
  );
  const { db } = await store();
  const services = servicesDue(
    await listRecords(db, 'units'),
    everyOf(await settingsOf()),
    Date.now(),
  );
  for (const e of [...owed, ...services.map((s) => serviceEvent(s, zone))]) {
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
