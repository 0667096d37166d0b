// Apart, so that a first visit does not load every school that ships.
export { withSafety } from '@still-pine/core/program'
