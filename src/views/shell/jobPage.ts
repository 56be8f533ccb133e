import { type Station, stationNames, stations } from '../../core/job/index.ts';

/** A page of a job: one of its stations, or a sheet that is read and printed. */
export type JobPage = Station | 'card' | 'quote' | 'raceways';

export const isStation = (page: JobPage): page is Station =>
  (stations as readonly string[]).includes(page);

const sheets = { card: 'Job card', quote: 'Quote', raceways: 'Old part' };
export const pageName = (page: JobPage): string =>
  isStation(page) ? stationNames[page] : sheets[page];
