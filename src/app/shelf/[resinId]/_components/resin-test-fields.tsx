'use client';

import { useState } from 'react';
import { BATHS, BENDS, type BendTest, type ResinTestKind, SAG_STRAIN } from '@/core/resin';
import { describeBend, RESIN_TEST_COLUMNS } from '@/subjects/resin/shelf/shared';
import { Button, Caution, Choice, Link, TextField, Tick } from '@/ui';
import { bendOnSimulated } from '../../actions';
import { ResinTestRows } from './resin-test-rows';

function Held({ value = 'threePoint' }: { value?: string }) {
  return (
    <div className="sm:col-span-2">
      <Choice
        name="bend"
        defaultValue={value}
        choices={BENDS.map((bend) => ({ value: bend, label: describeBend(bend) }))}
      />
    </div>
  );
}

function BendFields({ resinId }: { resinId: number }) {
  const [filled, setFilled] = useState<{ test: BendTest; turn: number } | undefined>();
  const [said, setSaid] = useState('');
  const fill = async () => {
    const turn = (filled?.turn ?? 0) + 1;
    const test = await bendOnSimulated(resinId, turn);
    if (test === undefined) setSaid('No simulated printer in this workshop. Test a real bar.');
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
          , wash and cure them as usual, and read each weight within half a minute.
        </span>
        <Button onClick={() => void fill()}>Run simulated test</Button>
        <span role="status">{said}</span>
      </p>
      {/* A new key gives the fields their new default values. */}
      <div key={filled?.turn ?? 0} className="contents">
        <Held />
        <TextField name="spanMm" defaultValue={test?.spanMm ?? ''} />
        <TextField name="caliperMm" placeholder="0.02" />
        <div className="sm:col-span-2">
          <TextField
            name="widthsMm"

            placeholder="10.02 10.01 10.03"
            defaultValue={test?.widthsMm.join(' ')}
          />
        </div>
        <div className="sm:col-span-2">
          <TextField
            name="thicknessesMm"

            placeholder="4.01 4.00 4.02"
            defaultValue={test?.thicknessesMm.join(' ')}
          />
        </div>
        <ResinTestRows
          columns={RESIN_TEST_COLUMNS.bend}
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
      <TextField name="spanMm" />
      <TextField name="widthMm" />
      <TextField name="thicknessMm" />
    </>
  );
}

function BreakFields() {
  return (
    <>
      <BarFields />
      <TextField name="caliperMm" placeholder="0.02" />
      <div className="sm:col-span-2">
        <TextField name="deflectionsMm" placeholder="6.2 5.8" />
      </div>
      <Tick
        name="broke"
        hint="(untick if the bars bent without breaking)"
        defaultChecked
        className="self-end pb-2 sm:col-span-2"
      />
      <div className="sm:col-span-4">
        <Caution>
          Brittle bars break into flying splinters: cover your eyes, keep your hands behind a cloth, bend
          slowly, and let nobody stand beside you.
        </Caution>
      </div>
    </>
  );
}

function SagFields() {
  return (
    <>
      <BarFields />
      <TextField name="massG" />
      <Choice
        name="bath"

        choices={BATHS.map((bath) => ({
          value: bath,
          label: bath === 'water' ? 'water, to 95 °C' : 'an oven (air)',
        }))}
      />
      <TextField name="thermometerK" defaultValue="1" />
      <ResinTestRows columns={RESIN_TEST_COLUMNS.sag} />
      <div className="space-y-2 sm:col-span-4">
        <p className="text-sm text-soft">
          Wait five minutes per step. The first row is the cold start. The bar counts as yielded when the sag
          grows by that of {SAG_STRAIN * 100} % strain. This is a bending test of a bar, not a safety rating
          of a part.
        </p>
        <Caution>
          Kettle: steam and spilled water scald, and hot bars bend in the fingers; use tongs. Oven: use one
          that is never used for food. Resin fumes need ventilation. Stay with the oven. Neither test
          qualifies a part that holds pressure, mains voltage or a person.
        </Caution>
      </div>
    </>
  );
}

function DropFields() {
  return (
    <>
      <div className="sm:col-span-2">
        <TextField name="wholeM" placeholder="1 1 1 1 1" />
      </div>
      <div className="sm:col-span-2">
        <TextField name="brokenM" placeholder="1.8" />
      </div>
      <p className="text-sm text-soft sm:col-span-4">
        Drop a spare part or a bar onto a hard floor. Enter one height per drop, and let it land in different
        ways. Five unbroken drops prove little more than a 50 % chance of survival. Wear eye protection.
      </p>
    </>
  );
}

function YellowingFields() {
  return (
    <>
      <TextField name="accepted" defaultValue="1" />
      <ResinTestRows columns={RESIN_TEST_COLUMNS.yellowing} />
      <p className="text-sm text-soft sm:col-span-4">
        Cure offcuts for different times and put them on a white card in daylight. 0 looks like the card, 5 is
        amber. The lamp harms eyes: keep its lid closed.
      </p>
    </>
  );
}

function CreepFields() {
  return (
    <>
      <div className="sm:col-span-2">
        <TextField
          name="under"

          placeholder="its own weight on a sunny sill"
        />
      </div>
      <TextField name="firstMm" />
      <TextField name="weeks" defaultValue="6" />
      <TextField name="caliperMm" placeholder="0.02" />
      <p className="text-sm text-soft sm:col-span-4">Today reminds you of the second reading.</p>
    </>
  );
}

/** Fields of one kind of test. */
export function ResinTestFields({ kind, resinId }: { kind: ResinTestKind; resinId: number }) {
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
