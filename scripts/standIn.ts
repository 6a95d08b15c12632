/**
 * `npm run stand-in`: a rig to practise on, that hears what goes out on this machine and has a page of its own.
 * It hangs as the demonstration is drawn, or as a back-up is: `npm run stand-in -- show.rhopander`. SEED says
 * which errors it has.
 */
import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'
import { resolve } from 'node:path'
import { USUALLY_OFF } from '#core/standIn/hiddenErrors'
import { buildSaltLantern } from '#demo/saltLantern'
import { z } from 'zod'
import { handedOver, startProgram } from '../server/standIn/standIn'
import { buildWhenStale } from './build'
import { inWords } from './faultWords'

const seed = z.coerce
  .number('SEED must be a number from 1 to 999999')
  .int()
  .min(1)
  .max(999999)
  .default(USUALLY_OFF.seed)

function documentOf(file: string | undefined): unknown {
  if (file === undefined) return handedOver(buildSaltLantern('stand-in'))
  try {
    return JSON.parse(gunzipSync(readFileSync(file)).toString())
  } catch (error) {
    throw new Error(`${file} is not a back-up of a show. Save one from the show menu, and name that file.`, {
      cause: error,
    })
  }
}

async function start(): Promise<void> {
  const document = documentOf(process.argv[3])
  const how = { ...USUALLY_OFF, seed: seed.parse(process.env.SEED) }
  await buildWhenStale(console.log)
  const { child, url } = await startProgram(resolve('.output/server/standIn.mjs'), { document, how })
  console.log(`The stand-in rig is ready: ${url}`)
  console.log('It hears what is sent on this machine. Ctrl C stops it.')
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => child.kill())
  child.once('exit', (code) => process.exit(code ?? 0))
}

start().catch((error: unknown) => {
  console.error(inWords(error))
  process.exit(1)
})
