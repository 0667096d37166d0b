export type {
  Due,
  DueKind,
  Match,
  Option,
  Person,
  Pin,
  Place,
  Previous,
  Visit,
  WeekAsked,
  WeekHorse,
  WeekPart,
  WeekRules,
  Window,
  Wish,
} from './asked'
export { greedyWeek } from './greedy'
export { lackingIn, type Lacking } from './lacking'
export { careDues, type CareDue } from './care-dues'
export { optionsOf } from './options'
export { planWeek, type WeekPlan } from './plan'
export { isLoadVisit } from './rules'
export { termsOf, worthOf, type Terms } from './score'
export type { Clash } from './musts'
export type { Must } from './model'
export { clashWords, gapWords, lackingWords, mustWords, reasonsOf, weekdayOf } from './words'
