import type { SheetProps } from '../shell/JobSheet.tsx';
import { PressStation } from './PressStation.tsx';

export default function PressIn(props: SheetProps) {
  return <PressStation {...props} station="press-in" />;
}
