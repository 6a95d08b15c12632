/** `npm run -s aim`: reads a JSON document on standard input, writes the aims on standard output. */
import { text } from 'node:stream/consumers'
import { aimDocument, documentFaultInWords, solveDocument } from '#core/exchange/aimDocument'
import { parsedJson, refuse } from './input'

const checked = aimDocument.safeParse(parsedJson(await text(process.stdin)))
if (!checked.success) refuse(documentFaultInWords(checked.error))
process.stdout.write(`${JSON.stringify(solveDocument(checked.data))}\n`)
