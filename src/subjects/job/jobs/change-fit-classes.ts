import type { FitClasses } from '@/core/fit/mating';
import type { Db } from '@/store';
import { readHouseRules, writeHouseRules } from '@/subjects/workshop/settings';
import { keepAgreedClasses } from './refit-job';

/** Changes what each fit means in this workshop; jobs agreed before keep their fit classes. */
export function changeFitClasses(db: Db, fitClasses: FitClasses): void {
  db.transaction((tx) => {
    keepAgreedClasses(tx, readHouseRules(tx).fitClasses);
    writeHouseRules(tx, { fitClasses });
  });
}
