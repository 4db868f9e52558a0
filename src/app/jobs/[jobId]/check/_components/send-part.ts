/** How a part was turned before it was sent. */
interface Turn {
  readonly rotation: readonly number[];
  readonly liftMm: number;
}

/** Keeps a file as the job's part, its features’ places turned along where it was turned; gives why not, where it was refused. */
export async function sendPart(
  jobId: number,
  stl: Uint8Array<ArrayBuffer>,
  name: string,
  turn?: Turn,
): Promise<string | undefined> {
  const query = new URLSearchParams({ name, ...(turn && { turn: JSON.stringify(turn) }) });
  const response = await fetch(`/api/jobs/${jobId}/part?${query}`, {
    method: 'POST',
    body: new Blob([stl], { type: 'model/stl' }),
  }).catch(() => undefined);
  if (response === undefined) return 'The connection was lost. Try again.';
  if (response.ok) return undefined;
  return ((await response.json()) as { message?: string }).message ?? 'The file was not kept. Try again.';
}
