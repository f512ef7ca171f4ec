/** Once, when the server starts: migrate, take up what was interrupted, and load the demo if it was asked for. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return;
  const { start } = await import('./server/start');
  await start();
}
