export * from './attempts';

export * from './checks';

export * from './equipment';

export * from './jobs';

export * from './joints';

export * from './log';

export * from './readings';

export * from './records';

export * from './resins';

export * from './runs';
