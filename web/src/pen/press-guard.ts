/** A glove touches twice: presses of one button closer together than this are one press. */
const SAME_PRESS_MS = 250

/** Says of each press of a button whether it is the one before it again, by a clock that cannot jump. */
export const pressGuard = (): ((button: string, now: number) => boolean) => {
  const pressed = new Map<string, number>()
  return (button, now) => {
    const before = pressed.get(button)
    pressed.set(button, now)
    return before !== undefined && now - before < SAME_PRESS_MS
  }
}
