/** A text that begins a sentence or a label. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** A text within a sentence: its first letter small, unless it begins with a short form such as CA or P320. */
export const within = (text: string): string => (/^.(\p{Lu}|\d)/u.test(text) ? text : text.charAt(0).toLowerCase() + text.slice(1))
