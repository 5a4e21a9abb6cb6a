/** The day that is so many days after `first`, both as yyyy-mm-dd. */
export function dayAfter(first: string, days: number): string {
  const date = new Date(`${first}T00:00:00Z`)
  date.setUTCDate(date.getUTCDate() + days)
  return date.toISOString().slice(0, 10)
}

/** How many days `day` is after `first`. */
export const daysBetween = (first: string, day: string) =>
  Math.round((Date.parse(`${day}T00:00:00Z`) - Date.parse(`${first}T00:00:00Z`)) / 86_400_000)

const short = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })

/** A day as it is told: Fri 4 Dec. What is no day is told as it was typed. */
export const dayText = (day: string) =>
  Number.isNaN(Date.parse(`${day}T00:00:00Z`)) ? day : short.format(new Date(`${day}T00:00:00Z`)).replace(',', '')

/** Minutes as they are told: 1 h 05. */
export const minutesText = (minutes: number) =>
  minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${`${minutes % 60}`.padStart(2, '0')}`
