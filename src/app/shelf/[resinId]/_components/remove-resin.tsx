'use client';

import { v4 as newKey } from 'uuid';
import { Button } from '@/ui';
import { removeResin } from '../../actions';

/** Removes a resin; it returns with everything when its name is added again. */
export function RemoveResin({ resinId, name }: { resinId: number; name: string }) {
  return (
    <div>
      <Button onClick={() => void removeResin(newKey(), resinId)}>Remove resin {name}</Button>
      <p className="mt-1 text-sm text-soft">
        Its tests and signatures are kept. To restore the resin, add its name again.
      </p>
    </div>
  );
}
