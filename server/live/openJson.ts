/** The whole show as plain JSON, piece by piece, so that nobody waits while a large one is written. */
import { Readable } from 'node:stream'
import { showFileHead } from '#core/exchange/showFile'
import { KINDS } from '#core/show/kinds'
import type { Show } from '#core/show/show'
import type { StoredFiles } from '../database/fileRepository'
import { filesInJson } from './filesInJson'

/** So many records are written at a time. */
const AT_A_TIME = 500

function* written(show: Show, files: StoredFiles, madeAt: string): Generator<string> {
  yield `${JSON.stringify(showFileHead(show, madeAt)).slice(0, -1)},"contents":{`
  for (const [nth, kind] of KINDS.entries()) {
    yield `${nth > 0 ? ',\n' : ''}${JSON.stringify(kind)}:[`
    const records = [...show.all[kind]]
    for (let i = 0; i < records.length; i += AT_A_TIME) {
      const some = JSON.stringify(records.slice(i, i + AT_A_TIME)).slice(1, -1)
      yield `${i > 0 ? ',' : ''}\n${some}`
    }
    yield ']'
  }
  yield '}'
  yield* filesInJson(files)
  yield '}\n'
}

/** What `openShowDocument` is, with the files the show keeps, as text in UTF-8. */
export function openJson(show: Show, files: StoredFiles, madeAt: string): Readable {
  return Readable.from(written(show, files, madeAt))
}
