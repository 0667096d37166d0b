export { busyIn, busyMinutes, CalendarRefused, type Busy, type BusyRead } from './busy'
export { calendarOf, type CalendarDue, type CalendarVisit, type Feed } from './out'
export { clockAt, clockChanges, instantOf, zoneBlock, type ClockChange } from './zone'
