// A thread does not take over how its parent reads TypeScript: it is told here, then runs the sources.
import { register } from 'tsx/esm/api';

register();
await import('./signature.thread.ts');
