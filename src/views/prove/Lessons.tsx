import { type lessonsOf, rowName, testById } from '../../core/diagnosis/index.ts';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { useFetched } from '../shell/useFetched.ts';

interface Taught {
  counted?: boolean;
  lessons: ReturnType<typeof lessonsOf>;
}

/** What the bench reading of this job taught the tests: chance of the answer that was given, before and after. */
export function Lessons({ jobId }: { jobId: string }) {
  const { value: taught, failed } = useFetched<Taught>(`/api/jobs/${jobId}/lessons`);
  if (failed)
    return (
      <section>
        <h2>What it taught</h2>
        <TryAgain what="Not read" failed={failed} />
      </section>
    );
  if (!taught || taught.lessons.length === 0) return null;
  return (
    <section className="lessons">
      <h2>What it taught</h2>
      <ul>
        {taught.lessons.map((l) => {
          const t = testById(l.testId)!;
          const i = t.numeric ? -1 : t.results.findIndex((r) => r.id === l.result.result);
          const [was, is] = t.numeric
            ? [l.before[0]!, l.after[0]!]
            : [100 * l.before[i]!, 100 * l.after[i]!];
          return (
            <li key={l.testId + l.result.place}>
              <span>
                {t.short}
                {i < 0
                  ? ', usual reading'
                  : `, ${t.numeric ? '' : t.results[i]!.name.toLowerCase()}`}
                <small className="cap"> {rowName(l.key).toLowerCase()}</small>
              </span>
              <b className="num">
                {was.toFixed(t.numeric?.unit === 'mm' ? 3 : 1)} →{' '}
                {is.toFixed(t.numeric?.unit === 'mm' ? 3 : 1)} {t.numeric?.unit ?? '%'}
              </b>
            </li>
          );
        })}
      </ul>
      <p className="cap">
        {taught.counted
          ? 'Counted in the tables.'
          : 'Counted once; a lead let the counts begin anew since.'}{' '}
        <a className="link" href="/tables">
          Tables
        </a>
      </p>
    </section>
  );
}
