import { Readable } from 'node:stream';
import { bench } from '@/subjects/workshop/settings';
import { openPicture } from '@/subjects/job/need';
import { answering, idIn, refusal } from '../../answers';

const TYPES = { jpg: 'image/jpeg', png: 'image/png', webp: 'image/webp' } as const;

/** The bytes of a photo or sketch. */
export const GET = answering(
  async (request: Request, { params }: { params: Promise<{ pictureId: string }> }) => {
    const { db, folder } = bench();
    const picture = openPicture(db, folder, idIn((await params).pictureId) ?? 0);
    if (picture === undefined) return refusal('This picture does not exist in this workshop.', 404);
    return new Response(Readable.toWeb(picture.stream) as ReadableStream, {
      headers: {
        'Content-Type': TYPES[picture.type],
        'Content-Length': String(picture.bytes),
        'Cache-Control': 'private, max-age=31536000, immutable',
      },
    });
  },
);
