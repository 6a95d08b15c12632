/** `npm run -s check`: reads a back-up of a show on standard input, writes what is wrong with its moves on standard output; ends with 1 when something is. */
import { buffer } from 'node:stream/consumers'
import { readShowDocument } from '#core/exchange/showFile'
import { showId } from '#core/show/ids'
import { travelFindings } from '#core/travel/findings'
import { parsedJson, refuse, unpacked } from './input'

const read = readShowDocument(parsedJson(unpacked(await buffer(process.stdin))), showId.parse('checked'))
if (!read.ok) refuse(`document: ${read.message}`)
const found = travelFindings(read.show)
process.stdout.write(`${JSON.stringify(found)}\n`)
const wrong = [found.tooFast, found.sweeps, found.wrongPlaces, found.noTime]
process.exitCode = wrong.some(({ length }) => length > 0) ? 1 : 0
