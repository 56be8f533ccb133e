import type { Corner } from '../../core/corner.ts';
import { testById } from '../../core/diagnosis/index.ts';
import { useJob } from '../shell/useJob.ts';

/** The last word on the old bearing; what is felt here teaches the tests. */
export function BenchEntry({ onDone }: { onDone: () => void }) {
  const { view, send } = useJob();
  const test = testById('bench')!;
  return (
    <section className="grid gap-2">
      <p className="what">{test.name}</p>
      <p className="note">{test.why} What you feel here is counted for the tests that led to it.</p>
      <ul className="answers">
        {test.results?.map((r) => (
          <li key={r.id}>
            <button
              type="button"
              className="btn quiet"
              onClick={async () => {
                if (
                  await send('test-recorded', {
                    testId: 'bench',
                    place: view.ctx.corner as Corner,
                    result: r.id,
                  })
                )
                  onDone();
              }}
            >
              {r.name}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
