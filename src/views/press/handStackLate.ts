import { lazy } from 'react';

/** What drags pieces comes with the first stack that is laid by hand. */
export const HandStack = lazy(async () => ({
  default: (await import('./HandStack.tsx')).HandStack,
}));
export const DropPlaces = lazy(async () => ({
  default: (await import('./HandStack.tsx')).DropPlaces,
}));
