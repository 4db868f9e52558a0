export * from './activity';
export * from './jobs';

export * from './readings';

export * from './resins';
