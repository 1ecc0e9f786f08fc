/** How moments are written on paper, by the clock of one place. */
export interface Times {
  /** `19:05`. */
  clock: (moment: Date) => string
  /** `Saturday 5 December`. */
  weekday: (moment: Date) => string
  /** `5 December 2026`. */
  day: (moment: Date) => string
}

/** Times by the clock of a time zone, of the machine itself where none is named. */
export function timesIn(zone?: string): Times {
  const written = (how: Intl.DateTimeFormatOptions) => {
    const format = new Intl.DateTimeFormat('en-GB', { ...how, timeZone: zone })
    const order = ['weekday', 'day', 'month', 'year']
    return (moment: Date) => {
      const parts = format.formatToParts(moment)
      return order.flatMap(type => parts.filter(part => part.type === type).map(part => part.value)).join(' ')
    }
  }
  const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone: zone })
  return {
    clock: moment => clock.format(moment),
    weekday: written({ weekday: 'long', day: 'numeric', month: 'long' }),
    day: written({ day: 'numeric', month: 'long', year: 'numeric' }),
  }
}
