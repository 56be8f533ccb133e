import { useState } from 'react';
import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { MainAction } from '../../ui/Panels.tsx';
import { TitleBlock } from '../../ui/TitleBlock.tsx';
import { call, type ProblemDoc } from '../shell/useJob.ts';
import './join.css';

/** The first page of a tablet that has not joined: the pass of the shop, or a code that a joined tablet shows. */
export default function Join({ code }: { code: string }) {
  const [name, setName] = useState('');
  const [pass, setPass] = useState('');
  const [problem, setProblem] = useState<ProblemDoc>();
  const join = async () => {
    const by = code ? { code } : { pass: pass.trim().toLowerCase() };
    const r = await call('POST', '/api/tablets/join', { name: name.trim(), ...by });
    if (r.ok) location.assign('/');
    else setProblem(r.problem);
  };
  return (
    <div className="frame">
      <TitleBlock />
      <main className="join-main">
        <h1>This tablet has not joined</h1>
        <p className="note">
          {code
            ? 'A joined tablet shows its code to this one. Give it a name and it is in.'
            : 'The shop’s pass was shown when the server was started first. A joined tablet can show a code instead: Shop, Tablets.'}
        </p>
        <form
          className="grid gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            void join();
          }}
        >
          <Field label="Name of this tablet" text={name} onText={setName} />
          {!code && <Field label="Pass of the shop" text={pass} onText={setPass} />}
          {problem && (
            <p className="note" role="alert">
              {problem.detail}
            </p>
          )}
          <MainAction
            type="submit"
            label="Join the shop"
            missing={firstThat(
              [name.trim() === '', 'Name it: bay 2, office'],
              [!code && pass.trim() === '', 'Type the pass'],
            )}
          />
        </form>
      </main>
    </div>
  );
}
