export * from './causes.data.ts';
export * from './geometry.ts';
export * from './looks.data.ts';
export * from './mark.ts';
export * from './weigh.ts';
