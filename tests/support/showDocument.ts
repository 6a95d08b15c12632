/** Back-ups of a show as they are after unpacking. */
import { showFileHead } from '#core/exchange/showFile'
import { plainCollections } from '#core/history/collections'
import type { Show } from '#core/show/show'
import { compactJson } from './compactJson'

const MADE_AT = '2026-01-01T00:00:00.000Z'

/** As they were at first: lists of things with their ids. */
export function documentInRecords(show: Show) {
  return { ...showFileHead(show, MADE_AT), version: 1, contents: plainCollections(show) }
}

export function documentInColumns(show: Show) {
  const contents: unknown = JSON.parse(compactJson(show))
  return { ...showFileHead(show, MADE_AT), contents }
}
