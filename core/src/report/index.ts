export {
  reportFrom,
  reportOf,
  REPORT_DAYS,
  type DayDone,
  type NextTold,
  type PictureTold,
  type Report,
  type SkillTold,
  type StepDone,
} from './report'
