import { benchDb } from '@/store';

// Brings the database to the current schema; a bench that cannot be opened is no server.
try {
  benchDb();
} catch (error) {
  console.error('The bench cannot be opened:', (error as Error).message);
  process.exit(1);
}
