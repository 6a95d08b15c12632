/** What the server speaks HTTPS with: a certificate of the user's, or one made at the first use. */
import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createSecureContext } from 'node:tls'
import { generate } from 'selfsigned'
import { machineAddresses, machineNames } from './reach'

export interface Certificate {
  /** Both in PEM. */
  readonly certificate: string
  readonly key: string
}

const TEN_YEARS = 3650 * 24 * 3600 * 1000

/** Reads a certificate and its key; throws in words where they are none, do not belong together or have run out. */
export function readCertificate(certificateFile: string, keyFile: string): Certificate {
  const read = { certificate: textOf('CERTIFICATE', certificateFile), key: textOf('CERTIFICATE_KEY', keyFile) }
  try {
    createSecureContext({ cert: read.certificate, key: read.key })
    const { validTo } = new X509Certificate(read.certificate)
    if (Date.parse(validTo) < Date.now()) throw new RangeError(`it ran out on ${validTo}`)
    return read
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error)
    throw new Error(
      `CERTIFICATE and CERTIFICATE_KEY do not make a certificate to serve with: ${why}. Name a PEM certificate and its key.`,
      {
        cause: error,
      },
    )
  }
}

function textOf(name: string, file: string): string {
  try {
    return readFileSync(file, 'utf8')
  } catch (error) {
    throw new Error(`${name} names “${file}”, which cannot be read. Name a PEM file.`, { cause: error })
  }
}

/** The certificate in a folder, made there at the first use for this machine's names and addresses. */
export async function ownCertificate(folder: string): Promise<Certificate> {
  const files = { certificate: join(folder, 'certificate.pem'), key: join(folder, 'key.pem') }
  if (!existsSync(files.certificate)) await make(folder, files)
  return readCertificate(files.certificate, files.key)
}

async function make(folder: string, files: { certificate: string; key: string }): Promise<void> {
  const [name = 'localhost'] = machineNames()
  const dnsNames = ['localhost', ...machineNames()].map((value) => ({ type: 2 as const, value }))
  const addresses = ['127.0.0.1', '::1', ...machineAddresses()].map((ip) => ({ type: 7 as const, ip }))
  const made = await generate([{ name: 'commonName', value: name }], {
    algorithm: 'sha256',
    keySize: 2048,
    notAfterDate: new Date(Date.now() + TEN_YEARS),
    extensions: [{ name: 'subjectAltName', altNames: [...dnsNames, ...addresses] }],
  })
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  writeFileSync(files.key, made.private, { mode: 0o600 })
  // The certificate comes last and at once: where it is, its key is too.
  writeFileSync(`${files.certificate}.unfinished`, made.cert)
  renameSync(`${files.certificate}.unfinished`, files.certificate)
}

/** What a browser shows of a certificate for people to compare. */
export const fingerprintOf = ({ certificate }: Certificate) => new X509Certificate(certificate).fingerprint256
