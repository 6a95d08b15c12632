/** Changes a fixture type and its modes. Fixtures of it are aimed anew. */
import { z } from 'zod'
import { Draft } from '../../show/draft'
import { fixtureMode, fixtureType } from '../../show/entities'
import { fixtureModeId, fixtureTypeId } from '../../show/ids'
import { modesOf } from '../../show/modes'
import { normalisedName } from '../../show/names'
import { command, done, refuse } from '../command'
import { gone } from '../shared/refusals'
import { typeInUse } from '../shared/typeWithModes'

export const changeType = command({
  input: fixtureType.extend({
    type: fixtureTypeId,
    /** Its modes as they shall be: those with an id are changed, those without are new, others go. */
    modes: z
      .array(fixtureMode.pick({ name: true, channels: true }).extend({ id: fixtureModeId.nullable() }))
      .min(1, 'a type needs at least one mode')
      .max(100),
  }),
  undoable: true,
  run(show, { type, modes, ...fields }, { newId }) {
    const known = show.all.fixtureType.get(type)
    if (!known) return gone('fixtureType', 'type')
    const taken = typeInUse(show, fields.maker, fields.name, type)
    if (taken) return taken
    if (new Set(modes.map((m) => normalisedName(m.name))).size < modes.length) return refuse('modes alike', {}, 'modes')
    const kept = new Set(modes.map((m) => m.id))
    const draft = new Draft(show).put('fixtureType', type, fields)
    for (const { id, mode } of modesOf(show, type)) {
      if (kept.has(id)) continue
      const users = [...show.all.fixture.values()].filter((f) => f.mode === id)
      if (users.length > 0) return refuse('mode in use', { name: mode.name, fixtures: users.length }, 'modes')
      draft.remove('fixtureMode', id)
    }
    for (const [i, { id, name, channels }] of modes.entries())
      draft.put('fixtureMode', id ?? newId(), { type, order: i + 1, name, channels })
    return done(draft, `change the type ${fields.name}`)
  },
})
