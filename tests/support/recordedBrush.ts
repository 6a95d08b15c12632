/** A canvas that writes down what is drawn on it, so that drawings are tested without a browser. */
import type { Brush } from '../../app/drawing/brush'

/** A piece of a path: its kind, and the numbers it was made with. */
export interface Piece {
  readonly kind: 'arc' | 'curve' | 'line' | 'move' | 'rect' | 'close'
  readonly numbers: readonly number[]
}

/** Something that was put on the canvas. */
export interface Drawn {
  readonly how: 'fill' | 'stroke' | 'words' | 'clip'
  readonly ink: string
  readonly alpha: number
  readonly dash: readonly number[]
  readonly pieces: readonly Piece[]
  readonly words: string
}

/** Stands in for the browser's `Path2D`. */
export class RecordedPath {
  readonly pieces: Piece[] = []

  rect(...numbers: number[]) {
    this.pieces.push({ kind: 'rect', numbers })
  }

  roundRect(x: number, y: number, width: number, height: number) {
    this.rect(x, y, width, height)
  }

  moveTo(...numbers: number[]) {
    this.pieces.push({ kind: 'move', numbers })
  }

  arc(x: number, y: number, radius: number) {
    this.pieces.push({ kind: 'arc', numbers: [x, y, radius] })
  }
}

/** Letters are this wide, pixels. */
const LETTER = 6

export class RecordedBrush implements Brush {
  readonly drawn: Drawn[] = []
  fillStyle: Brush['fillStyle'] = ''
  strokeStyle: Brush['strokeStyle'] = ''
  font = ''
  globalAlpha = 1
  lineWidth = 1
  textBaseline: Brush['textBaseline'] = 'alphabetic'
  #dash: readonly number[] = []
  #path: Piece[] = []

  beginPath() {
    this.#path = []
  }
  moveTo(...numbers: number[]) {
    this.#path.push({ kind: 'move', numbers })
  }
  lineTo(...numbers: number[]) {
    this.#path.push({ kind: 'line', numbers })
  }
  arc(x: number, y: number, radius: number) {
    this.#path.push({ kind: 'arc', numbers: [x, y, radius] })
  }
  bezierCurveTo(...numbers: number[]) {
    this.#path.push({ kind: 'curve', numbers })
  }
  closePath() {
    this.#path.push({ kind: 'close', numbers: [] })
  }
  setLineDash(dash: Iterable<number>) {
    this.#dash = [...dash]
  }
  fill(path?: unknown) {
    this.#put('fill', this.fillStyle, path)
  }
  stroke(path?: unknown) {
    this.#put('stroke', this.strokeStyle, path)
  }
  fillRect(...numbers: number[]) {
    const rect: Piece = { kind: 'rect', numbers }
    this.drawn.push({ ...this.#look('fill', this.fillStyle), pieces: [rect], words: '' })
  }
  fillText(words: string, ...numbers: number[]) {
    const at: Piece = { kind: 'move', numbers }
    this.drawn.push({ ...this.#look('words', this.fillStyle), pieces: [at], words })
  }
  measureText(words: string) {
    return { width: words.length * LETTER }
  }
  save() {}
  restore() {}
  clip() {
    this.#put('clip', '', undefined)
  }

  #put(how: Drawn['how'], ink: unknown, path: unknown) {
    const pieces = path instanceof RecordedPath ? path.pieces : this.#path
    this.drawn.push({ ...this.#look(how, ink), pieces: [...pieces], words: '' })
  }

  #look(how: Drawn['how'], ink: unknown) {
    return { how, ink: String(ink), alpha: this.globalAlpha, dash: this.#dash }
  }
}
