import { STANDARD_MODEL, type Model } from './model'

/** The values that a yard's own log may move. Needs, thresholds and all rules of safety are not among them. */
export type FittedName = 'startMean' | 'startSd' | 'talentSd' | 'speedMean' | 'noise' | 'cold' | 'rungStep'

export type FittedValues = Readonly<Record<FittedName, number>>

export const valuesOf = (model: Model): FittedValues => ({
  startMean: model.priorAbility.mean,
  startSd: model.priorAbility.sd,
  talentSd: model.own.talent.sd,
  speedMean: model.own.speed.mean,
  noise: model.noise,
  cold: model.cold,
  rungStep: model.rungStep,
})

/** The same model with other values, and the same needs. */
export const modelWith = (model: Model, values: FittedValues): Model => ({
  ...model,
  priorAbility: { mean: values.startMean, sd: values.startSd },
  own: {
    ...model.own,
    talent: { ...model.own.talent, sd: values.talentSd },
    speed: { ...model.own.speed, mean: values.speedMean },
  },
  noise: values.noise,
  cold: values.cold,
  rungStep: values.rungStep,
})

const models = new Map<string, Model>()
const MOST_MODELS = 100

/** The model that a yard's own values make; the defaults where it has none. The same object for the same values. */
export const modelFor = ({ values }: { readonly values?: FittedValues | undefined }): Model => {
  if (values === undefined) return STANDARD_MODEL
  const key = JSON.stringify(values)
  const known = models.get(key)
  if (known) return known
  if (models.size >= MOST_MODELS) models.clear()
  const made = modelWith(STANDARD_MODEL, values)
  models.set(key, made)
  return made
}
