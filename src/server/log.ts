import { pino } from 'pino';

/** One line of JSON an event, without names, PINs or bodies. */
export const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });
