import { useState } from 'react';
import type { PracticeView } from '../../core/practice/index.ts';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import { useFetched } from '../shell/useFetched.ts';
import { Choose } from './Choose.tsx';
import { LayTheStack } from './LayTheStack.tsx';
import { StopTheRam } from './StopTheRam.tsx';
import { WalkANut } from './WalkANut.tsx';
import './practice.css';

/** Would I have seen it? Ten minutes a day on made-up work; nothing of it touches a job. */
export default function Practice({
  shop,
  people,
  who: firstWho,
}: {
  shop: string;
  people: { id: string; name: string }[];
  who: string;
}) {
  const [who, setWho] = useState(firstWho);
  const [round, setRound] = useState(0);
  const { value: view, failed } = useFetched<PracticeView>(
    who ? `/api/practice/${who}` : undefined,
    undefined,
    round,
  );
  return (
    <ShopPage
      shop={shop}
      note="Practice, made-up work"
      person={{ people, who, onWho: setWho }}
      title="Would I have seen it?"
      lines={
        view
          ? [
              `${view.today.done} of ${view.today.of} today`,
              view.due > 0 ? `${view.due} kinds due` : 'Nothing due: go on if you like',
            ]
          : []
      }
      main="station kit-main practice"
    >
      {failed && <TryAgain what="Not read" failed={failed} />}
      {view && (
        <OneExercise
          key={view.open.seed}
          view={view}
          who={who}
          onNext={() => setRound((n) => n + 1)}
        />
      )}
    </ShopPage>
  );
}

/** An exercise as its kind is done: something is chosen, laid, a pump is stopped, a nut is walked. */
function OneExercise(props: { view: PracticeView; who: string; onNext: () => void }) {
  const { picture, options } = props.view.set;
  if (picture.of === 'ram') return <StopTheRam {...props} picture={picture} />;
  if (picture.of === 'lay') return <LayTheStack {...props} picture={picture} />;
  if (picture.of === 'nut') return <WalkANut {...props} picture={picture} />;
  return options && <Choose {...props} options={options} />;
}
