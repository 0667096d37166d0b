import { HEART_CHANNEL, type HeartMessage } from '@still-pine/contract/stand-ins'
import { aSecondOn, atRest, messageOf, startled } from './heart'

const EVERY_MS = 1_000
const TREMBLE_BPM = 1.5
const DOUBLED_SECONDS = 3
const NONSENSE_BPM = 400

const channel = new BroadcastChannel(HEART_CHANNEL)
const find = <T extends Element>(id: string): T => document.querySelector<T>(`#${id}`)!
const shown = find<HTMLOutputElement>('bpm')
const said = find('said')
const rest = find<HTMLInputElement>('rest')
const slow = find<HTMLInputElement>('slow')

let heart = atRest(Number(rest.value))
let isOn = true
let doubledFor = 0
let sendsNonsense = false

const paceWords = (seconds: number): string =>
  seconds <= 10 ? 'quickly' : seconds <= 30 ? 'slowly' : 'hardly'

/** What the strap makes of the heart: a little off, or a wave counted twice. */
const reading = (): number => {
  if (sendsNonsense) return NONSENSE_BPM
  const bpm = heart.bpm + TREMBLE_BPM * (Math.random() - 0.5)
  doubledFor = Math.max(0, doubledFor - 1)
  return doubledFor > 0 ? 2 * bpm : bpm
}

setInterval(() => {
  heart = aSecondOn(heart, Number(slow.value))
  if (!isOn) return
  const bpm = reading()
  channel.postMessage({ bytes: messageOf(bpm) } satisfies HeartMessage)
  shown.textContent = bpm.toFixed(0)
}, EVERY_MS)

rest.addEventListener('input', () => {
  heart = { ...heart, restBpm: Number(rest.value) }
  find('level').textContent = rest.value
})
slow.addEventListener('input', () => (find('pace').textContent = paceWords(Number(slow.value))))
find('startle').addEventListener('click', () => {
  heart = startled(heart)
  said.textContent = 'Startled.'
})
find('doubled').addEventListener('click', () => {
  doubledFor = DOUBLED_SECONDS + 1
  said.textContent = 'Counts double for three seconds.'
})
find('nonsense').addEventListener('click', () => {
  sendsNonsense = !sendsNonsense
  find('nonsense').textContent = sendsNonsense ? 'Send the heart again' : 'Send 400 a minute'
})
find('stop').addEventListener('click', () => {
  isOn = !isOn
  find('stop').textContent = isOn ? 'Take it off' : 'Put it on'
  shown.textContent = isOn ? shown.textContent : 'off'
})
