import type { ReactNode } from 'react';
import { chosenPart, familyCodeOf, figureOn, notAlike } from '../../core/job/index.ts';
import { type Figure, figuresFor, type FigureValue } from '../../core/press/index.ts';

import { both, readTyped } from '../../ui/units.ts';
import { Call, Choices, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { ThumbPad } from '../../ui/ThumbPad.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { StationBody } from '../shell/JobSheet.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { SameAs } from './SameAs.tsx';
import { bodiesOf } from './figureBodies.ts';

/** A figure that is asked for, and what it has to show for the stack in hand to be right. */
export interface Asked {
  figure: Figure;
  min?: number | undefined;
  max?: number | undefined;
}

/** Figures that a stroke or a seat waits for, one at a time, in the order in which they can be reached. */
export function FigureBody({
  kicker,
  title,
  tabs,
  asked,
}: {
  kicker: string;
  title: string;
  tabs: ReactNode;
  asked: readonly Asked[];
}) {
  const { view, send, problem } = useJob();
  const [{ figure, ...wanted }] = asked as [Asked, ...Asked[]];
  const [text, setText, clear] = useDraft(`${view.job.id}:figure:${figure.path}`);
  const family = familyCodeOf(view);
  const off = notAlike(view);
  const parsed = readTyped(text, 'length');
  const record = async (value: FigureValue, typed?: string) => {
    const said = typed === undefined ? {} : { typed: typed.slice(0, 40) };
    if (await send('figure-read', { path: figure.path, value, ...said })) clear();
  };
  const shown = parsed.ok ? both(parsed.value, 'length') : undefined;
  return (
    <StationBody
      kicker={kicker}
      title={title}
      tabs={tabs}
      picture={
        <div className="figure-picture">
          {family && (
            <FamilySection
              code={family}
              ring={chosenPart(view)?.bearing}
              lit={bodiesOf(figure.path)}
              label={`Section of the corner: ${figure.name}`}
            />
          )}
          <p className="cap">
            Drawn with what is usual of this kind of bearing; what is asked for is marked. Nothing
            is judged by what was not read.
          </p>
        </div>
      }
      side={
        <>
          <Call status="to-do">
            {asked.length} {asked.length === 1 ? 'figure' : 'figures'} to read before this can be
            laid out.
          </Call>
          {off && (
            <section>
              <VerdictLines verdicts={[off]} />
            </section>
          )}
          <SameAs />
          <section className="grid gap-2">
            <h2 className="asked-figure">{figure.name}</h2>
            <p className="note">{figure.how}</p>
            <Wanted {...wanted} />
            {figure.options ? (
              <Choices
                name={figure.name}
                value={undefined}
                onValue={(id) => void record(id)}
                options={figure.options.map((o) => ({ id: o.id, label: o.name }))}
              />
            ) : (
              <form
                className="grid gap-2"
                onSubmit={(e) => {
                  e.preventDefault();
                  if (parsed.ok) void record(parsed.value, parsed.typed);
                }}
              >
                <QuantityInput
                  autoFocus
                  label={figure.name}
                  dimension="length"
                  text={text}
                  onText={setText}
                  fault={faultOf(problem, 'value', 'path', 'body.value')}
                />
                <ThumbPad text={text} onText={setText} />
              </form>
            )}
          </section>
          <KnownFigures />
          <div className="grow" />
        </>
      }
      actions={
        figure.options ? (
          <MainAction label="Record" missing="Tap one of the words" />
        ) : (
          <MainAction
            label={shown ? `Record ${shown.value} ${shown.unit}` : 'Record'}
            missing={shown ? undefined : 'Type what was read'}
            onAct={() => parsed.ok && void record(parsed.value, parsed.typed)}
          />
        )
      }
    />
  );
}

/** What a figure has to show for the stack in hand to be right. */
function Wanted({ min, max }: Omit<Asked, 'figure'>) {
  const limits = [
    ...(min === undefined ? [] : [`at least ${min.toFixed(1)} mm`]),
    ...(max === undefined ? [] : [`at most ${max.toFixed(1)} mm`]),
  ];
  if (limits.length === 0) return null;
  return <p className="rule-s">The stack in hand is right only if it is {limits.join(' and ')}.</p>;
}

/** What is known of this corner, and where it comes from. */
function KnownFigures() {
  const { view } = useJob();
  const known = figuresFor(familyCodeOf(view)).flatMap((f) => {
    const value = figureOn(view, f.path);
    if (value === undefined || f.needs.length === 0) return [];
    const read = view.state.figures[f.path];
    return [{ f, value, from: fromWhere(f, read) }];
  });
  if (known.length === 0) return null;
  return (
    <section>
      <h2>Known</h2>
      <table className="rows">
        <tbody>
          {known.map(({ f, value, from }) => (
            <tr key={f.path}>
              <td>
                {f.name}
                <br />
                <span className="cap">{from}</span>
              </td>
              <td className="figure">
                <b>{typeof value === 'number' ? value.toFixed(1) : wordOf(f, value)}</b>
                {typeof value === 'number' ? ' mm' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function fromWhere(f: Figure, read: { takenFrom?: string } | undefined): string {
  if (read?.takenFrom) return `taken over from ${read.takenFrom}, not measured here`;
  if (read) return 'read';
  return f.derive ? 'derived' : 'on record';
}

const wordOf = (f: Figure, value: string): string =>
  f.options?.find((o) => o.id === value)?.name ?? value;
