import { v7 as uuid } from 'uuid';
import { beforeAll, expect, it } from 'vitest';
import { ask, complaint, loadShop, newJob, say } from './shop-server.ts';

beforeAll(loadShop);

it('entries of many jobs at the same moment: each is told its own, and what is wrong with one touches no other', async () => {
  const jobs = await Promise.all(Array.from({ length: 12 }, () => newJob()));
  const taken = uuid();
  expect((await say(jobs[0]!, 'complaint-recorded', complaint, { id: taken })).status).toBe(200);
  const nobody = uuid();
  const sent = await Promise.all([
    ...jobs.slice(1).map((job) => say(job, 'complaint-recorded', complaint)),
    // The id of an entry of another job, a person there is not, a job and a caution there are not.
    say(jobs[1]!, 'work-started', {}, { id: taken }),
    say(jobs[2]!, 'work-started', {}, { byId: 'nobody' }),
    say(nobody, 'work-started', {}),
    say(jobs[3]!, 'caution-read', { cautionId: 'constructor' }),
  ]);
  expect(sent.map((r) => r.status)).toEqual([...Array(11).fill(200), 409, 422, 404, 422]);
  for (const [i, r] of sent.slice(0, 11).entries()) expect(r.json.job.id).toBe(jobs[i + 1]);
  for (const job of jobs) {
    const card = await ask('GET', `/api/jobs/${job}/card.json`);
    expect(card.json.seal).toMatchObject({ verified: true });
    expect((await ask('GET', `/api/jobs/${job}/raw`)).json.events).toHaveLength(1);
  }
});
