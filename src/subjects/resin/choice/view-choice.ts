import {
  COST_FACTS,
  type CostFacts,
  type PrinterFacts,
  type Ranked,
  rankResins,
  type Requirement,
} from '@/core/resin';
import { type Db, queries } from '@/store';
import { readHouseRules } from '@/subjects/workshop/settings';
import { listVats, resinFile } from '@/subjects/resin/shelf';
import { requirementOf } from './requirement-of';

/** The printers a choice may be made for: a feature must hold on the finest of them, a vat counts in any. */
interface BenchFacts {
  readonly printer: PrinterFacts;
  readonly costs: CostFacts;
}

function factsOfBench(db: Db, printer: queries.Printer | undefined): BenchFacts {
  const vats = listVats(db);
  const { changeoverMl } = readHouseRules(db);
  return {
    printer: { pixelMm: printer?.pixelMm ?? undefined, lightNm: printer?.lightNm ?? undefined },
    costs: { ...COST_FACTS, changeoverMl, inVat: vats.flatMap(({ resin }) => resin ?? []) },
  };
}

export interface Choice {
  readonly requirement: Requirement;
  readonly ranked: readonly Ranked[];
  readonly shelf: readonly queries.ShelvedResin[];
}

/** The printer of a job's profile. */
export function printerOf(db: Db, { profileId }: queries.Job): queries.Printer | undefined {
  return profileId === null ? undefined : queries.findProfile(db, profileId)?.printer;
}

/** The whole shelf held against a job on a printer: on its own unless another is named. */
export function viewChoice(db: Db, job: queries.Job, printer = printerOf(db, job)): Choice {
  const shelf = queries.listShelf(db);
  const requirement = requirementOf(db, job);
  return {
    requirement,
    shelf,
    ranked: rankResins(shelf.map(resinFile), requirement, factsOfBench(db, printer)),
  };
}

/** The resin of a job against its requirements; undefined without one. */
export function verdictOfJob(db: Db, job: queries.Job): Ranked | undefined {
  if (job.profileId === null) return undefined;
  const row = queries.findProfile(db, job.profileId);
  const found = row && queries.findResin(db, row.resin.id);
  if (row === undefined || found === undefined) return undefined;
  return rankResins([resinFile(found)], requirementOf(db, job), factsOfBench(db, row.printer))[0];
}
