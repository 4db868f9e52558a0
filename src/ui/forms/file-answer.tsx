import { Button } from '../button';
import { Note, Problem } from '../notice';
import type { useTakeFile } from './use-take-file';

/** Upload progress of a file, or its result. */
export function FileAnswer({
  said,
  taking,
  stop,
}: Pick<ReturnType<typeof useTakeFile>, 'said' | 'taking' | 'stop'>) {
  if (taking !== undefined)
    return (
      <div className="mt-3 flex items-center gap-3" role="status">
        <progress
          className="flex-1"
          aria-label="Importing the file"
          {...(taking.share === undefined ? {} : { value: taking.share })}
        />
        <span className="num text-sm">
          {taking.share === undefined ? 'Sending …' : `${Math.round(100 * taking.share)} %`}
        </span>
        <Button onClick={stop}>Stop</Button>
      </div>
    );
  if (said === undefined) return null;
  return <div className="mt-3">{said.ok ? <Note>{said.text}</Note> : <Problem>{said.text}</Problem>}</div>;
}
