/** Files as a field of a show's document: what is in them in base 64, by their digests. */
import type { StoredFiles } from '../database/fileRepository'

/** Pieces of text that stand behind the other fields, before what closes the document. */
export function* filesInJson(files: StoredFiles): Generator<string> {
  if (files.size === 0) return
  yield ',\n"files":{'
  let before = ''
  for (const [digest, bytes] of files) {
    yield `${before}"${digest}":"${Buffer.from(bytes).toString('base64')}"`
    before = ','
  }
  yield '}'
}
