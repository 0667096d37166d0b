export interface Goal {
  readonly goal: string
  readonly bursts: number
}

const SESSIONS = 10
const DAYS = 21
const BURSTS_A_SESSION = 5

/** What still fits into a young horse's short block before it is left to grow; goals as they are wanted most. */
export const youngBlock = (sessionsDone: number, daysGone: number, goals: readonly Goal[]) => {
  const sessionsLeft = Math.max(0, Math.min(SESSIONS - sessionsDone, Math.ceil((DAYS - daysGone) / 2)))
  const burstsLeft = sessionsLeft * BURSTS_A_SESSION
  let spare = burstsLeft
  const told = goals.map(({ goal, bursts }) => {
    const given = Math.min(bursts, spare)
    spare -= given
    const says = given === bursts ? ('whole' as const) : given > 0 ? ('part' as const) : ('no' as const)
    return { goal, given, says }
  })
  const says =
    sessionsLeft === 0
      ? ('close-the-block' as const)
      : told.every((one) => one.says === 'whole')
        ? ('fits' as const)
        : ('too-much' as const)
  return { sessionsLeft, burstsLeft, spare, goals: told, says }
}
