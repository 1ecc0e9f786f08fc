import { readFileSync } from 'node:fs'
import { create } from 'fontkitten'

/** Which of the code points asked for (`codes`) each of the fonts (`files`) has; asked and told as JSON. */
const { files, codes } = JSON.parse(readFileSync(0, 'utf8'))
const has = files.map((file) => {
  const font = create(readFileSync(file))
  return codes.filter(code => font.hasGlyphForCodePoint(code))
})
process.stdout.write(JSON.stringify(has))
