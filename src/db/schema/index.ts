export * from './attempts';
export * from './equipment';
export * from './jobs';
export * from './readings';
export * from './records';
