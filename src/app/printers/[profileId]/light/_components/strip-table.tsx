'use client';

import { useTap } from '@/app/_components/use-tap';
import { Problem } from '@/ui';
import { dropStrip } from '../actions';

interface StripTableProps {
  readonly profileId: number;
  readonly unit: string;
  readonly strips: readonly {
    readonly id: number;
    readonly exposure: number;
    readonly depthMm: number;
    readonly instrument: string;
  }[];
}

/** Strips that count, short exposures first. */
export function StripTable({ profileId, unit, strips }: StripTableProps) {
  const { problem, isBusy, tap } = useTap();
  if (strips.length === 0) return null;
  return (
    <>
      <table className="mt-3 w-full text-left">
        <thead>
          <tr className="text-sm text-soft">
            <th scope="col" className="pr-3 font-normal">
              Exposure, {unit}
            </th>
            <th scope="col" className="pr-3 font-normal">
              Thickness, mm
            </th>
            <th scope="col" className="pr-3 font-normal">
              Caliper
            </th>
            <th scope="col">
              <span className="sr-only">Delete</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {strips.map(({ id, exposure, depthMm, instrument }) => (
            <tr key={id} className="border-t border-hair">
              <td className="num py-1 pr-3">{exposure}</td>
              <td className="num pr-3">{depthMm}</td>
              <td className="pr-3 text-soft">{instrument}</td>
              <td className="text-right text-sm">
                <button
                  type="button"
                  className="underline"
                  disabled={isBusy}
                  onClick={() => tap((key) => dropStrip(key, profileId, id))}
                >
                  Delete<span className="sr-only">: {exposure}</span>
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {problem !== '' && <Problem>{problem}</Problem>}
    </>
  );
}
