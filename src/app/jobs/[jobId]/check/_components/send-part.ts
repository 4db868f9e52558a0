/** How a part was turned before it was sent. */
interface Turn {
  readonly rotation: readonly number[];
  readonly liftMm: number;
}

/** Result of an uploaded part: why it was refused, or what to report about it. */
interface SentPart {
  readonly refusal?: string;
  readonly said?: string;
}

/** Keeps a file as the job's part, its features turned along where it was turned. */
export async function sendPart(
  jobId: number,
  stl: Uint8Array<ArrayBuffer>,
  name: string,
  turn?: Turn,
): Promise<SentPart> {
  const query = new URLSearchParams({ name, ...(turn && { turn: JSON.stringify(turn) }) });
  const response = await fetch(`/api/jobs/${jobId}/part?${query}`, {
    method: 'POST',
    body: new Blob([stl], { type: 'model/stl' }),
  }).catch(() => undefined);
  if (response === undefined) return { refusal: 'The connection was lost. Try again.' };
  const answer = (await response.json()) as { said?: string; message?: string };
  if (response.ok) return { said: answer.said };
  return { refusal: answer.message ?? 'The file was not saved. Try again.' };
}
