import { type CheckLimits, type Limit, STATION_WORDS } from '@/core/part/findings';
import { formatMm } from '@/core/kit/wording';
import { SOURCE_WORDS } from '@/subjects/part/shared';

/** What the part is held against, and where each number comes from. */
export function LimitsTable({ limits }: { limits: CheckLimits }) {
  const { pixelMm, wallMm, gapMm, floorMm, roofMm, hangMm2, peelMm2, layerSeconds, rooms } = limits;
  const rows: readonly (readonly [string, string, Limit | undefined])[] = [
    ['Layer', `${formatMm(limits.layerMm, 3)} mm`, undefined],
    ['Pixel', `${formatMm(pixelMm.value, 3)} mm`, pixelMm],
    ['Minimum wall', `${formatMm(wallMm.value, 2)} mm`, wallMm],
    ['Minimum gap', `${formatMm(gapMm.value, 2)} mm`, gapMm],
    ['Minimum floor', `${formatMm(floorMm.value, 2)} mm`, floorMm],
    ['Minimum gap below a roof', `${formatMm(roofMm.value, 2)} mm`, roofMm],
    ['Unsupported overhang, at most', `${hangMm2.value} mm²`, hangMm2],
    ['Peel area per layer, at most', `${Math.round(peelMm2.value)} mm²`, peelMm2],
    ['Time per layer', `${layerSeconds.value} s`, layerSeconds],
  ];
  const stations = Object.entries(rooms) as [keyof typeof STATION_WORDS, readonly number[]][];
  return (
    <table className="mt-3 w-full text-sm">
      <caption className="text-left text-soft">Limits used</caption>
      <tbody>
        {rows.map(([name, value, limit]) => (
          <tr key={name} className="border-b border-hair">
            <th scope="row" className="py-0.5 text-left font-normal">
              {name}
            </th>
            <td className="num py-0.5">{value}</td>
            <td className="py-0.5 text-soft">{limit === undefined ? 'profile' : SOURCE_WORDS[limit.from]}</td>
          </tr>
        ))}
        {stations.map(([station, sides]) => (
          <tr key={station} className="border-b border-hair">
            <th scope="row" className="py-0.5 text-left font-normal">
              Space, {STATION_WORDS[station]}
            </th>
            <td className="num py-0.5">{sides.join(' × ')}</td>
            <td className="py-0.5 text-soft">printer</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
