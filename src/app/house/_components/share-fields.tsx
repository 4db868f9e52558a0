'use client';

import { parameterWords } from '@/subjects/kit/shared';
import { PARAMETER_NAMES, type ShareTable } from '@/core/signature';
import { SHARED_BY, sharesForm } from '@/subjects/workshop/settings/shared';
import { ActionForm, Button, CellField } from '@/ui';
import { saveShares } from '../actions';

/** What profiles of one printer or one resin have in common, in per cent of what is unknown of a parameter. */
export function ShareFields({ shares }: { shares: ShareTable }) {
  return (
    <ActionForm form={sharesForm} action={saveShares} label="Related profiles">
      <table className="w-full border-collapse text-sm">
        <caption className="sr-only">Share of each parameter that profiles have in common</caption>
        <thead>
          <tr className="text-left text-soft">
            <th className="font-normal">shared, %</th>
            <th className="font-normal">printer</th>
            <th className="font-normal">resin</th>
            <th className="font-normal">both</th>
          </tr>
        </thead>
        <tbody>
          {PARAMETER_NAMES.map((name) => (
            <tr key={name} className="border-b border-hair">
              <th scope="row" className="py-1 pr-3 text-left font-semibold">
                {parameterWords(name).title}
              </th>
              {SHARED_BY.map((by) => (
                <td key={by} className="pr-2">
                  <CellField
                    name={`${by}_${name}`}
                    defaultValue={Math.round(shares[name][by] * 1000) / 10}
                    className="w-16 text-right"
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Button type="submit" className="mt-2">
        Save shares
      </Button>
    </ActionForm>
  );
}
