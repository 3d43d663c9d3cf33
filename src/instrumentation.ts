/** Runs before the first answer: a server that cannot open its data must not start answering. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return
  const { boot } = await import('./boot')
  await boot()
}
