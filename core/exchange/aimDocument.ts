/** Aims for scripts: one JSON document in, one out. Metres and degrees. */
import { z } from 'zod'
import { rotation } from '../geometry/rotation'
import { HOME, mountHead, type Head } from '../kinematics/head'
import { issueInWords } from '../show/faults'
import { allWays, solveAim } from '../kinematics/inverse'

const id = z.string().min(1)
/** Ten turns either way: beyond that the ways to reach a place would be without number. */
const stop = z.number().min(-3600).max(3600)
const axis = z
  .object({
    min: stop,
    max: stop,
    speed: z.number().positive().optional(),
    acceleration: z.number().positive().optional(),
  })
  .refine((a) => a.min <= a.max, { message: 'min must not be above max', path: ['min'] })
const lens = z.object({ across: z.number(), normal: z.number(), forward: z.number() }).partial()

const shape = z.object({
  types: z.array(z.object({ id, pan: axis, tilt: axis, pivotDrop: z.number(), lens: lens.optional() })),
  fixtures: z.array(
    z.object({
      id,
      type: id,
      x: z.number(),
      y: z.number(),
      z: z.number(),
      yaw: z.number(),
      pitch: z.number(),
      roll: z.number(),
      reference: z.object({ pan: z.number(), tilt: z.number() }).optional(),
    }),
  ),
  targets: z.array(z.object({ id, x: z.number(), y: z.number(), z: z.number() })),
})

/** The document asked for. Ids are unique in their list and every fixture's type is in it. */
export const aimDocument = shape.superRefine((document, context) => {
  for (const list of ['types', 'fixtures', 'targets'] as const) {
    const seen = new Set<string>()
    document[list].forEach((item, i) => {
      if (seen.has(item.id))
        context.addIssue({ code: 'custom', path: [list, i, 'id'], message: `“${item.id}” stands twice` })
      seen.add(item.id)
    })
  }
  const types = new Set(document.types.map((type) => type.id))
  document.fixtures.forEach((fixture, i) => {
    if (!types.has(fixture.type))
      context.addIssue({ code: 'custom', path: ['fixtures', i, 'type'], message: `there is no type “${fixture.type}”` })
  })
})

export interface AimRow {
  readonly fixture: string
  readonly target: string
  readonly reachable: boolean
  readonly pan: number
  readonly tilt: number
  readonly missMetres: number
  readonly shortDegrees: number
  readonly throwMetres: number
  readonly alternatives: readonly { readonly pan: number; readonly tilt: number }[]
}

/** Solves every fixture at every target, fixtures outermost, in the document's order. */
export function solveDocument(document: z.infer<typeof aimDocument>): { aims: AimRow[] } {
  const heads = new Map<string, Head>(
    document.types.map(({ id: typeId, pan, tilt, pivotDrop, lens: off }) => [
      typeId,
      {
        pan,
        tilt,
        pivotDrop,
        lens: { across: off?.across ?? 0, normal: off?.normal ?? 0, forward: off?.forward ?? 0 },
      },
    ]),
  )
  const aims: AimRow[] = []
  for (const fixture of document.fixtures) {
    const head = heads.get(fixture.type)
    if (!head) throw new RangeError(`no type ${fixture.type}`)
    const frame = { origin: fixture, rotation: rotation(fixture.yaw, fixture.pitch, fixture.roll) }
    const mount = mountHead(head, frame)
    const reference = fixture.reference ?? HOME
    for (const target of document.targets) {
      const solved = solveAim(mount, target, { reference })
      aims.push({
        fixture: fixture.id,
        target: target.id,
        reachable: solved.reachable,
        pan: solved.pan,
        tilt: solved.tilt,
        missMetres: solved.reachable ? 0 : solved.missMetres,
        shortDegrees: solved.reachable ? 0 : solved.shortDegrees,
        throwMetres: solved.throwMetres,
        alternatives: allWays(mount, target, reference).map(({ pan, tilt }) => ({ pan, tilt })),
      })
    }
  }
  return { aims }
}

/** A fault of a document in one line that names its field: `fixtures[2].type: there is no …`. */
export function documentFaultInWords(error: z.ZodError): string {
  const issue = error.issues[0]
  if (!issue) return 'the document is not understood'
  const path = issue.path.reduce<string>(
    (text, key) => (typeof key === 'number' ? `${text}[${key}]` : text === '' ? String(key) : `${text}.${String(key)}`),
    '',
  )
  return `${path || 'document'}: ${issueInWords(issue).replace(/\s+/g, ' ')}`
}
