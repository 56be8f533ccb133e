import { scheduleAll, type WorkToPlan } from '../core/plan/index.ts';

self.onmessage = ({ data }: MessageEvent<WorkToPlan>) => self.postMessage(scheduleAll(data));
