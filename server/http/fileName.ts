/** What a file is called that somebody fetches. */
import { showRecordOf, type Show } from '#core/show/show'

/** The head of an answer that says so: the show's name and the minute. `madeAt` is an instant as text. */
export function fileNameOf(show: Show, madeAt: string, ending: string): { 'content-disposition': string } {
  const name = `${showRecordOf(show).name} ${madeAt.slice(0, 16).replace(/[T:]/g, '-')}`.replace(
    /[^\p{L}\p{N} _-]/gu,
    '',
  )
  return {
    'content-disposition': `attachment; filename="show.${ending}"; filename*=UTF-8''${encodeURIComponent(name)}.${ending}`,
  }
}
