import { expect, it } from 'vitest';
import { httpPartsService, standInPartsService } from './parts-service.ts';

it('waits for a slow service as long as its patience, and says how long that was', async () => {
  const standIn = await standInPartsService(async () => []);
  standIn.mood = { latencyMs: 400, fails: 'no' };
  await expect(httpPartsService(standIn.url, 50).offers(['A1'])).rejects.toThrow(
    'did not answer within 0.05 s',
  );
  await expect(httpPartsService(standIn.url, 5000).offers(['A1'])).resolves.toEqual([]);
  standIn.server.close();
});
