/** Said while the bench does not answer: what was done is kept here and sent by itself. */
export function CutOffNote({ waiting, what }: { waiting: number; what: string }) {
  return (
    <p role="status" className="mt-2 text-soft">
      The bench does not answer. {waiting} {what} kept in this browser; they are sent as soon as it does.
    </p>
  );
}
