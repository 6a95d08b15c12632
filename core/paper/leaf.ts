/** What papers are made of, before it is laid out on pages: leaves of words, tables and drawings. */
import type { Drawing } from './drawing/pen'

export interface Column {
  readonly title: string
  /** Millimetres; left out for as wide as its words, `rest` for what is left. */
  readonly width?: number | 'rest'
  readonly align?: 'right' | 'centre'
}

export interface Row {
  /** What it tells of, the same in every print. */
  readonly key: string
  readonly cells: readonly PaperCell[]
}

export type PaperCell =
  | { readonly kind: 'words'; readonly words: string; readonly isStrong?: boolean }
  | { readonly kind: 'drawing'; readonly drawing: Drawing }
  | { readonly kind: 'tick' }
  /** Room to write by hand. */
  | { readonly kind: 'room' }

export type Block =
  | { readonly kind: 'words'; readonly words: string }
  | { readonly kind: 'facts'; readonly facts: readonly (readonly [name: string, value: string])[] }
  /** Beside each other, each with what it shows. */
  | { readonly kind: 'drawings'; readonly drawings: readonly { readonly title: string; readonly drawing: Drawing }[] }
  | { readonly kind: 'table'; readonly columns: readonly Column[]; readonly rows: readonly Row[] }
  | { readonly kind: 'cards'; readonly across: number; readonly cards: readonly Card[] }
  /** Lines to write on by hand. */
  | { readonly kind: 'writing'; readonly lines: number }

export interface Card {
  readonly key: string
  readonly title: string
  readonly words: string
  /** `#rrggbb`, of a stripe beside it. */
  readonly colour: string | null
  readonly drawing: Drawing | null
}

/** What begins on a new page. */
export interface Leaf {
  /** What it tells of, the same in every print. */
  readonly key: string
  readonly title: string
  readonly under: string
  readonly isLandscape: boolean
  readonly blocks: readonly Block[]
}
