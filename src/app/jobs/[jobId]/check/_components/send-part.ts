/** Keeps a file as the job's part; gives why not, where it was refused. */
export async function sendPart(
  jobId: number,
  stl: Uint8Array<ArrayBuffer>,
  name: string,
): Promise<string | undefined> {
  const response = await fetch(`/api/jobs/${jobId}/part?name=${encodeURIComponent(name)}`, {
    method: 'POST',
    body: new Blob([stl], { type: 'model/stl' }),
  }).catch(() => undefined);
  if (response === undefined) return 'The connection was lost. Try again.';
  if (response.ok) return undefined;
  return ((await response.json()) as { message?: string }).message ?? 'The file was not kept. Try again.';
}
