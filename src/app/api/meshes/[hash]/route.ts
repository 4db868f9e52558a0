import { Readable } from 'node:stream';
import { bench } from '@/subjects/workshop/settings';
import { openMesh } from '@/subjects/workshop/records';
import { answering, refusal } from '../../answers';

/** The bytes of a kept part; they never change under their hash. */
export const GET = answering(async (request: Request, { params }: { params: Promise<{ hash: string }> }) => {
  const { hash } = await params;
  const mesh = /^[0-9a-f]{64}$/.test(hash) ? openMesh(bench().folder, hash) : undefined;
  if (mesh === undefined) return refusal('This part does not exist in this workshop.', 404);
  return new Response(Readable.toWeb(mesh.stream) as ReadableStream, {
    headers: {
      'Content-Type': 'model/stl',
      'Content-Length': String(mesh.bytes),
      'Cache-Control': 'private, max-age=31536000, immutable',
    },
  });
});
