// A thread does not inherit how its parent reads TypeScript: it is set here, then the sources run.
import { register } from 'tsx/esm/api';

register();
await import('./signature.thread.ts');
