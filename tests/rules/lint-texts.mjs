// Lints texts as if they stood at the given places: reads [[path, text], ...] from standard input, prints the messages of the import
// rules, a list a text.
import { ESLint } from 'eslint'

let input = ''
for await (const chunk of process.stdin) input += chunk
const eslint = new ESLint()
const results = []
for (const [filePath, text] of JSON.parse(input)) {
  const [result] = await eslint.lintText(text, { filePath })
  results.push(
    result.messages
      .filter(one => one.ruleId?.includes('no-restricted'))
      .map(one => one.message)
      .join(' '),
  )
}
process.stdout.write(JSON.stringify(results))
