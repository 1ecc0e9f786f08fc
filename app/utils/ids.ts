const hex = (byte: number): string => byte.toString(16).padStart(2, '0')

/**
 * A new id (UUID, version 4). Browsers make them by themselves only where the page came over HTTPS or from this machine; random numbers
 * they give everywhere.
 */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  const marked = Array.from(bytes, (byte, index) => (index === 6 ? (byte & 0x0f) | 0x40 : index === 8 ? (byte & 0x3f) | 0x80 : byte)).map(
    hex,
  )
  return [marked.slice(0, 4), marked.slice(4, 6), marked.slice(6, 8), marked.slice(8, 10), marked.slice(10)]
    .map(part => part.join(''))
    .join('-')
}
