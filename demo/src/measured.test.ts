import { bodyOf } from '@still-pine/core/body'
import { ageBounds } from '@still-pine/core/facts'
import { PutMeasurement } from '@still-pine/contract'
import { describe, expect, it } from 'vitest'
import { measuredOf } from './measured'
import { demoHorses } from './scenario'

const TODAY = '2026-05-14'
const horses = demoHorses(TODAY)

const bodyIn = (name: string) => {
  const horse = horses.find(({ form }) => form.name === name)!
  const aged = { born: horse.form.born, age: horse.form.estimate }
  return bodyOf(measuredOf(horse, TODAY), { on: TODAY, ageOn: (day) => ageBounds(aged, day) })
}

describe('what the made-up yard has measured', () => {
  it('is what may be put, of days since the horse came', () => {
    for (const horse of horses)
      for (const measured of measuredOf(horse, TODAY)) {
        expect(PutMeasurement.safeParse(measured).success).toBe(true)
        expect(measured.on > horse.form.arrived && measured.on < TODAY).toBe(true)
      }
  })

  it('is nothing of the filly that nobody has touched', () => expect(bodyIn('Whin').weight).toBeNull())

  it('shows a young horse that grows, and a lame one that loses', () => {
    expect(bodyIn('Teal').growth!.says).toBe('growing-now')
    expect(bodyIn('Yarrow').trend!.says).toBe('losing')
    expect(bodyIn('Lapwing').trend!.says).toBe('steady')
  })
})
