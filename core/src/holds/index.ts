export { countedSteps, holdGrade, setOfThree } from './grade'
export { holdPlan, MEASURES, type Amount, type Measure } from './plan'
