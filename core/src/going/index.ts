export { FEATURES, goingReins, goingWeeks, tiresAt, type Feature, type Mark, type SwingNoted } from './going'
