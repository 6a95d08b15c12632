/** Draws a part of the stage to scale on paper, as SVG whose millimetres are true. */
import type { DrawingPoint } from '../../drawing/drawingPoint'
import { NamePlaces } from '../../drawing/namePlaces'
import type { Projection, StagePoint } from '../../drawing/projections'
import type { PrintedArea } from '../pageSizes'

/** One unit of a drawing on paper, millimetres: names of eleven units are two millimetres high. */
export const UNIT_MM = 0.2

/** A drawing ready to be printed. */
export interface Drawing {
  readonly svg: string
  readonly widthMm: number
  readonly heightMm: number
}

/** A window onto the stage: where its lower left corner is, metres of the projection, and how it is printed. */
export interface View {
  readonly projection: Projection
  readonly left: number
  readonly bottom: number
  readonly widthMm: number
  readonly heightMm: number
  /** So many metres of the stage are one metre on paper. */
  readonly scale: number
}

/** What things are drawn with: on paper all is dark on light, and little of it coloured. */
export const INKS = {
  line: '#22302f',
  middle: '#5f6f6d',
  faint: '#b9c3c1',
  ground: '#f3f5f4',
  fill: '#e3e9e7',
  light: '#b4771d',
  lit: '#f3d9a4',
  mark: '#b5402c',
  paper: '#ffffff',
} as const

export interface Stroke {
  readonly fill?: string
  readonly stroke?: string
  /** Millimetres. */
  readonly width?: number
  /** Lengths of dashes and gaps, millimetres. */
  readonly dash?: readonly number[]
  /** Of the fill, 0 to 1. */
  readonly opacity?: number
}

export interface Lettering {
  readonly colour?: string
  readonly anchor?: 'start' | 'middle' | 'end'
  /** Height of the letters, units. */
  readonly size?: number
  readonly isBold?: boolean
}

/** Letters of names, units. */
export const NAME_SIZE = 11

export class Pen {
  readonly view: View
  /** Places taken by what is drawn so far, so that names run into nothing. */
  readonly names = new NamePlaces()
  readonly #parts: string[] = []
  /** The path being drawn, and how it looks. */
  #drawn: string[] = []
  #look = ''

  constructor(view: View) {
    this.view = view
  }

  /** Units of the drawing a metre. */
  get metre(): number {
    return 1000 / this.view.scale / UNIT_MM
  }

  get width(): number {
    return this.view.widthMm / UNIT_MM
  }

  get height(): number {
    return this.view.heightMm / UNIT_MM
  }

  /** Where a point of the stage is on the drawing. */
  at(point: StagePoint): DrawingPoint {
    const { across, up } = this.view.projection.project(point)
    return { x: (across - this.view.left) * this.metre, y: this.height - (up - this.view.bottom) * this.metre }
  }

  ring(points: readonly StagePoint[], stroke: Stroke): void {
    if (points.length > 1) this.path(`${this.#through(points)}Z`, stroke)
  }

  line(points: readonly StagePoint[], stroke: Stroke): void {
    if (points.length > 1) this.path(this.#through(points), stroke)
  }

  #through(points: readonly StagePoint[]): string {
    const placed = points.map((point) => this.at(point))
    return `M${placed.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`
  }

  /** A path in units of the drawing. Paths that look alike and follow each other are drawn as one, but what is seen through. */
  path(d: string, { fill = 'none', stroke = 'none', width = 0.18, dash, opacity }: Stroke): void {
    const dashes = dash ? ` stroke-dasharray="${dash.map((length) => length / UNIT_MM).join(' ')}"` : ''
    const shown = opacity === undefined ? '' : ` fill-opacity="${opacity}"`
    const look = `fill="${fill}"${shown} stroke="${stroke}" stroke-width="${width / UNIT_MM}" stroke-linejoin="round"${dashes}`
    if (look === this.#look && opacity === undefined) this.#drawn.push(d)
    else {
      this.#finishPath()
      this.#look = look
      this.#drawn = [d]
    }
  }

  #finishPath(): void {
    if (this.#drawn.length > 0) this.#parts.push(`<path d="${this.#drawn.join('')}" ${this.#look}/>`)
    this.#drawn = []
    this.#look = ''
  }

  /** Words that begin, or have their anchor, outside the drawing are left out. */
  text(
    { x, y }: DrawingPoint,
    words: string,
    { colour = INKS.line, anchor = 'start', size = NAME_SIZE, isBold = false }: Lettering = {},
  ): void {
    if (x < 0 || x > this.width || y < 0 || y > this.height) return
    this.#finishPath()
    this.#parts.push(
      `<text x="${x.toFixed(1)}" y="${y.toFixed(1)}" font-size="${size}" fill="${colour}" text-anchor="${anchor}"${isBold ? ' font-weight="bold"' : ''}>${escaped(words)}</text>`,
    )
  }

  /** All that was drawn, cut off at the edges of the view, in a frame. */
  finished(): Drawing {
    this.#finishPath()
    const { widthMm, heightMm } = this.view
    const [width, height] = [this.width, this.height]
    const edge = `<rect x="0" y="0" width="${width}" height="${height}"`
    return {
      svg:
        `<svg xmlns="http://www.w3.org/2000/svg" width="${inPoints(widthMm)}" height="${inPoints(heightMm)}" viewBox="0 0 ${width} ${height}">` +
        `<defs><clipPath id="sheet">${edge}/></clipPath></defs><g clip-path="url(#sheet)">${this.#parts.join('')}</g>` +
        `${edge} fill="none" stroke="${INKS.faint}" stroke-width="0.8"/></svg>`,
      widthMm,
      heightMm,
    }
  }
}

/** Points of type, of which an inch has 72. */
export const inPoints = (mm: number) => (mm * 72) / 25.4

/** Words as they may stand in XML: what has no place there is left out. */
export function escaped(words: string): string {
  const allowed = words.replace(/[^\t\n\r\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu, '')
  return allowed.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
}

/** Scales that drawings are made to. */
export const SCALES = [10, 20, 25, 50, 75, 100, 125, 150, 200, 250, 300, 400, 500, 1000] as const

/** The largest usual scale at which points fit on paper, with the points in the middle. */
export function viewAround(
  points: readonly StagePoint[],
  projection: Projection,
  paper: PrintedArea,
  spareMetres = 0.6,
): View {
  const placed = points.map(projection.project)
  const [left, right] = reach(placed.map(({ across }) => across))
  const [bottom, top] = reach(placed.map(({ up }) => up))
  const width = right - left + 2 * spareMetres
  const height = top - bottom + 2 * spareMetres
  const needed = Math.max((width * 1000) / paper.widthMm, (height * 1000) / paper.heightMm)
  const scale = SCALES.find((one) => one >= needed) ?? Math.ceil(needed / 500) * 500
  const metres = (mm: number) => (mm * scale) / 1000
  return {
    projection,
    scale,
    ...paper,
    left: (left + right) / 2 - metres(paper.widthMm) / 2,
    bottom: (bottom + top) / 2 - metres(paper.heightMm) / 2,
  }
}

function reach(numbers: readonly number[]): readonly [number, number] {
  return numbers.length === 0 ? [0, 0] : [Math.min(...numbers), Math.max(...numbers)]
}
