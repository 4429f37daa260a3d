/** Opens the database when the server starts: a folder in use is told at once, not at the first visit. */
export async function register() {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return
  const { startDatabase } = await import('./server/start')
  await startDatabase()
}
