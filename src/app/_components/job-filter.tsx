import { buttonLook, Link, PlainChoice, PlainField } from '@/ui';
import { NEXT } from './job-list';

/** Which jobs Today lists; blanks mean all. */
export interface JobFilterWords {
  readonly name: string;
  readonly step: string;
  readonly printer: string;
  readonly resin: string;
}

interface JobFilterProps {
  readonly chosen: JobFilterWords;
  readonly printers: readonly string[];
  readonly resins: readonly string[];
}

const all = (label: string, values: readonly string[]) => [
  { value: '', label },
  ...values.map((value) => ({ value, label: value })),
];

/** Narrows the list of jobs: a plain form, so that what is chosen stands in the address. */
export function JobFilter({ chosen, printers, resins }: JobFilterProps) {
  const isOn = Object.values(chosen).some((value) => value !== '');
  return (
    <form
      method="get"
      className="mt-3 grid items-end gap-3 sm:grid-cols-[1fr_1fr_1fr_1fr_auto]"
      aria-label="Filter"
    >
      <PlainField name="called" label="Name" defaultValue={chosen.name} />
      <PlainChoice
        name="step"
        label="Next step"
        defaultValue={chosen.step}
        choices={[
          { value: '', label: 'anything' },
          ...Object.entries(NEXT).map(([value, label]) => ({ value, label })),
        ]}
      />
      <PlainChoice
        name="printer"
        label="Printer"
        defaultValue={chosen.printer}
        choices={all('any', printers)}
      />
      <PlainChoice name="resin" label="Resin" defaultValue={chosen.resin} choices={all('any', resins)} />
      <span className="flex gap-2">
        <button type="submit" className={buttonLook('plain')}>
          Filter
        </button>
        {isOn && (
          <Link href="/" className={buttonLook('plain')}>
            All
          </Link>
        )}
      </span>
    </form>
  );
}
