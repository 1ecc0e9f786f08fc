import { format, isSameDay } from 'date-fns'

/** A clock time, with the day when it is not today, of a day long ago or far ahead that alone: `19:43`, `Tue 09:10`, `5 Dec 2019`. */
export function clockTime(iso: string | Date, now: Date): string {
  const at = new Date(iso)
  if (isSameDay(at, now)) return format(at, 'HH:mm')
  const days = Math.abs(at.getTime() - now.getTime()) / 86_400_000
  return format(at, days < 6 ? 'EEE HH:mm' : days < 300 ? 'd MMM HH:mm' : 'd MMM yyyy')
}

/** A day as it is said: `Sat 5 Dec`. */
export const dayWords = (day: string): string => format(new Date(`${day}T12:00:00`), 'EEE d MMM')

/** The day of a moment that lies back (ISO 8601), with its year where that is another than this. */
export function pastDay(moment: string): string {
  const at = new Date(moment)
  return format(at, at.getFullYear() === new Date().getFullYear() ? 'd MMM' : 'd MMM yyyy')
}

const NUMBERS = ['None', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve']

/** A small number as a word, a larger one in figures. */
export const countWord = (count: number): string => NUMBERS[count] ?? String(count)

/** That it is all of so many, of two or more: `Both`, `All three`. */
export const allWord = (count: number): string => (count === 2 ? 'Both' : `All ${countWord(count).toLowerCase()}`)
