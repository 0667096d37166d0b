import { isTyping } from './typing'

/** Space acts on keydown in the pen; its keyup must not click the button in focus as well. */
export const swallowSpace = (event: KeyboardEvent): void => {
  if (event.key === ' ' && !isTyping(event.target)) event.preventDefault()
}
