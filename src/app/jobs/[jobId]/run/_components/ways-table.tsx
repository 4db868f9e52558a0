'use client';

import { useState } from 'react';
import type { Way } from '@/core/print';
import { Button } from '@/ui';

const COUNT_WORDS = {
  asked: 'as many as needed',
  sure: 'with spares',
  full: 'full plate',
  stacked: 'stacked',
} as const;
const FIRST = 10;

interface WaysTableProps {
  readonly ways: readonly Way[];
  readonly hasSeen: boolean;
  /** The preferred layer height, mm. */
  readonly likedMm: number;
}

const HEADS = [
  'Orientation',
  'Copies',
  'Printer',
  'Layers',
  'Hours',
  'Work',
  'Resin',
  'Cost per good part',
  'Chance of enough good parts',
  'Sizes along Z',
  'Visible faces',
];

/** The ways, the cheapest per good piece first: at first those that no other beats, then all. */
export function WaysTable({ ways, hasSeen, likedMm }: WaysTableProps) {
  const [isWhole, setWhole] = useState(false);
  const best = ways.filter(({ isBest, pose, count }) => isBest || (pose.isCurrent && count === 'asked'));
  const shown = isWhole ? ways : best.slice(0, FIRST);
  return (
    <>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Print options compared">
        <table className="w-full text-sm">
          <thead>
            <tr className="text-left text-soft">
              {HEADS.map((name) => (
                <th key={name} scope="col" className="pr-3 font-normal">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((way) => (
              <Row key={keyOf(way)} way={way} hasSeen={hasSeen} likedMm={likedMm} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-sm text-soft">
        Bold: no other option is better in time, cost and chance together. For a layer height without a
        profile, only the print time is known; its sizes must be learned first.
      </p>
      {ways.length > shown.length && !isWhole && (
        <Button onClick={() => setWhole(true)}>Show all {ways.length} options</Button>
      )}
    </>
  );
}

function keyOf({ machine, pose, layerMm, copies, count }: Way): string {
  return [machine.profileId, pose.name, layerMm, copies, count].join(' ');
}

function Row({ way, hasSeen, likedMm }: { way: Way } & Omit<WaysTableProps, 'ways'>) {
  const {
    machine,
    pose,
    layerMm,
    copies,
    count,
    plates,
    stack,
    hours,
    attendedMin,
    resinMl,
    costPerGood,
    chance,
    isBest,
  } = way;
  return (
    <tr className={`border-t border-hair whitespace-nowrap ${isBest ? 'font-semibold' : ''}`}>
      <th scope="row" className="py-1 pr-3 text-left">
        {pose.name}
        {pose.isCurrent && ', now'}
      </th>
      <td className="num pr-3">
        {copies} <span className="font-normal text-soft">{COUNT_WORDS[count]}</span>
        {stack > 1 && `, ${stack} high`}
        {plates > 1 && `, ${plates} plates`}
      </td>
      <td className="pr-3">
        {machine.printer}
        {machine.changeoverMl > 0 && (
          <span className="font-normal text-soft">
            , {machine.vatHolds === undefined ? 'vat must be filled' : `${machine.vatHolds} in it`}:{' '}
            {machine.changeoverMl} ml lost
          </span>
        )}
      </td>
      <td className="num pr-3">
        {layerMm}
        <span className="font-normal text-soft">
          {layerMm === machine.layerMm ? '' : ' no profile'}
          {layerMm === likedMm && ' house'}
        </span>
      </td>
      <td className="num pr-3">{hours.toFixed(1)}</td>
      <td className="num pr-3">{Math.round(attendedMin)} min</td>
      <td className="num pr-3">{resinMl.toFixed(1)} ml</td>
      <td className="num pr-3">{chance >= 0.005 ? costPerGood.toFixed(2) : 'not reachable'}</td>
      <td className="num pr-3">{Math.round(100 * chance)} %</td>
      <td className="num pr-3">{pose.alongZ}</td>
      <td className="num pr-3">{hasSeen ? `${pose.seenMm2.toFixed(0)} mm²` : '–'}</td>
    </tr>
  );
}
