/** Reads a photometric file whole; its letters are those of Western Europe where they are no UTF-8. */
import { LARGEST_PHOTOMETRY, readPhotometry, type PhotometryReading } from '#core/exchange/photometry/photometry'

export async function readPhotometryFile(file: File): Promise<PhotometryReading> {
  if (file.size > LARGEST_PHOTOMETRY) return { ok: false, message: 'It is larger than a photometric file is.' }
  const bytes = await file.arrayBuffer()
  return readPhotometry(asText(bytes))
}

function asText(bytes: ArrayBuffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
