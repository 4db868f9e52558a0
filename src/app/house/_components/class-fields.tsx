'use client';

import { describeWish } from '@/subjects/kit/shared';
import { type FitClasses, WISHES } from '@/core/fit/mating';
import { ActionForm, Button, CellField } from '@/ui';
import { saveClasses } from '../actions';
import { classesForm } from '@/subjects/workshop/settings/shared';

/** Clearance of each fit on the diameter at 10 mm. */
export function ClassFields({ classes }: { classes: FitClasses }) {
  return (
    <ActionForm form={classesForm} action={saveClasses} label="Fit classes">
      <table className="w-full border-collapse">
        <caption className="sr-only">Clearance of each fit at 10 mm</caption>
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="font-normal">fit</th>
            <th className="font-normal">minimum, mm</th>
            <th className="font-normal">maximum, mm</th>
          </tr>
        </thead>
        <tbody>
          {WISHES.map((wish) => {
            const { name, means } = describeWish(wish);
            return (
              <tr key={wish} className="border-b border-hair">
                <th scope="row" className="py-1 pr-3 text-left font-semibold">
                  {name}
                  <span className="block text-sm font-normal text-soft">{means}</span>
                </th>
                <td className="pr-2">
                  <CellField
                    name={`low_${wish}`}
                    defaultValue={classes[wish].lowMm}
                    className="w-24 text-right"
                  />
                </td>
                <td>
                  <CellField
                    name={`high_${wish}`}
                    defaultValue={classes[wish].highMm}
                    className="w-24 text-right"
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1 text-sm text-soft">
        On the diameter at 10 mm; negative means interference. Other sizes scale with the cube root of the
        diameter.
      </p>
      <Button type="submit" className="mt-2">
        Save fit classes
      </Button>
    </ActionForm>
  );
}
