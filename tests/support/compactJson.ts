/** A whole show as the server sends it, in columns. */
import { ColumnWriter } from '#core/history/compact'
import { KINDS, type Kind } from '#core/show/kinds'
import type { Show } from '#core/show/show'

export function compactJson(show: Show): string {
  const written = <K extends Kind>(kind: K) => [...new ColumnWriter(kind).pieces(show.all[kind])].join('')
  return `{"columns":{${KINDS.map((kind) => `"${kind}":${written(kind)}`).join(',')}}}`
}
