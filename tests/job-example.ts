import type { CornerRecord } from '../src/core/corner-record.ts';
import { plainTables } from '../src/core/diagnosis/index.ts';
import { type JobContext, type JobNow, project } from '../src/core/job/index.ts';
import type { Choices, EventBody, EventType, JobEvent } from '../src/core/schemas/events.ts';
import { exampleWork, piece } from './example.ts';

/** A made-up job with a pressed-in bearing, and entries for its record. */
const { knuckle, hub, bearing } = exampleWork;
const record = (over: Partial<CornerRecord> = {}): CornerRecord => ({
  family: 'P1',
  partNumber: 'A1',
  sensorSide: 'inboard',
  knuckle,
  hub,
  source: 'made up',
  ...over,
});
export const context = (
  over: Partial<CornerRecord> = {},
  encoder = bearing.encoder,
): JobContext => ({
  unit: {
    id: 'u',
    fleetNo: '1',
    name: 'Hatch',
    maker: 'Made up',
    layout: 'front',
    odometerKm: 1000,
    tyre: '195/65R15',
    corners: { LF: record(over) as never },
    fasteners: {},
  },
  corner: 'LF',
  parts: [
    {
      number: 'A1',
      maker: 'Made up',
      kind: 'ring-set',
      bearing: { ...bearing, encoder },
      stock: 1,
      priceMinor: 1,
      currency: 'EUR',
      leadDays: 0,
      snapRingIncluded: true,
    },
  ],
  adapters: [
    piece('disc', 74, 0, 12),
    piece('ring', 75, 68, 30),
    piece('support', 110, 84, 20),
    piece('sleeve', 52, 44, 60),
  ],
  presses: [{ id: 'p', name: 'Press', capacityKn: 196, ramMm: 45, daylightMm: 420 }],
  instruments: [{ id: 'gauge', name: 'gauge', doubtMm: 0.003 }],
  wrenches: [],
  tables: plainTables,
});

/** The way out of the example, and the new part held against the old and in hand. */
export const strippedExample = (): JobEvent[] => [
  event('caution-read', { cautionId: 'press' }),
  ...(['hub-out', 'bearing-out'] as const).map((operation) =>
    event('stroke-recorded', {
      operation,
      pressId: 'p',
      stack: { pusherId: 'disc', supportId: 'support' },
      peakKn: 12,
    }),
  ),
  event('part-confirmed', { partNumber: 'A1' }),
  event('item-marked', { itemId: 'bearing', state: 'in-hand' }),
];

let seq = 0;
export const event = <T extends EventType>(type: T, body: EventBody<T>): JobEvent =>
  ({
    seq: ++seq,
    id: String(seq),
    jobId: 'j',
    type,
    body,
    byId: 'rafe',
    atMs: seq * 60_000,
  }) as JobEvent;
export const job = (events: JobEvent[], ctx = context(), choices: Choices = {}): JobNow => ({
  ctx,
  state: project(events),
  choices,
});
