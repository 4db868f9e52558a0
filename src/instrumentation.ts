/** Brings the database to the current schema before the first request; a bench that cannot be opened is no server. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { benchDb } = await import('@/store');
  try {
    benchDb();
  } catch (error) {
    console.error('The bench cannot be opened:', (error as Error).message);
    process.exit(1);
  }
}
