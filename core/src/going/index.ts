export { FEATURES, goingReins, goingWeeks, tiresAt, type Feature, type Mark, type SwingNoted } from './going'
export { goingOf, minutesBeforeTired, tiredIn, type GoingSession } from './compare'
