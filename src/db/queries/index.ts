export * from './jobs';
export * from './readings';
