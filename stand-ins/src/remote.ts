import { REMOTE_CHANNEL, type RemoteKey } from '@still-pine/contract/stand-ins'

/** A held button repeats as a keyboard does: after half a second, then about thirty times a second. */
const FIRST_REPEAT_MS = 500
const REPEAT_MS = 33

const channel = new BroadcastChannel(REMOTE_CHANNEL)
const keys = new URLSearchParams(location.search)
const sent = document.querySelector('#sent')!

const send = (message: RemoteKey): void => {
  channel.postMessage(message)
  if (!message.repeat) sent.textContent = `Sent ${message.key}`
}

const makeButton = (id: string, key: string): void => {
  const button = document.querySelector<HTMLButtonElement>(`#${id}`)!
  let timer: ReturnType<typeof setTimeout> | undefined
  const again = (): void => {
    send({ key, repeat: true })
    timer = setTimeout(again, REPEAT_MS)
  }
  const down = (): void => {
    clearTimeout(timer)
    send({ key, repeat: false })
    timer = setTimeout(again, FIRST_REPEAT_MS)
  }
  const up = (): void => clearTimeout(timer)
  button.addEventListener('pointerdown', down)
  for (const end of ['pointerup', 'pointerleave', 'pointercancel']) button.addEventListener(end, up)
  // A click without a pointer comes from the keyboard.
  button.addEventListener('click', (event) => {
    if (event.detail === 0) send({ key, repeat: false })
  })
}

makeButton('forward', keys.get('forward') ?? 'PageDown')
makeButton('back', keys.get('back') ?? 'PageUp')
