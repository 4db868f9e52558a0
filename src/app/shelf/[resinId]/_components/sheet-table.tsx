import {
  type Evidence,
  PROPERTIES,
  PROPERTY_IDS,
  type PropertyFacts,
  type PropertyId,
  type Quote,
  type ResinSheet,
} from '@/core/resin';
import {
  describeCondition,
  describeProperty,
  describeQuote,
  describeSource,
} from '@/subjects/resin/shelf/shared';
import { RemoveQuote } from './remove-quote';

const GROUPS: Readonly<Record<PropertyFacts['group'], string>> = {
  mechanical: 'Mechanical',
  heat: 'Heat',
  liquid: 'Liquid',
  process: 'Printing and curing',
  bench: 'In this shop',
};

interface SheetTableProps {
  readonly resinId: number;
  readonly sheet: ResinSheet;
  readonly evidence: Evidence;
}

/** Every datasheet value with its state, source and day; test results stand beside it and are used first. */
export function SheetTable({ resinId, sheet, evidence }: SheetTableProps) {
  const groups = Object.keys(GROUPS) as PropertyFacts['group'][];
  return (
    <div className="relative overflow-x-auto">
      <table className="w-full min-w-[34rem] border-collapse">
        <caption className="sr-only">Datasheet and test values</caption>
        <thead>
          <tr className="border-b border-ink text-left text-sm text-soft">
            <th scope="col" className="py-1 pr-3 font-normal">
              Property
            </th>
            <th scope="col" className="py-1 pr-3 font-normal">
              Datasheet
            </th>
            <th scope="col" className="py-1 pr-3 font-normal">
              Source
            </th>
            <th scope="col" className="py-1 pr-3 font-normal">
              Tested here
            </th>
            <th scope="col" className="py-1 font-normal">
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        {groups.map((group) => (
          <GroupRows key={group} group={group} resinId={resinId} sheet={sheet} evidence={evidence} />
        ))}
      </table>
    </div>
  );
}

function provenOf(evidence: Evidence, property: PropertyId): string | undefined {
  if (property === 'deflectionLow_C') {
    const heats = evidence.provenHeats.map(
      ({ quote, stressMPa }) => `${describeQuote(quote)} at ${stressMPa.toFixed(2)} MPa`,
    );
    return heats.length === 0 ? undefined : heats.join('; ');
  }
  const known = evidence.of(property);
  return known?.quote.source === 'proof' ? describeQuote(known.quote) : undefined;
}

/** A name within a sentence. */
const inside = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);

interface Row {
  readonly property: PropertyId;
  /** Undefined if only a test gives it. */
  readonly stated?: { readonly quote: Quote; readonly index: number };
  readonly proven?: string;
}

function rowsOf(property: PropertyId, sheet: ResinSheet, evidence: Evidence): Row[] {
  const proven = provenOf(evidence, property);
  const stated = sheet.quotes.flatMap((quote, index) =>
    quote.property === property ? { quote, index } : [],
  );
  if (stated.length === 0) return proven === undefined ? [] : [{ property, proven }];
  return stated.map((each, i) => ({ property, stated: each, proven: i === 0 ? proven : undefined }));
}

function originOf({ source, on, condition, standard, testMPa, atC, typed }: Quote): string {
  return [
    describeSource(source),
    on,
    condition === 'cured' ? undefined : describeCondition(condition),
    standard,
    testMPa === undefined ? undefined : `${testMPa} MPa`,
    atC === undefined ? undefined : `at ${atC} °C`,
    typed === undefined ? undefined : `entered as ${typed}`,
  ]
    .filter((part) => part !== undefined)
    .join(', ');
}

function GroupRows({ group, resinId, sheet, evidence }: SheetTableProps & { group: PropertyFacts['group'] }) {
  const ids = PROPERTY_IDS.filter((id) => PROPERTIES[id].group === group);
  const rows = ids.flatMap((property) => rowsOf(property, sheet, evidence));
  const unknown = ids.filter((id) => !rows.some(({ property }) => property === id));
  return (
    <tbody>
      <tr>
        <th colSpan={5} scope="rowgroup" className="pt-3 pb-0.5 text-left font-semibold">
          {GROUPS[group]}
        </th>
      </tr>
      {rows.map(({ property, stated, proven }) => (
        <tr key={`${property}-${stated?.index ?? ''}`} className="border-b border-hair align-baseline">
          <th scope="row" className="py-1 pr-3 text-left font-normal">
            {describeProperty(property)}
          </th>
          <td className="py-1 pr-3">
            {stated === undefined ? (
              <span className="text-soft">not stated</span>
            ) : (
              <span className="num">{describeQuote(stated.quote)}</span>
            )}
          </td>
          <td className="py-1 pr-3 text-sm text-soft">{stated && originOf(stated.quote)}</td>
          <td className="num py-1 pr-3 text-juniper">{proven}</td>
          <td className="py-1 text-right">
            {stated !== undefined && (
              <RemoveQuote resinId={resinId} index={stated.index} name={describeProperty(property)} />
            )}
          </td>
        </tr>
      ))}
      {unknown.length > 0 && (
        <tr>
          <td colSpan={5} className="py-1 text-sm text-soft">
            Unknown: {unknown.map((id) => inside(describeProperty(id))).join('; ')}.
          </td>
        </tr>
      )}
    </tbody>
  );
}
