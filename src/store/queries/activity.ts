import { sql } from 'drizzle-orm';
import type { Db } from '../client';

interface Activity {
  readonly jobId: number;
  readonly profileId: number | null;
  /** Another one as soon as anything of the job changed that its glance is made of. */
  readonly key: string;
  /** When something was last done in it. */
  readonly lastAt: Date;
}

/**
 * Returns a text that changes with anything that the overviews of all jobs depend on: resins, printers, shop practice.
 */
export function keyOfBench(db: Db): string {
  const { key } = db.get<{ key: string }>(sql`
    select json_array(
      (select json_group_array(json_array(id, name, sheet, recipe)) from resins),
      (select json_group_array(json_array(resin_id, test, removed_at)) from proofs),
      (select json_group_array(json_array(id, name, pixel_mm, light_nm)) from printers),
      (select json_array(max(id), count(retracted_at)) from check_readings),
      (select value from settings where name = 'house')) as key`);
  return key;
}

/** When something was last done in each open job, and a key of all that was done there. */
export function listActivity(db: Db): Activity[] {
  const rows = db.all<{ jobId: number; profileId: number | null; lastAt: number; key: string }>(sql`
    with
      printed as (
        select attempts.job_id as job_id, prints.id as id, prints.made_at as made_at, prints.broken_note as note
        from prints join attempts on prints.attempt_id = attempts.id),
      read as (
        select sessions.job_id as job_id, max(readings.id) as id, max(readings.taken_at) as at,
          count(*) - count(retractions.reading_id) as standing
        from readings join sessions on readings.session_id = sessions.id
          left join retractions on retractions.reading_id = readings.id
        group by sessions.job_id),
      tried as (
        select printed.job_id as job_id, max(tries.id) as id, max(tries.taken_at) as at
        from tries join printed on tries.print_id = printed.id group by printed.job_id),
      felt as (
        select printed.job_id as job_id, max(joint_outcomes.id) as id, max(joint_outcomes.taken_at) as at
        from joint_outcomes join printed on joint_outcomes.print_id = printed.id group by printed.job_id),
      rung as (
        select printed.job_id as job_id, max(rungs.id) as id, max(rungs.taken_at) as at
        from rungs join printed on rungs.print_id = printed.id group by printed.job_id),
      stepped as (
        select printed.job_id as job_id, max(print_steps.id) as id, count(print_steps.ended_at) as ended,
          count(print_steps.retracted_at) as retracted
        from print_steps join printed on print_steps.print_id = printed.id group by printed.job_id),
      made as (select job_id, max(id) as id, max(made_at) as at from printed group by job_id),
      drawn as (select job_id, max(id) as id, max(created_at) as at from attempts group by job_id),
      noted as (select job_id, max(id) as id, max(at) as at from ledger_lines group by job_id),
      judged as (select job_id, max(id) as id from finding_verdicts group by job_id),
      looked as (select job_id, max(id) as id from checks group by job_id),
      answered as (select job_id, max(id) as id from acceptance_answers group by job_id)
    select jobs.id as jobId, jobs.profile_id as profileId,
      max(jobs.created_at, ifnull(read.at, 0), ifnull(tried.at, 0), ifnull(felt.at, 0), ifnull(rung.at, 0),
        ifnull(made.at, 0), ifnull(drawn.at, 0), ifnull(noted.at, 0)) as lastAt,
      json_array(jobs.revision, jobs.profile_id, jobs.overtaken_attempt_id, jobs.resin_chosen_id, jobs.stance,
        jobs.mesh_hash, jobs.name, read.id, read.standing, tried.id, felt.id, rung.id, made.id, drawn.id, noted.id,
        judged.id, looked.id, answered.id, stepped.id,
        stepped.ended, stepped.retracted) as key
    from jobs
      left join read on read.job_id = jobs.id
      left join tried on tried.job_id = jobs.id
      left join felt on felt.job_id = jobs.id
      left join rung on rung.job_id = jobs.id
      left join made on made.job_id = jobs.id
      left join drawn on drawn.job_id = jobs.id
      left join noted on noted.job_id = jobs.id
      left join judged on judged.job_id = jobs.id
      left join looked on looked.job_id = jobs.id
      left join answered on answered.job_id = jobs.id
      left join stepped on stepped.job_id = jobs.id
    where jobs.archived_at is null
    order by jobs.id`);
  return rows.map((row) => ({ ...row, lastAt: new Date(row.lastAt) }));
}
