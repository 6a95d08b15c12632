/** The file an underlay of lines is kept as: the lines of each layer, as path data of SVG with y upwards. */
import { z } from 'zod'

const path = z
  .string()
  .max(20_000_000)
  .regex(/^[ML0-9 .-]*$/, 'lines are M and L with two numbers each')

export const linesFile = z.strictObject({
  layers: z.array(z.strictObject({ name: z.string().max(120), path })).max(1000),
})
export type LinesFile = z.infer<typeof linesFile>

/** As it is written: what is equal is written alike. */
export function linesAsText({ layers }: LinesFile): string {
  return JSON.stringify({ layers: layers.map(({ name, path: data }) => ({ name, path: data })) })
}
