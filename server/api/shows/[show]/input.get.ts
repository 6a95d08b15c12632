/** What comes in on a network interface: levels as they change, and each second what was heard and from whom. */
import { getQuery } from 'h3'
import { z } from 'zod'
import { spansOf } from '#core/patch/span'
import { defineApi } from '../../../http/api'
import { showOf } from '../../../http/showOf'
import { answerWithLine } from '../../../http/streams'
import { sourceIdOf } from '../../../output/wire/packets'
import { useShowRegistry } from '../../../shows/useShowRegistry'

const asked = z.object({ from: z.ipv4(), first: z.coerce.number().int().min(1).max(63999) })

export default defineApi(async (event) => {
  const live = await showOf(event, 'programs')
  const { from, first } = asked.parse(getQuery(event))
  const { inputs, installation } = await useShowRegistry()
  const patched = [...new Set(spansOf(live.show).map(({ universe }) => universe - 1 + first))].sort((a, b) => a - b)
  return answerWithLine(event, (line) =>
    inputs.subscribe(from, patched, {
      levels: (changed) => {
        const universes = changed.map(([protocol, universe, levels]) => [
          ...[protocol, universe, Buffer.from(levels).toString('base64')],
        ])
        void line.push({ event: 'levels', data: JSON.stringify(universes) })
      },
      heard: ({ heard, load }) => {
        const own = new Set(
          [...live.show.all.output.keys()].map((id) => Buffer.from(sourceIdOf(installation, id)).toString('hex')),
        )
        const sources = heard.sources.map((one) => ({ ...one, isOwn: own.has(one.source) }))
        void line.push({ event: 'heard', data: JSON.stringify({ ...heard, sources, load }) })
      },
    }),
  )
})
