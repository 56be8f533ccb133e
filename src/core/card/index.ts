export * from './book.ts';
export * from './card.ts';
export * from './make.ts';
export * from './upcast.ts';
export * from './lines.ts';
