import { type ReactNode, useState } from 'react';
import {
  checksFor,
  fastenersOf,
  isTightened,
  overrideOf,
  owedAt,
  recheckOf,
} from '../../core/job/index.ts';
import { type Check, checkRule, dimensionOf, judgeCheck } from '../../core/prove/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { fixed } from '../../core/units/index.ts';
import { both, readTyped } from '../../ui/units.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Call, type CallStatus, Frame, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { JobSheet, type SheetProps, StationBody, Tabs } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { faultOf, useJob } from '../shell/useJob.ts';
import { useTab } from '../shell/useTab.ts';
import { FastenerRunner } from '../torque/FastenerRunner.tsx';
import { Runout } from './Runout.tsx';
import { BeforeAfter } from './BeforeAfter.tsx';
import './prove.css';
import { late } from '../../ui/late.tsx';

export default function Prove(props: SheetProps) {
  return (
    <JobSheet {...props} station="prove">
      <Body />
    </JobSheet>
  );
}

/** Whether it may leave. */
function toldOf(
  signed: boolean,
  failed: string | undefined,
  left: number,
): { status: CallStatus; text: string } {
  if (signed) return { status: 'good', text: 'Signed. The job card is closed.' };
  if (failed) return { status: 'stop', text: `${failed}: not right. It does not leave.` };
  if (left > 0) return { status: 'to-do', text: `${left} left before it may leave.` };
  return { status: 'good', text: 'Everything is proven. Sign it.' };
}

const Ear = late(async () => (await import('../ear/Ear.tsx')).default);
const Signal = late(async () => (await import('../wheel-speed/Signal.tsx')).default);

type Tab = 'checks' | 'runout' | 'wheel-nuts' | 'signal' | 'ear';
const tabs: { id: Tab; name: string }[] = [
  { id: 'checks', name: 'Checks' },
  { id: 'runout', name: 'Runout' },
  { id: 'wheel-nuts', name: 'Wheel nuts' },
  { id: 'signal', name: 'Signal' },
  { id: 'ear', name: 'Ear' },
];

function Body() {
  const { view } = useJob();
  const [open, setOpen] = useTab<Tab>(`prove:${view.job.id}`, 'checks');
  const wheel = fastenersOf(view).filter((f) => f.answeredBy !== undefined);
  const done: Tab[] = [
    ...(owedAt('prove', view).length === 0 ? ['checks' as const] : []),
    ...(view.state.checks['runout'] ? ['runout' as const] : []),
    ...(wheel.every(isTightened) ? ['wheel-nuts' as const] : []),
    ...(view.state.keptTraces.after.signal ? ['signal' as const] : []),
    ...(view.state.keptTraces.after.spectrum ? ['ear' as const] : []),
  ];
  const bar = <Tabs tabs={tabs} open={open} done={done} onOpen={setOpen} />;
  if (open === 'runout') return <Runout bar={bar} />;
  if (open === 'wheel-nuts')
    return (
      <FastenerRunner
        all={wheel}
        bar={bar}
        kicker="On the ground, by wrench"
        after={<MainAction label="To the checks" onAct={() => setOpen('checks')} />}
      />
    );
  if (open === 'signal' || open === 'ear') {
    const Again = open === 'ear' ? Ear : Signal;
    return <Again tabs={bar} when="after" onDone={() => setOpen('checks')} />;
  }
  return <Checks bar={bar} />;
}

/** What is left before it may leave. */
function Checks({ bar }: { bar: ReactNode }) {
  const { view, send } = useJob();
  const { state, ctx, job } = view;
  const [signing, setSigning] = useState(false);
  const [km, setKm] = useDraft(`${job.id}:odometer`);
  const parsed = readTyped(km, 'distance');
  const left = owedAt('prove', view).filter((o) => o.rule !== 'prove.unsigned');
  const checks = checksFor(view);
  const failed = checks.filter((c) => left.some((o) => o.wrongCheck === c.id));
  const onRecord = ctx.unit.odometerKm;
  const before =
    parsed.ok && onRecord !== undefined && parsed.value < onRecord
      ? `The unit’s record stands at ${fixed(onRecord)} km: less cannot be.`
      : undefined;
  const told = toldOf(state.signed !== undefined, failed[0]?.text, left.length);
  const sign = async (pin: string) => {
    const ok = parsed.ok && (await send('signed', { odometerKm: Math.round(parsed.value) }, pin));
    if (ok) location.assign(`/jobs/${job.id}/card`);
    return ok;
  };
  const recheck = both(recheckOf(view), 'distance');
  return (
    <StationBody
      kicker={`${checks.length - left.length} of ${checks.length} settled`}
      title="Is it really right?"
      tabs={bar}
      picture={
        <div className="prove">
          {checks.map((c) => (
            <CheckRow key={c.id} check={c} />
          ))}
        </div>
      }
      side={
        <>
          <Call status={told.status}>{told.text}</Call>
          <section>
            <h2>What is left</h2>
            {left.length === 0 ? (
              <p className="note">Nothing.</p>
            ) : (
              <ul>
                {left.map((m) => (
                  <li key={sentence(m)} className="line-v">
                    {m.wrongCheck ? (
                      <VerdictShape status="stop" size={20} />
                    ) : (
                      <span aria-hidden="true">•</span>
                    )}
                    <RuleLink said={m} />
                  </li>
                ))}
              </ul>
            )}
          </section>
          {!state.signed && (
            <section>
              <QuantityInput
                label="Distance on the clock now"
                dimension="distance"
                text={km}
                onText={setKm}
                fault={before}
                hint={
                  onRecord === undefined ? 'Not on record yet' : `On record ${fixed(onRecord)} km`
                }
              />
            </section>
          )}
          <section>
            <h2>Recheck</h2>
            <p className="note">
              Paint mark of the nut and wheel nuts after{' '}
              <b className="num">
                {recheck.value} {recheck.unit}
              </b>{' '}
              / {recheck.other}. It will stand on the floor. A staked or stretched nut is looked at
              by its mark, not pulled again.
            </p>
          </section>
          <div className="grow" />
          {signing && (
            <PinDialog
              title="Sign the job card"
              text="With this name the vehicle may leave. Afterwards nothing on the card changes; a correction is a new line."
              onClose={() => setSigning(false)}
              onPin={sign}
            />
          )}
        </>
      }
      actions={
        state.signed ? (
          <a className="btn main" href={`/jobs/${job.id}/card`}>
            Job card
          </a>
        ) : (
          <MainAction
            label="Sign off"
            missing={firstThat(
              [left[0], left[0] && sentence(left[0])],
              [!parsed.ok, 'Type the distance on the clock'],
              [true, before],
            )}
            onAct={() => setSigning(true)}
          />
        )
      }
    />
  );
}

/** Decimals that the instrument of a check gives. */
const decimals = { '°C': 0, mm: 3, kPa: 1 } as const;

function CheckRow({ check: c }: { check: Check }) {
  const { view, send, problem } = useJob();
  const { state, job } = view;
  const answer = state.checks[c.id];
  const verdict = answer && judgeCheck(c, answer);
  const [text, setText, clear] = useDraft(`${job.id}:check:${c.id}`);
  const [again, setAgain] = useState(false);
  const [answering, setAnswering] = useState(false);
  const answered = c.byName && overrideOf(state, checkRule(c.id));
  const wrong = verdict?.status === 'stop' && !answered;
  const parsed = readTyped(text, dimensionOf(c) ?? 'length');
  const open = !answer || again;
  const record = async (a: { ok?: boolean; value?: number }) => {
    if (
      await send('check-recorded', {
        checkId: c.id,
        ...a,
        ...(c.numeric && parsed.ok ? { typed: parsed.typed.slice(0, 40) } : {}),
      })
    ) {
      clear();
      setAgain(false);
    }
  };
  return (
    <section className={`check-row${verdict ? ` is-${verdict.status}` : ''}`}>
      <span className="check-shape">
        {verdict ? (
          <VerdictShape status={verdict.status} size={30} />
        ) : (
          <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
            <circle className="ghost" cx="15" cy="15" r="12" />
          </svg>
        )}
      </span>
      <div className="check-text">
        <b>{c.text}</b>
        {verdict && (
          <span className="note">
            <RuleLink said={verdict} /> {view.people.find((p) => p.id === answer.byId)?.name}
          </span>
        )}
        {answered && verdict?.status === 'stop' && (
          <span className="note">
            {view.people.find((p) => p.id === answered.byId)?.name} answers: {answered.reason}
          </span>
        )}
        <BeforeAfter checkId={c.id} />
        {!verdict && !c.release && <span className="cap">may stay open</span>}
      </div>
      <div className="check-answer">
        {c.numeric && answer && !again && (
          <Frame
            name=""
            value={`${answer.value} ${c.numeric.unit}`}
            limit={`max ${c.numeric.max}`}
          />
        )}
        {open &&
          !state.signed &&
          (c.numeric ? (
            <form
              className="num-check"
              onSubmit={(e) => {
                e.preventDefault();
                if (parsed.ok) void record({ value: parsed.value });
              }}
            >
              <QuantityInput
                compact
                label={`max ${c.numeric.max} ${c.numeric.unit}`}
                dimension={dimensionOf(c) ?? 'length'}
                decimals={decimals[c.numeric.unit]}
                text={text}
                onText={setText}
                fault={faultOf(problem, `check:${c.id}`)}
              />
              <button type="submit" className="btn quiet small">
                Record
              </button>
            </form>
          ) : (
            <>
              <button type="button" className="btn small" onClick={() => record({ ok: true })}>
                Right
              </button>
              <button
                type="button"
                className="btn quiet small"
                onClick={() => record({ ok: false })}
              >
                Not right
              </button>
            </>
          ))}
        {c.byName && wrong && !open && !state.signed && (
          <button type="button" className="link" onClick={() => setAnswering(true)}>
            Answer for it
          </button>
        )}
        {answering && (
          <PinDialog
            title="Let it go as it is?"
            text={`${c.text}: not right. Name and reason stand on the job card.`}
            reason
            onClose={() => setAnswering(false)}
            onPin={(pin, reason) => send('overridden', { rule: checkRule(c.id), reason }, pin)}
          />
        )}
        {!open && !state.signed && (
          <button type="button" className="link" onClick={() => setAgain(true)}>
            Again
          </button>
        )}
      </div>
    </section>
  );
}
