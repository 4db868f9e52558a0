import {
  COST_FACTS,
  type CostFacts,
  type PrinterFacts,
  type Ranked,
  rankResins,
  type Requirement,
} from '@/core/resins';
import { type Db, queries } from '@/store';
import { readHouseRules } from '@/subjects/house';
import { listVats, resinFile } from '@/subjects/resin';
import { requirementOf } from './requirement-of';

/** The printers a choice may be made for: a feature must hold on the finest of them, a vat counts in any. */
interface BenchFacts {
  readonly printer: PrinterFacts;
  readonly costs: CostFacts;
}

function factsOfBench(db: Db, pixelMm: number | undefined): BenchFacts {
  const vats = listVats(db);
  const { changeoverMl } = readHouseRules(db);
  return {
    printer: { pixelMm },
    costs: { ...COST_FACTS, changeoverMl, inVat: vats.flatMap(({ resin }) => resin ?? []) },
  };
}

export interface Choice {
  readonly requirement: Requirement;
  readonly ranked: readonly Ranked[];
  readonly shelf: readonly queries.ShelvedResin[];
}

/** The whole shelf held against a job; `pixelMm` is that of its printer. */
export function viewChoice(db: Db, job: queries.Job, pixelMm?: number): Choice {
  const shelf = queries.listShelf(db);
  const requirement = requirementOf(db, job);
  return {
    requirement,
    shelf,
    ranked: rankResins(shelf.map(resinFile), requirement, factsOfBench(db, pixelMm)),
  };
}

/** How the resin of a job stands against what is asked; undefined without one. */
export function verdictOfJob(db: Db, job: queries.Job): Ranked | undefined {
  if (job.profileId === null) return undefined;
  const row = queries.findProfile(db, job.profileId);
  const found = row && queries.findResin(db, row.resin.id);
  if (row === undefined || found === undefined) return undefined;
  const { printer, costs } = factsOfBench(db, row.printer.pixelMm ?? undefined);
  return rankResins([resinFile(found)], requirementOf(db, job), { printer, costs })[0];
}
