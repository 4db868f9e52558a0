'use client';

import { v4 as newKey } from 'uuid';
import { Button } from '@/ui';
import { removeResin } from '../../actions';

/** Takes a resin off the shelf; it comes back with everything when its name is put on again. */
export function RemoveResin({ resinId, name }: { resinId: number; name: string }) {
  return (
    <div>
      <Button onClick={() => void removeResin(newKey(), resinId)}>Take {name} off the shelf</Button>
      <p className="mt-1 text-sm text-soft">
        Its proofs and signatures stay; put its name on the shelf again to have it back.
      </p>
    </div>
  );
}
