/** Gives a file to whoever sits here, under a name. */
export function saveFile(content: Blob, name: string): void {
  const address = URL.createObjectURL(content)
  const link = document.createElement('a')
  Object.assign(link, { href: address, download: name })
  link.click()
  URL.revokeObjectURL(address)
}
