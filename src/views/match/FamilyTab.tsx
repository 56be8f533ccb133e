import { type ReactNode, useState } from 'react';
import { cornerNames } from '../../core/corner.ts';
import {
  type Answers,
  familiesBy,
  familyByCode,
  type FamilyCode,
  nextQuestion,
  questions,
  strokesInWords,
  sureEnough,
} from '../../core/families/index.ts';
import { cornerRecord, familyOf, layoutDoubt, partByNumber } from '../../core/job/index.ts';
import { wholePercents } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Call, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';

/** Which kind of wheel bearing is it, by what is seen: five questions at most, each with its picture. */
export function FamilyTab({ tabs, onNext }: { tabs: ReactNode; onNext: () => void }) {
  const { view, send } = useJob();
  const { ctx, state } = view;
  const known = familyOf(view);
  const [asking, setAsking] = useState(!known);
  const [answers, setAnswers] = useState<Answers>({});
  const ranked = familiesBy(answers);
  const question = nextQuestion(answers);
  const top = familyByCode(ranked[0]!.code)!;
  const percents = wholePercents(ranked.map((f) => f.probability));
  const given = Object.entries(answers);
  const record = cornerRecord(view);
  const doubt =
    ctx.corner === 'unknown' ? undefined : layoutDoubt(known?.code, ctx.unit.layout, ctx.corner);
  const back = () => setAnswers(Object.fromEntries(given.slice(0, -1)));
  const name = async (code: FamilyCode) => {
    if (
      !(await send('family-named', {
        code,
        probability: ranked.find((f) => f.code === code)!.probability,
        answers: { ...answers },
      }))
    )
      return;
    setAsking(false);
    onNext();
  };
  if (!asking && known) {
    const part = partByNumber(view, record?.partNumber);
    const own = part && part.kind === known.kind ? part.bearing : undefined;
    return (
      <StationBody
        kicker={
          state.family
            ? `Named by what is seen, ${Math.round(state.family.probability * 100)} %`
            : `From the unit’s record of the ${cornerNames[ctx.corner].toLowerCase()} corner`
        }
        title={known.name}
        tabs={tabs}
        picture={
          <div className="fam-known">
            <FamilySection code={known.code} ring={own} label={`${known.name} in section`} />
            <p className="cap">
              {own
                ? `To scale, ${own.boreMm} × ${own.outerMm} × ${own.widthMm}`
                : 'Usual proportions of the family; not this unit’s sizes'}
              . Outboard to the left.
            </p>
          </div>
        }
        side={
          <>
            <Call
              status={
                state.family && record && state.family.code !== record.family ? 'check' : 'good'
              }
            >
              {state.family && record && state.family.code !== record.family
                ? `Seen: ${known.name.toLowerCase()}. The record says ${familyByCode(record.family)?.name.toLowerCase()}: tell the lead.`
                : known.seen}
            </Call>
            {doubt && (
              <section>
                <VerdictLines verdicts={[doubt]} />
              </section>
            )}
            <section>
              <h2>Grips or slides</h2>
              <p className="note">{known.grips}</p>
            </section>
            <section>
              <h2>How it comes out</h2>
              <p className="note">{known.out}</p>
            </section>
            <section>
              <h2>Routes and strokes</h2>
              <table className="rows">
                <tbody>
                  {known.routes.map((r) => (
                    <tr key={r.id}>
                      <td>
                        <b>{r.name}</b>
                        <br />
                        <span className="cap">{r.risk}</span>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
              <p className="note mt-1">{strokesInWords(known.code)}</p>
            </section>
            <div className="grow" />
          </>
        }
        actions={
          <>
            <MainAction label="On to measuring" onAct={onNext} />
            <button
              type="button"
              className="btn quiet"
              onClick={() => {
                setAnswers({});
                setAsking(true);
              }}
            >
              Look again
            </button>
          </>
        }
      />
    );
  }
  const sure = (ranked[0]?.probability ?? 0) >= sureEnough;
  const settled = sure ? 'good' : 'check';
  return (
    <StationBody
      kicker={
        question
          ? `Question ${given.length + 1} of at most 5`
          : `${given.length} ${given.length === 1 ? 'answer' : 'answers'} given`
      }
      title={question?.text ?? (sure ? top.name : `${top.name}, likely`)}
      tabs={tabs}
      picture={
        question ? (
          <ul className="ask-fam">
            {question.answers.map((a) => (
              <li key={a.id}>
                <button
                  type="button"
                  onClick={() => setAnswers({ ...answers, [question.id]: a.id })}
                >
                  <FamilySection small code={a.picture.code} lit={a.picture.lit} label="" />
                  <b>{a.text}</b>
                </button>
              </li>
            ))}
            <li>
              <button
                type="button"
                className="unsure"
                onClick={() => setAnswers({ ...answers, [question.id]: 'unsure' })}
              >
                <b>Cannot see it</b>
              </button>
            </li>
          </ul>
        ) : (
          <div className="fam-known">
            <FamilySection code={top.code} label={`${top.name} in section`} />
            <p className="note big">{top.seen}</p>
          </div>
        )
      }
      side={
        <>
          <Call status={question ? 'to-do' : settled}>
            {firstThat(
              [
                question && given.length === 0,
                'Answer by what you see; the picture shows what is meant.',
              ],
              [question, `${top.name}, ${percents[0]} % so far.`],
              [sure, `${top.name}. ${top.grips}`],
              [
                true,
                'What was seen does not settle it. Choose by the pictures, or go back and look again.',
              ],
            )}
          </Call>
          <section>
            <h2>Families</h2>
            {ranked.slice(0, 5).map((f, i) => (
              <button
                key={f.code}
                type="button"
                className="likely fam-pick"
                onClick={() => name(f.code)}
                title={`Name it ${familyByCode(f.code).name}`}
              >
                <span>{familyByCode(f.code).name}</span>
                <b className="num">
                  {percents[i]} <small>%</small>
                </b>
                <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
                  <path className="base" d="M0 9.500H100" vectorEffect="non-scaling-stroke" />
                  <rect
                    className={i === 0 ? 'first' : ''}
                    x="0"
                    y="1"
                    width={Math.max(0.5, percents[i]!)}
                    height="8.500"
                    vectorEffect="non-scaling-stroke"
                  />
                </svg>
              </button>
            ))}
            <p className="cap">Tap one to name it yourself.</p>
          </section>
          {given.length > 0 && (
            <section>
              <h2>Answered</h2>
              <table className="rows">
                <tbody>
                  {given.map(([id, a]) => {
                    const q = questions.find((x) => x.id === id)!;
                    return (
                      <tr key={id}>
                        <td>{q.text}</td>
                        <td className="right">
                          {q.answers.find((x) => x.id === a)?.text ?? 'not seen'}
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </section>
          )}
          <div className="grow" />
        </>
      }
      actions={
        <>
          <MainAction
            label={`Name it: ${top.name}`}
            missing={question ? 'Answer, or tap a family' : undefined}
            onAct={() => name(top.code)}
          />
          {given.length > 0 ? (
            <button type="button" className="btn quiet" onClick={back}>
              Back
            </button>
          ) : (
            known && (
              <button type="button" className="btn quiet" onClick={() => setAsking(false)}>
                Leave
              </button>
            )
          )}
        </>
      }
    />
  );
}
