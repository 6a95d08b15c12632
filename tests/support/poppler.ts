/** Debian's poppler: an independent eye on the PDFs that are made. */
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { installPackages } from '../../scripts/packages'

/** Installs it where it is missing and may be; throws where it cannot be had. */
export function ensurePoppler(): void {
  if (existsSync('/usr/bin/pdftotext')) return
  installPackages(['poppler-utils'])
}

function run(program: string, args: readonly string[], pdf: Uint8Array): Buffer {
  const { status, stdout, stderr } = spawnSync(program, args, { input: pdf, maxBuffer: 200_000_000 })
  if (status !== 0) throw new Error(`${program}: ${String(stderr)}`)
  return stdout
}

/** The words of a page, from 1, laid out as they stand on it. */
export function wordsOfPage(pdf: Uint8Array, page: number): string {
  return run('pdftotext', ['-layout', '-f', String(page), '-l', String(page), '-', '-'], pdf).toString('utf8')
}

/** "Pages", "Page size" and whatever else it tells. */
export function toldOf(pdf: Uint8Array): ReadonlyMap<string, string> {
  const lines = run('pdfinfo', ['-'], pdf).toString('utf8').split('\n')
  return new Map(lines.map((line) => [line.slice(0, line.indexOf(':')), line.slice(line.indexOf(':') + 1).trim()]))
}

/** The fonts it uses, and whether each is embedded. */
export function fontsOf(pdf: Uint8Array): { name: string; isEmbedded: boolean }[] {
  return run('pdffonts', ['-'], pdf)
    .toString('utf8')
    .split('\n')
    .slice(2)
    .filter(Boolean)
    .map((line) => ({
      name: line.split(/\s+/)[0] ?? '',
      isEmbedded: / (yes|no) (yes|no) (yes|no) +\d+/.exec(line)?.[1] === 'yes',
    }))
}

/** A page in greys, ten pixels a millimetre: rows of 0, black, to 255. */
export function greysOfPage(pdf: Uint8Array, page: number): readonly Uint8Array[] {
  const args = ['-gray', '-r', '254', '-f', String(page), '-l', String(page)]
  const image = run('pdftoppm', args, pdf)
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(image.subarray(0, 40).toString('latin1'))
  if (!head) throw new Error('pdftoppm made no picture in greys')
  const [width, height] = [Number(head[1]), Number(head[2])]
  return Array.from({ length: height }, (_, y) =>
    image.subarray(head[0].length + y * width, head[0].length + (y + 1) * width),
  )
}
