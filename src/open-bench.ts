import { benchTrouble } from '@/subjects/house';
import { describeBenchTrouble, isMendedByRestore } from '@/subjects/house/shared';

// Brings the database to the current schema. What a restore can mend is served that far; anything else is no server.
const trouble = benchTrouble();
if (trouble !== undefined) {
  console.error(describeBenchTrouble(trouble));
  if (!isMendedByRestore(trouble)) process.exit(1);
  console.error('Only Restore is served until then.');
}
