export {
  reportFrom,
  reportOf,
  REPORT_DAYS,
  type DayDone,
  type NextTold,
  type Report,
  type SkillTold,
  type StepDone,
} from './report'
