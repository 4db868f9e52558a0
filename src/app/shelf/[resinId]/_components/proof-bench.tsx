'use client';

import { type InputHTMLAttributes, useState } from 'react';
import { BATHS, BENDS, type BendTest, PROOF_KINDS, type ProofKind, SAG_STRAIN } from '@/core/resins';
import { describeBend, describeProofKind, PROOF_ROWS } from '@/subjects/resin/shared';
import { ActionForm, Button, Caution, Choice, Link, Tabs, TextField } from '@/ui';
import { bendOnStandIn, saveProof } from '../../actions';

interface FieldProps extends InputHTMLAttributes<HTMLInputElement> {
  readonly name: string;
  readonly label: string;
  readonly unit?: string;
  readonly hint?: string;
}

/** A field of a proof; ids of their own, since the page holds other forms. */
function Field({ name, ...rest }: FieldProps) {
  return <TextField name={name} id={`proof-${name}`} inputMode="decimal" {...rest} />;
}

function Held({ value = 'threePoint' }: { value?: string }) {
  return (
    <div className="sm:col-span-2">
      <Choice
        name="bend"
        id="proof-bend"
        label="The bar is held"
        defaultValue={value}
        choices={BENDS.map((bend) => ({ value: bend, label: describeBend(bend) }))}
      />
    </div>
  );
}

interface RowsProps {
  readonly first: { readonly name: string; readonly label: string };
  readonly second: { readonly name: string; readonly label: string };
  readonly values?: readonly (readonly [number, number])[];
}

/** Two columns of readings, as many rows as a proof has room for. */
function Rows({ first, second, values = [] }: RowsProps) {
  const cell = ({ name, label }: RowsProps['first'], row: number, value: number | undefined) => (
    <td className="py-0.5 pr-2">
      <input
        name={`${name}_${row}`}
        aria-label={`${label}, row ${row + 1}`}
        inputMode="decimal"
        autoComplete="off"
        defaultValue={value ?? ''}
        className="num w-28 rounded-[4px] border border-edge bg-sheet px-2 py-1"
      />
    </td>
  );
  return (
    <table className="justify-self-start sm:col-span-4">
      <thead>
        <tr className="text-left text-sm text-soft">
          <th scope="col" className="font-normal">
            {first.label}
          </th>
          <th scope="col" className="font-normal">
            {second.label}
          </th>
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: PROOF_ROWS }, (_, row) => (
          <tr key={row}>
            {cell(first, row, values[row]?.[0])}
            {cell(second, row, values[row]?.[1])}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function BendFields({ resinId }: { resinId: number }) {
  const [filled, setFilled] = useState<{ test: BendTest; turn: number } | undefined>();
  const [said, setSaid] = useState('');
  const fill = async () => {
    const turn = (filled?.turn ?? 0) + 1;
    const test = await bendOnStandIn(resinId, turn);
    if (test === undefined) setSaid('No simulated printer stands on this bench: load a real bar.');
    else setFilled({ test, turn });
  };
  const test = filled?.test;
  return (
    <>
      <p className="flex flex-wrap items-center gap-3 text-sm text-soft sm:col-span-4">
        <span>
          Print the bars as a{' '}
          <Link href="/gauges?choice=bar" className="underline">
            gauge
          </Link>
          , wash and cure them as usual, and read within half a minute of each weight.
        </span>
        <Button onClick={() => void fill()}>Let the simulated bench load it</Button>
        <span role="status">{said}</span>
      </p>
      {/* Filled anew, the fields take their new start values. */}
      <div key={filled?.turn ?? 0} className="contents">
        <Held />
        <Field name="spanMm" label="Span, or free length" unit="mm" defaultValue={test?.spanMm ?? ''} />
        <Field name="caliperMm" label="Caliper may be off by" unit="mm" placeholder="0.02" />
        <div className="sm:col-span-2">
          <Field
            name="widthsMm"
            label="Widths along it"
            unit="mm"
            placeholder="10.02 10.01 10.03"
            defaultValue={test?.widthsMm.join(' ')}
          />
        </div>
        <div className="sm:col-span-2">
          <Field
            name="thicknessesMm"
            label="Thicknesses along it"
            unit="mm"
            placeholder="4.01 4.00 4.02"
            defaultValue={test?.thicknessesMm.join(' ')}
          />
        </div>
        <Rows
          first={{ name: 'massG', label: 'weight, g' }}
          second={{ name: 'readingMm', label: 'reading, mm' }}
          values={test?.steps.map(({ massG, readingMm }) => [massG, readingMm] as const)}
        />
      </div>
    </>
  );
}

function BarFields() {
  return (
    <>
      <Held />
      <Field name="spanMm" label="Span, or free length" unit="mm" />
      <Field name="widthMm" label="Width" unit="mm" />
      <Field name="thicknessMm" label="Thickness" unit="mm" />
    </>
  );
}

function BreakFields() {
  return (
    <>
      <BarFields />
      <Field name="caliperMm" label="Caliper may be off by" unit="mm" placeholder="0.02" />
      <div className="sm:col-span-2">
        <Field name="deflectionsMm" label="Bent by, one number a bar" unit="mm" placeholder="6.2 5.8" />
      </div>
      <label className="flex items-center gap-2 self-end pb-2 sm:col-span-2">
        <input type="checkbox" name="broke" defaultChecked className="size-4" />
        it broke there (untick when bending ended first)
      </label>
      <div className="sm:col-span-4">
        <Caution>
          Brittle bars break into flying splinters: eyes covered, hands behind a cloth, bend slowly, nobody
          beside you.
        </Caution>
      </div>
    </>
  );
}

function SagFields() {
  return (
    <>
      <BarFields />
      <Field name="massG" label="Weight hung on it" unit="g" />
      <Choice
        name="bath"
        id="proof-bath"
        label="Heated in"
        choices={BATHS.map((bath) => ({
          value: bath,
          label: bath === 'water' ? 'water, to 95 °C' : 'an oven, in air',
        }))}
      />
      <Field name="thermometerK" label="Thermometer may be off by" unit="K" defaultValue="1" />
      <Rows
        first={{ name: 'tempC', label: 'temperature, °C' }}
        second={{ name: 'readingMm', label: 'reading, mm' }}
      />
      <div className="space-y-2 sm:col-span-4">
        <p className="text-sm text-soft">
          Five minutes a step; the first row is the cold start. It counts as giving way once the sag has grown
          by that of {SAG_STRAIN * 100} % strain. It is a bending test of a bar, not a safety rating of a
          part.
        </p>
        <Caution>
          Kettle: steam and spilled water scald, and hot bars bend in the fingers; use tongs. Oven: never one
          used for food, resin fumes need air, and stay with it. Neither proves a part that holds pressure,
          mains or a person.
        </Caution>
      </div>
    </>
  );
}

function DropFields() {
  return (
    <>
      <div className="sm:col-span-2">
        <Field name="wholeM" label="Whole after falls from" unit="m" placeholder="1 1 1 1 1" />
      </div>
      <div className="sm:col-span-2">
        <Field name="brokenM" label="Broken after falls from" unit="m" placeholder="1.8" />
      </div>
      <p className="text-sm text-soft sm:col-span-4">
        One height a fall, of a spare part or a bar on a hard floor, in several ways of landing. Five whole
        falls show little more than an even chance with certainty; eyes covered.
      </p>
    </>
  );
}

function YellowingFields() {
  return (
    <>
      <Field name="accepted" label="Shade still accepted, 0 to 5" defaultValue="1" />
      <Rows
        first={{ name: 'minutes', label: 'cured, min' }}
        second={{ name: 'shade', label: 'shade, 0 to 5' }}
      />
      <p className="text-sm text-soft sm:col-span-4">
        Offcuts cured for different times, laid on a white card by daylight: 0 like the card, 5 amber. The
        lamp harms eyes: lid closed.
      </p>
    </>
  );
}

function CreepFields() {
  return (
    <>
      <div className="sm:col-span-2">
        <Field
          name="under"
          label="What it bears meanwhile"
          inputMode="text"
          placeholder="its own weight on a sunny sill"
        />
      </div>
      <Field name="firstMm" label="Reading now" unit="mm" />
      <Field name="weeks" label="Read again after, weeks" defaultValue="6" />
      <Field name="caliperMm" label="Caliper may be off by" unit="mm" placeholder="0.02" />
      <p className="text-sm text-soft sm:col-span-4">Today will remind of the second reading.</p>
    </>
  );
}

function fieldsOf(kind: ProofKind, resinId: number) {
  switch (kind) {
    case 'bend':
      return <BendFields resinId={resinId} />;
    case 'break':
      return <BreakFields />;
    case 'sag':
      return <SagFields />;
    case 'drop':
      return <DropFields />;
    case 'yellowing':
      return <YellowingFields />;
    case 'creep':
      return <CreepFields />;
  }
}

/** The bench proofs, one form a kind; what it shows is told as soon as it is kept. */
export function ProofBench({ resinId, today }: { resinId: number; today: string }) {
  const tabs = PROOF_KINDS.map((kind) => {
    const { title, shows } = describeProofKind(kind);
    return {
      id: kind,
      label: title,
      content: (
        <ActionForm
          action={saveProof.bind(null, resinId)}
          label={title}
          className="grid items-end gap-3 sm:grid-cols-4"
        >
          <p className="sm:col-span-4">Shows {shows}.</p>
          <input type="hidden" name="kind" value={kind} />
          {fieldsOf(kind, resinId)}
          <Field name="on" label="Done on" type="date" defaultValue={today} />
          <div className="sm:col-span-2">
            <Field name="note" label="How it was printed and cured" inputMode="text" />
          </div>
          <Button type="submit" weight="main">
            Keep this proof
          </Button>
        </ActionForm>
      ),
    };
  });
  return <Tabs label="Kinds of proof" tabs={tabs} />;
}
