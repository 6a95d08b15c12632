/** `npm run -s aim`: reads a JSON document on standard input, writes the aims on standard output. */
import { text } from 'node:stream/consumers'
import { aimDocument, documentFaultInWords, solveDocument } from '#core/exchange/aimDocument'

/** Says what is wrong in one line and ends with the code for bad input. */
function refuse(message: string): never {
  process.stderr.write(`${message}\n`)
  process.exit(2)
}

function parseJson(source: string): unknown {
  try {
    return JSON.parse(source.replace(/^\uFEFF/, ''))
  } catch (error) {
    return refuse(`document: not JSON (${error instanceof Error ? error.message.replace(/\s+/g, ' ') : 'unreadable'})`)
  }
}

const checked = aimDocument.safeParse(parseJson(await text(process.stdin)))
if (!checked.success) refuse(documentFaultInWords(checked.error))
process.stdout.write(`${JSON.stringify(solveDocument(checked.data))}\n`)
