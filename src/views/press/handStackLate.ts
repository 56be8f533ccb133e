import { late } from '../../ui/late.tsx';

/** What drags pieces comes with the first stack that is laid by hand. */
export const HandStack = late(
  async () => (await import('./HandStack.tsx')).HandStack,
  // Until it is there the stack is drawn without it.
  ({ children }) => children,
);
export const DropPlaces = late(async () => (await import('./HandStack.tsx')).DropPlaces);
