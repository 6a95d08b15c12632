/** What may be set in the environment of `npm start`. */
import { z } from 'zod'

const settings = z.object({
  PORT: z.coerce
    .number('PORT must be a number from 1 to 65535')
    .int('PORT must be a whole number')
    .min(1, 'PORT must be at least 1')
    .max(65535, 'PORT must be at most 65535')
    .default(4310),
  DATA: z.string().min(1, 'DATA must be a folder').default('data'),
  HOST: z.string().min(1, 'HOST must be an address of this machine, such as 127.0.0.1').default('127.0.0.1'),
})

export interface Settings {
  readonly port: number
  readonly host: string
  /** The folder of the database and the logs. */
  readonly folder: string
}

/** Throws in words for a person when one is not understood. */
export function readSettings(environment: NodeJS.ProcessEnv): Settings {
  const read = settings.safeParse(environment)
  if (read.success) return { port: read.data.PORT, host: read.data.HOST, folder: read.data.DATA }
  const [issue] = read.error.issues
  const name = String(issue?.path[0])
  throw new Error(`${issue?.message}; it is “${environment[name]}”. Correct it, or leave it out for the usual one.`)
}
