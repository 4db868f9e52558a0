import { DEFAULT_PRACTICES, type Practices } from '@/core/workshop';
import { eq } from 'drizzle-orm';
import { CHECK_RULES, type CheckRules } from '@/core/part/findings';
import { FIT_CLASSES_AT_10MM, type FitClasses } from '@/core/fit/mating';
import type { CauseEdits } from '@/core/log';
import type { DecisionRule } from '@/core/measure';
import { type WashLiquid } from '@/core/resin';
import { DEFAULT_SHARES, type ShareTable } from '@/core/signature';
import { type Db, tables } from '@/store';
import { HOUSE_MAINTENANCE, type HouseMaintenance } from './input-maintenance-rules';
import { RUN_DEFAULTS, type RunRules } from './input-run-rules';

/** Settings of this workshop. */
export interface HouseRules {
  readonly benchName: string;
  /** Single letters as keys; off for people who type with aids that send letters. */
  readonly letterKeys: boolean;
  /** By which rule a size is in; a job may have its own. */
  readonly decisionRule: DecisionRule;
  /** Clearance of each fit at 10 mm. */
  readonly fitClasses: FitClasses;
  /** The side this shop is on where practice differs. */
  readonly schools: Practices;
  /** Wash liquids at hand; none named: any can be had. */
  readonly liquids: readonly WashLiquid[];
  /** Temperature of the room in which it is printed, °C; null when it is not asked for. */
  readonly roomC: number | null;
  /** Days after which a caliper is to be checked on a known piece again; null: no reminder. */
  readonly caliperDays: number | null;
  /** Resin that changing a vat over loses, ml. */
  readonly changeoverMl: number;
  /** What two profiles have in common: by printer, by resin, by both. */
  readonly shares: ShareTable;
  /** What a part is held to before it is printed. */
  readonly check: CheckRules;
  /** When somebody is there, what hours and resin cost, how close pieces may lie. */
  readonly run: RunRules;
  /** After how much of what a printer is cared for. */
  readonly care: HouseMaintenance;
  /** Where this workshop uses other chances for failures than the defaults. */
  readonly causes: CauseEdits;
}

export const HOUSE_DEFAULTS: HouseRules = Object.freeze({
  benchName: 'My workshop',
  letterKeys: true,
  decisionRule: 'guarded',
  fitClasses: FIT_CLASSES_AT_10MM,
  schools: DEFAULT_PRACTICES,
  liquids: [],
  roomC: null,
  caliperDays: 90,
  changeoverMl: 30,
  shares: DEFAULT_SHARES,
  check: CHECK_RULES,
  run: RUN_DEFAULTS,
  care: HOUSE_MAINTENANCE,
  causes: {},
});

export const NAME = 'house';

export function readHouseRules(db: Db): HouseRules {
  const row = db.select().from(tables.settings).where(eq(tables.settings.name, NAME)).get();
  const kept = row?.value as Partial<HouseRules> | undefined;
  return {
    ...HOUSE_DEFAULTS,
    ...kept,
    shares: { ...HOUSE_DEFAULTS.shares, ...kept?.shares },
    check: { ...HOUSE_DEFAULTS.check, ...kept?.check },
    run: { ...HOUSE_DEFAULTS.run, ...kept?.run },
    care: { ...HOUSE_DEFAULTS.care, ...kept?.care },
    schools: { ...HOUSE_DEFAULTS.schools, ...kept?.schools },
  };
}
