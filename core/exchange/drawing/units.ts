/** Units a drawing may be in, and how many metres each is. */
export const UNITS = { mm: 0.001, cm: 0.01, m: 1, in: 0.0254, ft: 0.3048 } as const
export type DrawingUnit = keyof typeof UNITS
export const UNIT_NAMES = ['mm', 'cm', 'm', 'in', 'ft'] as const satisfies readonly DrawingUnit[]

/** Which way is up in a drawing that does not say. */
export const UPS = ['y', 'z'] as const
export type Up = (typeof UPS)[number]

export const isDrawing = (fileName: string) => /\.(dxf|obj|glb)$/i.test(fileName)

/** What `$INSUNITS` of a DXF file says; others, and 0, say nothing. */
export const DXF_UNITS: ReadonlyMap<number, DrawingUnit> = new Map([
  [1, 'in'],
  [2, 'ft'],
  [4, 'mm'],
  [5, 'cm'],
  [6, 'm'],
])
