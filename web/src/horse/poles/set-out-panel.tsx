import { fencesSetOut, polesSetOut } from '@still-pine/core/jumping'
import type { Gait } from '@still-pine/core/load'
import { useState } from 'react'
import { SetOutDrawing } from '../../drawing/set-out-drawing'
import { Button } from '../../ui/button'
import { ChoiceField } from '../../ui/inputs'

type Words = readonly (readonly [string, string])[]

const WHAT: Words = [
  ['walk', 'poles at walk'],
  ['trot', 'poles at trot'],
  ['canter', 'poles at canter'],
  ['fence-trot', 'two fences, from trot'],
  ['fence-canter', 'two fences, from canter'],
]

const upTo = (from: number, most: number, word: (n: number) => string): Words =>
  Array.from({ length: most - from + 1 }, (_, i) => [String(from + i), word(from + i)])

const POLES = upTo(1, 8, (n) => (n === 1 ? 'one pole' : `${n} poles`))
const STRIDES = upTo(0, 6, (n) => (n === 0 ? 'a bounce' : n === 1 ? 'one stride' : `${n} strides`))
const RAISED: Words = ['0', '5', '10', '15', '20'].map((cm) => [
  cm,
  cm === '0' ? 'on the ground' : `${cm} cm`,
])
const HEIGHTS: Words = ['20', '30', '40', '50', '60', '70', '80'].map((cm) => [cm, `${cm} cm`])

const metres = (value: number, digits: number): string => value.toFixed(digits)

const POLE_SAYS = {
  ok: '',
  'too-high': ' Too high: raise a pole by a tenth of its height at most.',
  'two-invite-a-jump': ' Two poles invite a jump: lay one, then three.',
} as const

const polesFor = (
  withersCm: number,
  { gait, count, raisedCm }: { gait: Gait; count: number; raisedCm: number },
) => {
  const out = polesSetOut({ gait, withersCm, poles: count, raisedCm })
  const { shortM, middleM, longM, wholeM, says } = out.told
  const words =
    count === 1
      ? `One pole, at ${gait}.`
      : `${count} poles ${metres(middleM, 2)} m apart (${metres(shortM, 2)} to ${metres(longM, 2)}), ${metres(wholeM, 1)} m in all.`
  return { out, words: `${words}${POLE_SAYS[says]}`, step: 0.05 }
}

const fencesFor = (
  withersCm: number,
  { approach, strides, heightCm }: { approach: 'trot' | 'canter'; strides: number; heightCm: number },
) => {
  const out = fencesSetOut({ withersCm, strides, approach, heightCm })
  const { metres: apart, lowM, highM, placingPoleM, strideM } = out.told
  return {
    out,
    words: `${metres(apart, 1)} m from fence to fence (${metres(lowM, 1)} to ${metres(highM, 1)}), the placing pole ${metres(placingPoleM, 1)} m before; its stride is ${metres(strideM, 1)} m. All of it lies as poles first, and is raised one by one.`,
    step: 0.1,
  }
}

/** What to lay out for this horse, drawn to scale. */
export const SetOutPanel = ({ withersCm, name }: { withersCm: number; name: string }) => {
  const [what, setWhat] = useState('trot')
  const [count, setCount] = useState('3')
  const [raised, setRaised] = useState('0')
  const [strides, setStrides] = useState('1')
  const [height, setHeight] = useState('30')
  const isFence = what.startsWith('fence')
  const { out, words, step } = isFence
    ? fencesFor(withersCm, {
        approach: what === 'fence-trot' ? 'trot' : 'canter',
        strides: Number(strides),
        heightCm: Number(height),
      })
    : polesFor(withersCm, { gait: what as Gait, count: Number(count), raisedCm: Number(raised) })
  return (
    <section className="flex flex-col gap-3">
      <h2 className="text-2xl">Set out for {name}</h2>
      <div className="no-print grid grid-cols-2 gap-3 desk:max-w-3xl desk:grid-cols-3">
        <ChoiceField
          label="What"
          words={WHAT}
          value={what}
          onChange={({ target }) => setWhat(target.value)}
        />
        {isFence ? (
          <>
            <ChoiceField
              label="Between them"
              words={STRIDES}
              value={strides}
              onChange={({ target }) => setStrides(target.value)}
            />
            <ChoiceField
              label="How high"
              words={HEIGHTS}
              value={height}
              onChange={({ target }) => setHeight(target.value)}
            />
          </>
        ) : (
          <>
            <ChoiceField
              label="How many"
              words={POLES}
              value={count}
              onChange={({ target }) => setCount(target.value)}
            />
            <ChoiceField
              label="Raised"
              words={RAISED}
              value={raised}
              onChange={({ target }) => setRaised(target.value)}
            />
          </>
        )}
      </div>
      <p role="status" className="max-w-prose text-lg">
        {words}
      </p>
      <SetOutDrawing {...out} label={words} step={step} />
      <p className="text-quiet">
        From above, to scale; a ring is where a stride begins or ends. For a horse of {Math.round(withersCm)}{' '}
        cm; walk it out with a tape, and move it to the stride you see.
      </p>
      <Button className="no-print self-start phone:hidden" onClick={() => window.print()}>
        Print
      </Button>
    </section>
  )
}
