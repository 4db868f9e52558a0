export * from './activity';
export * from './jobs';

export * from './profiles';

export * from './readings';

export * from './resins';

export * from './steps';

export * from './log';

export * from './strips';

export * from './runs';
