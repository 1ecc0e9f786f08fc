const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' })

/** A day (YYYY-MM-DD, or a moment that begins so) as it is said: `8 Jun 2026`. */
export const day = (iso: string): string => DAY.format(new Date(`${iso.slice(0, 10)}T00:00:00Z`))
