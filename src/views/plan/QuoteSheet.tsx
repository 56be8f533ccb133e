import { cornerNames } from '../../core/corner.ts';
import { familyCodeOf, familyOf } from '../../core/job/index.ts';
import { branchesOf, type Quote } from '../../core/plan/index.ts';
import { dayTime, moneyInWords } from '../../core/units/index.ts';
import { useJob } from '../shell/useJob.ts';
import type { Prices } from './usePrices.ts';

const columns = ['low', 'likely', 'high'] as const;

/** The sheet for the customer. */
export function QuoteSheet({
  made,
  currency,
  taxPercent,
  prices,
}: {
  made: Quote;
  currency: string;
  taxPercent: number | undefined;
  prices: Prices;
}) {
  const { view } = useJob();
  const say = (minor: number) => moneyInWords(minor, currency);
  const { total } = made;
  const x = (minor: number) => 20 + (minor / (total.high * 1.02)) * 640;
  const { agreed } = view.state;
  return (
    <article className="quote-sheet">
      <header>
        <b className="num big">{view.ctx.unit.fleetNo}</b>
        <p>
          <b>{view.ctx.unit.name}</b>
          <br />
          {familyOf(view)?.name ?? 'Wheel bearing'}, {cornerNames[view.ctx.corner].toLowerCase()}
          <br />
          {dayTime(view.nowMs, view.timeZone)}
        </p>
        <p className="right">
          <span>most likely</span>
          <b className="num total">{say(total.likely)}</b>
          <span className="num">
            from {say(total.low)} to {say(total.high)}
          </span>
        </p>
      </header>
      <svg
        className="drawing"
        viewBox="0 0 680 74"
        role="img"
        aria-label={`From ${say(total.low)} to ${say(total.high)}, most likely ${say(total.likely)}`}
      >
        <path className="out" d="M20 40H660" />
        <rect
          className="expected-fill"
          x={x(total.low)}
          y="24"
          width={x(total.high) - x(total.low)}
          height="32"
        />
        <path className="way" d={`M${x(total.likely)} 18v44`} />
        <text className="cap" x={x(total.low)} y="70" textAnchor="middle">
          if all goes well
        </text>
        <text className="cap" x="660" y="70" textAnchor="end">
          if it fights back
        </text>
      </svg>
      <table>
        <thead>
          <tr>
            <th />
            <th className="num">low</th>
            <th className="num">likely</th>
            <th className="num">high</th>
          </tr>
        </thead>
        <tbody>
          {made.lines.map((l) => (
            <tr key={l.what}>
              <td>{l.what}</td>
              {columns.map((k) => (
                <td key={k} className="num">
                  {say(l.minor[k])}
                </td>
              ))}
            </tr>
          ))}
          <tr>
            <td>{taxPercent === undefined ? 'Tax: not set' : `Tax, ${taxPercent} %`}</td>
            {columns.map((k) => (
              <td key={k} className="num">
                {say(made.tax[k])}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
      <section>
        <h3>What if</h3>
        {branchesOf(familyCodeOf(view)).map((b) => {
          const minor = prices.minor(`if-${b.id}`);
          return (
            <p key={b.id}>
              <b>{b.what}</b>: {b.why}{' '}
              <span className="num">
                {minor === undefined
                  ? 'You are asked first.'
                  : `About ${say(minor)} more, and you are asked first.`}
              </span>
            </p>
          );
        })}
      </section>
      <p className="cap">
        {made.from === 'history'
          ? 'Hours by earlier jobs of this kind in this shop.'
          : 'Hours by the plan of this job; half as long again where rust holds it.'}
      </p>
      {agreed && (
        <p className="agreed">
          <b>{agreed.who}</b> agreed to up to{' '}
          <b className="num">{moneyInWords(agreed.upToMinor, agreed.currency)}</b>,{' '}
          {dayTime(agreed.atMs, view.timeZone)}.
        </p>
      )}
    </article>
  );
}
