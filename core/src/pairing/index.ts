/* Paired devices: what they say to each other, how it is sealed, and how they stay in step. */
export * from './carrier.ts';
export * from './code.ts';
export * from './messages.ts';
export * from './parcel.ts';
export * from './seal.ts';
