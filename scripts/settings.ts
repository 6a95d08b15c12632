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
  HTTPS: z.enum(['yes', 'no'], 'HTTPS must be yes or no').default('no'),
  CERTIFICATE: z.string().min(1, 'CERTIFICATE must be a file').optional(),
  CERTIFICATE_KEY: z.string().min(1, 'CERTIFICATE_KEY must be a file').optional(),
})

/** Whether it serves over HTTPS, and whose certificate with. */
export type Https =
  | { readonly kind: 'none' }
  | { readonly kind: 'own' }
  | { readonly kind: 'given'; readonly certificateFile: string; readonly keyFile: string }

export interface Settings {
  readonly port: number
  readonly host: string
  /** The folder of the database and the logs. */
  readonly folder: string
  readonly https: Https
}

/** Throws in words for a person when one is not understood. */
export function readSettings(environment: NodeJS.ProcessEnv): Settings {
  const read = settings.safeParse(environment)
  if (!read.success) {
    const [issue] = read.error.issues
    const name = String(issue?.path[0])
    throw new Error(`${issue?.message}; it is “${environment[name]}”. Correct it, or leave it out for the usual one.`)
  }
  const { PORT, HOST, DATA, HTTPS, CERTIFICATE, CERTIFICATE_KEY } = read.data
  return { port: PORT, host: HOST, folder: DATA, https: httpsOf(HTTPS === 'yes', CERTIFICATE, CERTIFICATE_KEY) }
}

function httpsOf(isWanted: boolean, certificateFile: string | undefined, keyFile: string | undefined): Https {
  if (certificateFile !== undefined && keyFile !== undefined) return { kind: 'given', certificateFile, keyFile }
  if (certificateFile !== undefined)
    throw new Error('CERTIFICATE needs CERTIFICATE_KEY beside it: the file of the certificate’s key.')
  if (keyFile !== undefined)
    throw new Error('CERTIFICATE_KEY needs CERTIFICATE beside it: the file of the key’s certificate.')
  return isWanted ? { kind: 'own' } : { kind: 'none' }
}
