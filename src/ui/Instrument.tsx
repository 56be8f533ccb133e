import type { Instrument } from '../core/fits/index.ts';
import { type Dimension } from '../core/units/index.ts';
import { firstThat } from './firstThat.ts';
import { QuantityInput } from './QuantityInput.tsx';
import { useDraft } from './useDraft.ts';
import { readTyped } from './units.ts';

/** What the readings are taken with; its doubt stands beside its name. */
export function InstrumentPicker({
  instruments,
  id,
  onId,
}: {
  instruments: readonly Instrument[];
  id: string;
  onId: (id: string) => void;
}) {
  return (
    <label className="field">
      <span>Read with</span>
      <select className="pick" value={id} onChange={(e) => onId(e.target.value)}>
        {instruments
          .filter((i) => !i.retired || i.id === id)
          .map((i) => (
            <option key={i.id} value={i.id}>
              {i.name} ± {i.doubtMm} mm
            </option>
          ))}
      </select>
    </label>
  );
}

export interface TakenAt {
  zero: { text: string; onText: (text: string) => void };
  temperature: { text: string; onText: (text: string) => void };
  /** What was typed, as it is recorded; nothing for a field left empty. */
  taken: { zeroMm?: number; partC?: number };
  /** What is wrong with one of the two. */
  fault: string | undefined;
}

const typed = (text: string, dimension: Dimension) =>
  text.trim() === '' ? undefined : readTyped(text, dimension);

/** Zero of the instrument and temperature of the part, half-typed until they are recorded. */
export function useTakenAt(key: string): TakenAt {
  const [zeroText, setZero] = useDraft(`${key}:zero`);
  const [tempText, setTemp] = useDraft(`${key}:temp`);
  const zero = typed(zeroText, 'length');
  const temp = typed(tempText, 'temperature');
  return {
    zero: { text: zeroText, onText: setZero },
    temperature: { text: tempText, onText: setTemp },
    taken: {
      ...(zero?.ok ? { zeroMm: zero.value } : {}),
      ...(temp?.ok ? { partC: temp.value } : {}),
    },
    fault: firstThat(
      [zero && !zero.ok, zero && !zero.ok ? `Zero: ${zero.reason}` : undefined],
      [temp && !temp.ok, temp && !temp.ok ? `Temperature: ${temp.reason}` : undefined],
    ),
  };
}

/** The two fields of it. */
export function TakenAtFields({ at, words }: { at: TakenAt; words: readonly [string, string] }) {
  return (
    <>
      <QuantityInput compact label={words[0]} dimension="length" decimals={3} {...at.zero} />
      <QuantityInput
        compact
        label={words[1]}
        dimension="temperature"
        decimals={0}
        {...at.temperature}
      />
    </>
  );
}
