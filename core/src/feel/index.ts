export { PULL_SAMPLES_PER_SECOND, pullOf, slackBelow, type Pull, type Sample } from './pull'
