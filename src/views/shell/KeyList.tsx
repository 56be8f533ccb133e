import { Dialog } from '../../ui/Panels.tsx';

/** What the single keys do, and the switch that turns them off. */
export function KeyList({
  inJob,
  off,
  onOff,
  onClose,
}: {
  inJob: boolean;
  off: boolean;
  onOff: (off: boolean) => void;
  onClose: () => void;
}) {
  return (
    <Dialog title="Keys" onClose={onClose}>
      <table className="rows">
        <tbody>
          {[
            ...(inJob ? [['← →', 'walk the centre line']] : []),
            ['F', 'to the floor'],
            ['S', 'to Scratch: reckon something'],
            ['L', 'to the Library: look something up'],
            ['Enter or Space', 'the main action, when nothing else has focus'],
            ['?', 'this list'],
          ].map(([k, what]) => (
            <tr key={k}>
              <th className="num">{k}</th>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <label className="opt">
        <span>
          <input type="checkbox" checked={off} onChange={(e) => onOff(e.target.checked)} /> Switch
          single keys off
        </span>
      </label>
    </Dialog>
  );
}
