import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

/** What the screens show beyond plain letters, and what a European name may have in it (ISO 8859-1, -2, -9 and -15, letters only). */
const NAMES = 'ÀÁÂÃÄÅÆÇÈÉÊËÌÍÎÏÐÑÒÓÔÕÖØÙÚÛÜÝÞßàáâãäåæçèéêëìíîïðñòóôõöøùúûüýþÿĄąĆćČčĎďĐđĘęĚěĞğİıŁłŃńŇňŐőŒœŘřŚśŞşŠšŤťŮůŰűŹźŻżŽž'
const ALWAYS = 'µ→≤≥≈×½'
const FILES = ['app', 'core', 'reference', 'schemas', 'devices']

interface Face {
  family: string
  file: string
  covers: (code: number) => boolean
}

/** The faces that a style sheet brings, each with the signs it may be asked for. */
function facesOf(sheet: string, folder: string): Face[] {
  const blocks = readFileSync(sheet, 'utf8').match(/@font-face\s*\{[^}]*\}/g) ?? []
  return blocks.filter(one => !/font-style:\s*italic/.test(one)).map((block) => {
    const file = `${folder}/${/url\("?(?:\.\/|\.\.\/fonts\/)?([^")]+)"?\)/.exec(block)![1]}`
    const ranges = /unicode-range:\s*([^;]+);/.exec(block)![1]!.split(',').map((range) => {
      const [from, to = from] = range.trim().replace('U+', '').split('-')
      return [parseInt(from!, 16), parseInt(to!, 16)] as const
    })
    return {
      family: /font-family:\s*["']?([^"';]+)/.exec(block)![1]!,
      file,
      covers: code => ranges.some(([from, to]) => code >= from && code <= to),
    }
  })
}

const PACKAGES = 'node_modules/@fontsource-variable'
const faces = [
  ...['atkinson-hyperlegible-next', 'atkinson-hyperlegible-mono', 'bricolage-grotesque'].flatMap(name =>
    facesOf(`${PACKAGES}/${name}/index.css`, `${PACKAGES}/${name}`)),
  ...facesOf('app/assets/css/main.css', 'app/assets/fonts'),
]
const stacks = [...readFileSync('app/assets/css/main.css', 'utf8').matchAll(/--font-\w+: [^;]+/g)].map(([line]) =>
  line.match(/"[^"]+"/g)!.map(one => one.slice(1, -1)))

/** The signs in what the screens are made of. */
function signs(): string[] {
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard', ...FILES], { encoding: 'utf8' }).split('\n')
  const texts = files.filter(file => /\.(ts|vue)$/.test(file) && !file.endsWith('.test.ts')).map(file => readFileSync(file, 'utf8'))
  return [...new Set(texts.join(''))].filter(sign => sign.codePointAt(0)! > 0x7F)
}

it('every sign on the screens and every accent of a European name is in the faces that ship', () => {
  expect(stacks).toHaveLength(3)
  const wanted = [...new Set([...signs(), ...NAMES, ...ALWAYS])]
  expect(wanted.length).toBeGreaterThan(130)
  const codes = wanted.map(sign => sign.codePointAt(0)!)
  const asked = JSON.stringify({ files: faces.map(face => face.file), codes })
  const there = JSON.parse(execFileSync('node', ['tests/rules/font-signs.mjs'], { input: asked, encoding: 'utf8' })) as number[][]
  for (const stack of stacks) {
    const missing = wanted.filter((sign) => {
      const code = sign.codePointAt(0)!
      return !faces.some((face, index) => stack.includes(face.family) && face.covers(code) && there[index]!.includes(code))
    })
    expect({ stack, missing }).toEqual({ stack, missing: [] })
  }
})
