import type { LocaleObject } from 'yup'

/** Every message names what would be right; the field itself is named by where the message stands. */
export const messages: LocaleObject = {
  mixed: {
    required: 'Is missing: fill it in.',
    notType: ({ type }) => `Should be ${type === 'array' ? 'a list' : `a ${type}`}.`,
    oneOf: 'Choose one of: ${values}.',
  },
  string: {
    min: ({ min }) => (min === 1 ? 'Is empty: write something.' : `Is too short: write ${min} letters or more.`),
    max: 'Is too long: ${max} letters are the most.',
    uuid: 'Should be an id (UUID).',
  },
  number: { min: 'Should be ${min} or more.', max: 'Should be ${max} or less.', integer: 'Should be a whole number.' },
  array: { min: 'Should have ${min} or more.', max: 'Is too many: ${max} at once are the most.' },
  object: { noUnknown: 'Has fields that are not known: ${unknown}. Leave them out.' },
}
