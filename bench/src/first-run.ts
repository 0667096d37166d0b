import { appUrl, makePool } from '../../server/src/data/pool'
import { runApp } from './running'

/** Makes the yard that is measured, the way a person does. */
export const firstRun = async (
  ownerUrl: string,
  signIn: { email: string; password: string },
  now: Date,
): Promise<void> => {
  const { address, end } = await runApp(makePool(appUrl(ownerUrl)), now)
  const body = { yardName: 'Bench', timeZone: 'Europe/Oslo', personName: 'Nobody', ...signIn }
  const done = await fetch(`${address}/first-run`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (!done.ok) throw new Error(await done.text())
  await end()
}
