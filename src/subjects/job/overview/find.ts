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
  const wanted = words
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  const fits = ({ label, detail }: Findable) => {
    const text = `${label} ${detail}`.toLowerCase();
    return wanted.every((word) => text.includes(word));
  };
  const named = [...listProfiles(db), ...listPrinters(db), ...listJobs(db)].filter(fits);
  // Features are many: the database looks through their names, and only for words.
  const features = wanted.length === 0 ? [] : queries.findFeatures(db, wanted, MOST_FOUND).map(featureLine);
  return [...named, ...features, ...[...listShelf(db), ...listInstruments(db)].filter(fits)].slice(
    0,
    MOST_FOUND,
  );
}

function listProfiles(db: Db): Findable[] {
  return queries.listProfiles(db).map(({ profile, printer, resin }) => ({
    label: `${resin.name} on ${printer.name}`,
    detail: `signature, ${profile.name}`,
    href: `/printers/${profile.id}`,
  }));
}

function listPrinters(db: Db): Findable[] {
  return db
    .select()
    .from(tables.printers)
    .all()
    .map(({ id, name }) => ({ label: name, detail: 'printer', href: `/printers/machine/${id}` }));
}

/** Jobs, archived ones after the open ones. */
function listJobs(db: Db): Findable[] {
  return queries.nameJobs(db).map(({ id, name, kind, isArchived }) => ({
    label: name,
    detail: isArchived ? `${kind}, archived` : kind,
    href: `/jobs/${id}/story`,
  }));
}

function featureLine({ name, jobId, job }: { name: string; jobId: number; job: string }): Findable {
  return { label: name, detail: `feature of ${job}`, href: `/jobs/${jobId}/measure` };
}

function listShelf(db: Db): Findable[] {
  return queries.listResinNames(db).map(({ id, name, recipe }) => ({
    label: name,
    detail: recipe === null ? 'resin' : 'blend',
    href: `/shelf/${id}`,
  }));
}

function listInstruments(db: Db): Findable[] {
  return db
    .select()
    .from(tables.instruments)
    .all()
    .map(({ name }) => ({ label: name, detail: 'instrument', href: '/printers' }));
}
