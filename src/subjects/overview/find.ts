import { type Db, queries, tables } from '@/store';

interface Findable {
  readonly label: string;
  readonly detail: string;
  readonly href: string;
}

/** Lines that are shown at once. */
const MOST_FOUND = 12;

/** What bears all of the words, in its name or in what it is; the first there is for none. */
export function findByWords(db: Db, words: string): Findable[] {
  const wanted = words.toLowerCase().split(/\s+/);
  return listFindables(db)
    .filter(({ label, detail }) => {
      const text = `${label} ${detail}`.toLowerCase();
      return wanted.every((word) => text.includes(word));
    })
    .slice(0, MOST_FOUND);
}

/** Everything that can be found by name: jobs (archived too), features, printers, resins, instruments. */
export function listFindables(db: Db): Findable[] {
  const jobs = [...queries.listJobs(db), ...queries.listJobs(db, { archived: true })];
  const ofJobs = jobs.flatMap(({ job }) => [
    {
      label: job.name,
      detail: job.archivedAt === null ? job.kind : `${job.kind}, archived`,
      href: `/jobs/${job.id}/story`,
    },
    ...queries.listFeatures(db, job.id).map((feature) => ({
      label: feature.name,
      detail: `feature of ${job.name}`,
      href: `/jobs/${job.id}/measure`,
    })),
  ]);
  const profiles = queries.listProfiles(db).map(({ profile, printer, resin }) => ({
    label: `${resin.name} on ${printer.name}`,
    detail: `signature, ${profile.name}`,
    href: `/printers/${profile.id}`,
  }));
  const printers = db
    .select()
    .from(tables.printers)
    .all()
    .map(({ id, name }) => ({ label: name, detail: 'printer', href: `/printers/machine/${id}` }));
  const shelf = queries.listResinNames(db).map(({ id, name, recipe }) => ({
    label: name,
    detail: recipe === null ? 'resin' : 'blend',
    href: `/shelf/${id}`,
  }));
  const instruments = db
    .select()
    .from(tables.instruments)
    .all()
    .map(({ name }) => ({ label: name, detail: 'instrument', href: '/printers' }));
  return [...profiles, ...printers, ...ofJobs, ...shelf, ...instruments];
}
