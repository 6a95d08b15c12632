/** Brings palettes in from a sheet: new ones, and instead of or beside those whose number is taken. */
import { z } from 'zod'
import { putReaching, type ReachingValue } from '../../palettes/reach'
import { forgetRecorded } from '../../palettes/recorded'
import { keepUnserved } from '../../palettes/unserved'
import { Draft } from '../../show/draft'
import { palette as paletteSchema } from '../../show/entities'
import { attributeId } from '../../attributes/attribute'
import { asPaletteId, fixtureId, fixtureTypeId, paletteId, type PaletteId } from '../../show/ids'
import {
  aimValue,
  anglesValue,
  fitsAttribute,
  MISFIT_OF_ATTRIBUTE,
  colourValue,
  numberValue,
  partsValue,
  poolValue,
  spinValue,
} from '../../show/values'
import { command, done, refuse } from '../command'
import { freeNumbers } from '../../show/freeNumbers'
import { linkTrouble } from '../shared/refusals'
import { counted } from '../../show/counted'

const whom = z.union([z.literal('any'), z.strictObject({ own: fixtureId }), z.strictObject({ kind: fixtureTypeId })])
const sheetValue = z.union([
  z.discriminatedUnion('kind', [aimValue, anglesValue, numberValue, spinValue, colourValue, partsValue, poolValue]),
  /** A palette of the sheet or of the show, by number. */
  z.strictObject({ link: z.number() }),
])
const sheetPalette = z.strictObject({
  palette: paletteSchema,
  values: z.array(
    z
      .strictObject({ whom, attribute: attributeId, value: sheetValue })
      .refine(({ attribute, value }) => 'link' in value || fitsAttribute({ attribute, value }), MISFIT_OF_ATTRIBUTE),
  ),
})

export const importPalettes = command({
  input: z.strictObject({
    palettes: z.array(sheetPalette).min(1),
    /** What becomes of those whose number a palette of the show has. */
    taken: z.enum(['replace', 'leave out', 'renumber']),
  }),
  undoable: true,
  run(show, { palettes, taken }, { newId }) {
    const seen = new Set<number>()
    const twice = palettes.find(({ palette: { number } }) => seen.size === seen.add(number).size)
    if (twice) return refuse('number twice', { number: twice.palette.number, where: 'in the sheet' }, 'palettes')
    const byNumber = new Map([...show.all.palette].map(([id, { number }]) => [number, asPaletteId(id)]))
    const coming = palettes.filter(({ palette }) => taken !== 'leave out' || !byNumber.has(palette.number))
    if (coming.length === 0) return refuse('nothing new in sheet', {}, 'taken')
    const clashing = taken === 'renumber' ? coming.filter(({ palette }) => byNumber.has(palette.number)).length : 0
    const highest = Math.max(...byNumber.keys(), ...coming.map(({ palette }) => palette.number), 0)
    const free = freeNumbers(show.all.palette.values(), highest + 1, clashing)
    const idOf = new Map(byNumber)
    const placed = coming.map(({ palette, values }) => {
      const known = byNumber.get(palette.number)
      const isMoved = known !== undefined && taken === 'renumber'
      const id = known !== undefined && !isMoved ? known : paletteId.parse(newId())
      const number = isMoved ? (free.shift() ?? palette.number) : palette.number
      idOf.set(palette.number, id)
      return { id, palette: { ...palette, number }, values }
    })
    const draft = new Draft(show)
    for (const { id, palette, values } of placed) {
      draft.put('palette', id, palette)
      draft.remove('paletteSpread', id)
      forgetRecorded(show, draft, id)
      putReaching(
        show,
        draft,
        id,
        values.flatMap((value) => storedAs(value, idOf)),
        { replace: () => true },
      )
    }
    const ids = placed.map(({ id }) => id)
    const trouble = linkTrouble(draft.result(), ids)
    if (trouble) return trouble
    for (const id of ids) if (show.all.palette.has(id)) keepUnserved(draft, id)
    const count = counted(placed.length, 'palette')
    return done(draft, `import ${count}`)
  },
})

type SheetValue = z.infer<typeof sheetPalette>['values'][number]

function storedAs(
  { whom: served, attribute, value }: SheetValue,
  idOf: ReadonlyMap<number, PaletteId>,
): ReachingValue[] {
  if (!('link' in value)) return [{ whom: served, attribute, value }]
  const palette = idOf.get(value.link)
  return palette ? [{ whom: served, attribute, value: { kind: 'link', palette } }] : []
}
