import { setResponseHeaders, type H3Event } from 'h3'
import type { KeptPlan } from '../../schemas'
import { calendarOf } from '../export/calendar'

/** Answers evenings as an iCalendar file; where none were planned yet, an empty one. */
export function calendarFile(event: H3Event, plan: KeptPlan | undefined): string {
  setResponseHeaders(event, {
    'Content-Type': 'text/calendar; charset=utf-8',
    'Content-Disposition': 'attachment; filename="oxlip-evenings.ics"',
    'Cache-Control': 'private, no-cache',
  })
  return calendarOf(plan)
}
