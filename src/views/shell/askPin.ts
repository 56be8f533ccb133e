/** Who is asked for a PIN in the middle of a request, and how the answer comes back. */
export interface PinAsked {
  personId: string;
  name: string;
  /** Nothing where it was not given. */
  answer: (pin: string | undefined) => void;
}

let ask: ((asked: PinAsked) => void) | undefined;

/** The dialog that stands ready on a page; gives what takes it away. */
export function onPinAsked(show: (asked: PinAsked) => void): () => void {
  ask = show;
  return () => {
    if (ask === show) ask = undefined;
  };
}

/** Asks on this page; nothing where no dialog is there. */
export const askPin = (personId: string, name: string): Promise<string | undefined> =>
  new Promise((answer) => {
    if (ask) ask({ personId, name, answer });
    else answer(undefined);
  });
