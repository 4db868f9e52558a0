/** Shown while the server does not respond: data are kept here and sent automatically. */
export function CutOffNote({ waiting, what }: { waiting: number; what: string }) {
  return (
    <p role="status" className="mt-2 text-soft">
      The server does not respond. {waiting} {what} saved in this browser and sent when the server responds
      again.
    </p>
  );
}
