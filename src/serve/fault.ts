/** Why the server cannot start, in one sentence for the person who started it. */
export class StartFault extends Error {}
