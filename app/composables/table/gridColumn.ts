/** A column of a table that is read, sorted and edited like a spreadsheet. */
export interface GridColumn<Row> {
  readonly key: string
  readonly name: string
  /** Pixels. */
  readonly width: number
  readonly isNumber?: boolean
  /** What stands in the cell. */
  readonly text: (row: Row) => string
  /** What it is sorted by, where that is not the text; null comes last. */
  readonly rank?: (row: Row) => number | string | null
  /** How it is edited: typed, or one of these. Left out where it cannot be. */
  readonly edit?: 'text' | readonly string[]
  /** Whether this cell of a row stands out. */
  readonly isMarked?: (row: Row) => boolean
  /** What is wrong with this cell of a row. */
  readonly trouble?: (row: Row) => string | null
}

/** Keeps a text in a column of some rows; resolves to the words of the refusal, or null. */
export type KeepCell = (rows: readonly string[], column: string, text: string) => Promise<string | null>

export interface GridPaste {
  readonly cells: readonly (readonly string[])[]
  /** The rows from the active one downwards, and the columns from the active one on, as they are shown. */
  readonly rows: readonly string[]
  readonly columns: readonly string[]
}
