import Module from 'manifold-3d';
import { Readable } from 'node:stream';
import { type Mesh, writeStl } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { buildMesh } from '@/core/fit/solids';
import { type Db, queries } from '@/store';
import { setPrintSetup } from '@/subjects/part';
import { keepPartFile } from '@/subjects/job/jobs';
import { changePrinter, listPrinters } from '@/subjects/signature';
import { keepMesh } from '@/subjects/workshop/records';

/**
 * The vane as first drawn, flat on its blade: the hub's blind bore is a suction cup, the catches of its two hooks begin
 * in mid-air, and the slit that lets one of them spring is too narrow to print.
 */
async function vaneMesh(): Promise<Mesh> {
  const kernel = await Module();
  kernel.setup();
  return buildMesh(kernel, (shop) => {
    const blade = shop.box(42, 18, 2);
    const hub = shop.shaft(9, 8);
    const arm = shop.move(shop.box(26, 4, 1.6), [0, 0, 6.4]);
    const catches = [-11, 11].map((x) => shop.move(shop.box(3, 4, 2.4), [x, 0, 4]));
    const slit = shop.move(shop.box(5, 0.15, 1.6), [9, 0, 6.4]);
    const bore = shop.move(shop.hole(6, 5), [0, 0, 3]);
    return shop.cut(shop.join([blade, hub, arm, ...catches]), [slit, bore]);
  });
}

/** Rooms of the two printers and what stands beside them, and the files of parts that were drawn elsewhere. */
export async function makeDemoParts(db: Db, folder: string): Promise<void> {
  const printers = new Map(listPrinters(db).map(({ id, name }) => [name, id]));
  changePrinter(db, printers.get('Long Bench')!, {
    rooms: { plate: [150, 95, 160], wash: [150, 100, 180], lamp: [120, 120, 140] },
    layerSeconds: 7.5,
    lightNm: 405,
  });
  changePrinter(db, printers.get('Old Amber')!, {
    rooms: { plate: [115, 65, 150], wash: [150, 100, 180], lamp: [120, 120, 140] },
    layerSeconds: 16,
    lightNm: 405,
  });
  const vane = queries.listJobs(db).find(({ job }) => job.name.includes('vent vane'))!.job;
  const name = 'vent vane.stl';
  const stl = writeStl(await vaneMesh());
  const hash = expectOk(await keepMesh(db, folder, { name, body: Readable.from([Buffer.from(stl)]) }));
  keepPartFile(db, vane.id, hash, name);
  setPrintSetup(db, vane.id, { kind: 'plate' });
}
