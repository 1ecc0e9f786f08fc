import { errorsOf, newPenSchema, type FieldErrors, type NewPen } from '#schemas'

/** A pen form as it is first shown. */
export const emptyPen = (): NewPen => ({
  mark: '',
  name: '',
  reason: null,
  due: null,
  fitting: '',
  material: '',
  method: 'ca-thin-first',
  tool: 'skew',
  film: 'gloss',
  blank: null,
})

/** The form without stray spaces, as it is sent. */
export const tidyPen = (form: NewPen): NewPen => ({ ...form, name: form.name.trim(), reason: form.reason?.trim() || null })

/** What is wrong with a pen form, by field; empty when nothing is. */
export const penErrors = (form: NewPen): FieldErrors => errorsOf(newPenSchema, form)

/** The name of one of several: its number where the pattern has a #, else after it. */
export const numbered = (pattern: string, number: number): string =>
  pattern.includes('#') ? pattern.replaceAll('#', `${number}`) : pattern.trim() ? `${pattern.trim()} ${number}` : ''
