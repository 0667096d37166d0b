export { countedSteps, holdGrade, setOfThree } from './grade'
export { setAdvice } from './set-advice'
export { holdPlan, MEASURES, type Amount, type Measure } from './plan'
