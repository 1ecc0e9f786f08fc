import type { LocaleObject } from 'yup'

/** Every message names what would be right; the field itself is named by where the message stands. */
export const messages: LocaleObject = {
  mixed: {
    required: 'Is missing: fill it in.',
    notType: ({ type }) => `Should be ${type === 'array' ? 'a list' : `a ${type}`}.`,
    oneOf: 'Choose one of: ${values}.',
  },
  string: { min: 'Needs at least ${min} characters.', max: 'Use at most ${max} characters.', uuid: 'Should be an id (UUID).' },
  number: { min: 'Should be ${min} or more.', max: 'Should be ${max} or less.', integer: 'Should be a whole number.' },
  array: { min: 'Needs at least ${min}.', max: 'Takes at most ${max} at once.' },
  object: { noUnknown: 'Has fields that are not known: ${unknown}. Leave them out.' },
}
