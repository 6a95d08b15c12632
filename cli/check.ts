/** `npm run -s check`: reads a back-up of a show on standard input, writes what is wrong with its moves on standard output; ends with 1 when something is. */
import { buffer } from 'node:stream/consumers'
import { readShowDocument } from '#core/exchange/showFile'
import { showId } from '#core/show/ids'
import { travelFindings } from '#core/travel/check'
import { parsedJson, refuse, unpacked } from './input'

const read = readShowDocument(parsedJson(unpacked(await buffer(process.stdin))), showId.parse('checked'))
if (!read.ok) refuse(`document: ${read.message}`)
const found = travelFindings(read.show)
process.stdout.write(`${JSON.stringify(found)}\n`)
process.exitCode = found.tooFast.length + found.sweeps.length > 0 ? 1 : 0
