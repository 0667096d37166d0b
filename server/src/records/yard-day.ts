import { TZDate } from '@date-fns/tz'
import { format } from 'date-fns'

/** The calendar day of an instant in a yard's time zone. */
export const dayIn = (timeZone: string, instant: Date): string =>
  format(new TZDate(instant, timeZone), 'yyyy-MM-dd')
