export * from './corner-known.ts';
export * from './identification.ts';
