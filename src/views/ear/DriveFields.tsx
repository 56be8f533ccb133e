import { Field } from '../../ui/Field.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import type { EarSettings } from './earSettings.ts';

/** Speed, tyre and ratios of the drive that was recorded; the ring size where no part says what is in the bearing. */
export function DriveFields({
  ear: { texts, set, read },
  askRings,
}: {
  ear: EarSettings;
  askRings: boolean;
}) {
  return (
    <section className="grid gap-1">
      <QuantityInput
        compact
        label="Speed, from satellite or wheel signal"
        dimension="speed"
        text={texts.speed}
        onText={set.speed}
        hint="A speedometer reads high"
      />
      <div className="pair-in">
        <QuantityInput
          compact
          label="Then, if it changed"
          dimension="speed"
          text={texts.speedAfter}
          onText={set.speedAfter}
        />
        <Field
          compact
          label="at second"
          text={texts.at}
          onText={set.at}
          inputMode="decimal"
          unit="s"
        />
      </div>
      <div className="pair-in three">
        <Field compact label="Tyre" text={texts.tyre} onText={set.tyre} />
        <Field
          compact
          label="Axle ratio"
          text={texts.ratio}
          onText={set.ratio}
          inputMode="decimal"
        />
        <Field
          compact
          label="Pinion teeth"
          text={texts.pinion}
          onText={set.pinion}
          inputMode="numeric"
        />
      </div>
      {askRings && (
        <div className="pair-in">
          <QuantityInput
            compact
            label="Bearing bore"
            dimension="length"
            text={texts.bore}
            onText={set.bore}
            hint="From the old part or its box"
          />
          <QuantityInput
            compact
            label="Bearing outside"
            dimension="length"
            text={texts.outer}
            onText={set.outer}
          />
        </div>
      )}
      {!read.ok && texts.speed !== '' && (
        <p className="cap" role="alert">
          {read.reason}
        </p>
      )}
    </section>
  );
}
