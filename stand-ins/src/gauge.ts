import { GAUGE_CHANNEL, type GaugeReading } from '@still-pine/contract/stand-ins'
import { pullAt, readPull, type Recorded } from './replay'

const EVERY_MS = 100
/** What the rope weighs in the hand. */
const ROPE_NEWTONS = 1
/** The pull follows the hand by this share at each reading. */
const FOLLOWS = 0.6
const TREMBLE = 0.06

const channel = new BroadcastChannel(GAUGE_CHANNEL)
const find = <T extends Element>(id: string): T => document.querySelector<T>(`#${id}`)!
const shown = find<HTMLOutputElement>('newtons')
const said = find('said')
const pull = find<HTMLButtonElement>('pull')
const strength = find<HTMLInputElement>('strength')

let isPulling = false
let isOn = true
let newtons = ROPE_NEWTONS
let replay: { readonly recorded: readonly Recorded[]; readonly since: number } | null = null

/** The hand of the simulation: it closes in a few tenths and trembles a little. */
const fromHand = (): number => {
  const wanted = isPulling ? Number(strength.value) : ROPE_NEWTONS
  newtons += FOLLOWS * (wanted - newtons)
  return Math.max(0, newtons * (1 + TREMBLE * (Math.random() - 0.5)))
}

const fromFile = (): number | null =>
  replay && pullAt(replay.recorded, (performance.now() - replay.since) / 1000)

const read = (): number => {
  const recorded = fromFile()
  if (replay && recorded === null) {
    replay = null
    said.textContent = 'The recording is over.'
  }
  return recorded ?? fromHand()
}

setInterval(() => {
  if (!isOn) return
  const reading: GaugeReading = { newtons: Math.round(read() * 10) / 10 }
  channel.postMessage(reading)
  shown.textContent = `${reading.newtons.toFixed(0)} N`
}, EVERY_MS)

const start = (text: string, name: string): void => {
  try {
    replay = { recorded: readPull(text), since: performance.now() }
    said.textContent = `Replaying ${name}.`
  } catch (error) {
    said.textContent = (error as Error).message
  }
}

pull.addEventListener('pointerdown', () => (isPulling = true))
for (const end of ['pointerup', 'pointerleave', 'pointercancel'])
  pull.addEventListener(end, () => (isPulling = false))
pull.addEventListener('keydown', ({ key }) => {
  if (key === ' ') isPulling = true
})
pull.addEventListener('keyup', () => (isPulling = false))
strength.addEventListener('input', () => (find('level').textContent = `${strength.value} N`))
find<HTMLInputElement>('file').addEventListener('change', ({ target }) => {
  const file = (target as HTMLInputElement).files?.[0]
  if (file) void file.text().then((text) => start(text, file.name))
})
find('sample').addEventListener('click', () => {
  void fetch('./pull-sample.csv').then(async (reply) => start(await reply.text(), 'the sample'))
})
find('stop').addEventListener('click', () => {
  isOn = !isOn
  find('stop').textContent = isOn ? 'Switch off' : 'Switch on'
  shown.textContent = isOn ? shown.textContent : 'off'
})
