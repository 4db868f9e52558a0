import { z } from 'zod';
import { checkProgram, type Day, type LayerProgram, type ProgramIssue, type Vat } from '@/core/print';
import { fail, ok, type Result } from '@/core/kit';
import { type JsonIssue, readJsonText } from '@/subjects/kit/shared';

/** What is wrong with a file of a run or of a day. */
export type RunFileIssue =
  | JsonIssue
  | ProgramIssue
  | { readonly code: 'vatTooFull'; readonly levelMl: number; readonly capacityMl: number }
  | { readonly code: 'belowFloor'; readonly levelMl: number; readonly floorMl: number };

export interface RunFile {
  readonly program: LayerProgram;
  readonly areasMm2: readonly number[];
  readonly vat: Vat;
}

const number = z.number();
const share = z.number().nonnegative();

const runShape = z.object({
  profile: z.object({
    layer_mm: number,
    exposure_s: number,
    bottomExposure_s: number,
    bottomLayers: z.int(),
    transitionLayers: z.int(),
    restBefore_s: number,
    restAfter_s: number,
    lift_mm: number,
    liftSpeed_mm_s: number,
    retractSpeed_mm_s: number,
  }),
  area_mm2: z.array(z.number().nonnegative()).min(1).max(200_000),
  vat: z.object({
    level_mL: share,
    capacity_mL: z.number().positive(),
    floor_mL: share,
    wetting_mL: share,
    supportShare: share,
    lossShare: share,
    startup_s: number,
  }),
});

const minutes = z.int();

const dayShape = z.object({
  presence_min: z.array(z.tuple([minutes, minutes])),
  stations: z.array(z.string()),
  jobs: z.array(
    z.object({
      id: z.string(),
      due_min: minutes,
      weight: z.number().nonnegative(),
      release_min: minutes,
      steps: z.array(
        z.object({
          id: z.string(),
          station: z.string().optional(),
          minutes,
          attendStart_min: minutes.optional(),
          attendEnd_min: minutes.optional(),
          attended: z.boolean().optional(),
          holds: z.boolean().optional(),
        }),
      ),
    }),
  ),
});

/** RUN.json: a profile, the areas of the layers and the vat. */
export function parseRunJson(text: string): Result<RunFile, RunFileIssue> {
  const read = readJsonText(runShape, text);
  if (!read.ok) return read;
  const { profile, area_mm2, vat } = read.value;
  const program = checkProgram({
    layerMm: profile.layer_mm,
    exposureS: profile.exposure_s,
    bottomExposureS: profile.bottomExposure_s,
    bottomLayers: profile.bottomLayers,
    transitionLayers: profile.transitionLayers,
    restBeforeS: profile.restBefore_s,
    restAfterS: profile.restAfter_s,
    moves: [
      { mm: profile.lift_mm, mm_s: profile.liftSpeed_mm_s },
      { mm: profile.lift_mm, mm_s: profile.retractSpeed_mm_s },
    ],
    startupS: vat.startup_s,
  });
  if (!program.ok) return program;
  const { level_mL: levelMl, capacity_mL: capacityMl, floor_mL: floorMl } = vat;
  if (levelMl > capacityMl) return fail({ code: 'vatTooFull', levelMl, capacityMl });
  if (capacityMl <= floorMl) return fail({ code: 'belowFloor', levelMl: capacityMl, floorMl });
  return ok({
    program: program.value,
    areasMm2: area_mm2,
    vat: {
      levelMl,
      capacityMl,
      floorMl,
      wettingMl: vat.wetting_mL,
      supportShare: vat.supportShare,
      lossShare: vat.lossShare,
    },
  });
}

/** DAY.json: when somebody is there, and the jobs with their steps over stations. */
export function parseDayJson(text: string): Result<Day, RunFileIssue> {
  const read = readJsonText(dayShape, text);
  if (!read.ok) return read;
  const { presence_min, jobs, stations } = read.value;
  for (const [i, { steps }] of jobs.entries())
    for (const [j, { station }] of steps.entries())
      if (station !== undefined && !stations.includes(station))
        return fail({
          code: 'badField',
          where: `jobs.${i}.steps.${j}.station`,
          what: `${station} is not a known station`,
        });
  const backwards = presence_min.findIndex(([from, to]) => to <= from);
  if (backwards >= 0)
    return fail({
      code: 'badField',
      where: `presence_min.${backwards}`,
      what: 'a time there ends before it begins',
    });
  return ok({
    presence: [...presence_min].sort(([a], [b]) => a - b),
    jobs: jobs.map(({ id, due_min, weight, release_min, steps }) => ({
      id,
      dueMin: due_min,
      weight,
      releaseMin: release_min,
      steps: steps.map(({ attendStart_min, attendEnd_min, ...step }) => ({
        ...step,
        attendStartMin: attendStart_min,
        attendEndMin: attendEnd_min,
      })),
    })),
  });
}
