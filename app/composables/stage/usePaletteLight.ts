/** What a palette's light looks like: where it falls, its colour, or its values in words. */
import { LEADING } from '#core/attributes/catalogue'
import { computed, onUnmounted, ref } from 'vue'
import { paletteLight } from '#core/cues/paletteLight'
import { beamLook } from '#core/palettes/beamLook'
import { attributesServed, paletteValueFor, resolveValue } from '#core/palettes/resolve'
import { glanceAt, servedBy } from '#core/palettes/use'
import { wheelOf } from '#core/show/attributeRange'
import { valueInWords } from '#core/refocus/paletteLines'
import { attributeName, type Attribute } from '#core/attributes/attribute'
import { hexOf } from '#core/colour/colour'
import { madeColour } from '#core/show/colours'
import type { PaletteId } from '#core/show/ids'
import { colourIn } from '#core/show/values'
import { entity, showRecordOf, type Show } from '#core/show/show'

/** Values said on a card. */
const MOST_WORDS = 3
/** Fixtures that are solved at once. */
const FEW = 40

/** Runs something when the browser has time for it, unless the component is gone by then. */
function onWhenIdle(run: () => void) {
  if ('requestIdleCallback' in window) {
    const waiting = requestIdleCallback(run, { timeout: 1000 })
    onUnmounted(() => cancelIdleCallback(waiting))
  } else {
    const waiting = setTimeout(run, 100)
    onUnmounted(() => clearTimeout(waiting))
  }
}

export function usePaletteLight(show: () => Show, palette: () => PaletteId) {
  const served = computed(() => servedBy(show(), palette()))
  const venue = computed(() => entity(show(), 'venue', showRecordOf(show()).venue))
  /** Solving hundreds of heads waits for a moment in which nothing else is to be done. */
  const isDue = ref(served.value.length <= FEW)
  if (!isDue.value) onWhenIdle(() => (isDue.value = true))
  const lights = computed(() => (isDue.value ? paletteLight(show(), palette()) : []))
  const isPlaced = computed(() => {
    const { hasAims, hasAngles } = glanceAt(show(), palette())
    return hasAims || hasAngles || lights.value.length > 0
  })
  const outOfReach = computed(() => lights.value.filter((f) => f.position.state === 'out of reach').length)

  /** What the first fixture served gets, attribute by attribute. */
  const values = computed(() => {
    const [first] = served.value
    if (!first) return []
    return attributesServed(show(), palette(), first).flatMap((attribute) => {
      const stored = paletteValueFor(show(), palette(), first, attribute)
      const value = stored && resolveValue(show(), first, attribute, stored).value
      return value ? [{ attribute, value, type: first.type }] : []
    })
  })
  const swatch = computed(() => {
    const level = (name: Attribute) => {
      const value = values.value.find(({ attribute }) => attribute === name)?.value
      return value?.kind === 'number' ? value.number : undefined
    }
    const slot = level(LEADING.glass)
    const [first] = served.value
    const colour = values.value.flatMap(({ value }) => colourIn(value) ?? [])[0]
    if (colour && first && !slot) return hexOf(madeColour(first.type, colour).look)
    return (slot !== undefined && first && wheelOf(first.type, LEADING.glass)?.slots[slot]?.colour) ?? null
  })
  const words = computed(() =>
    values.value
      .slice(0, MOST_WORDS)
      .map(
        ({ attribute, value, type }) => `${attributeName(attribute)} ${valueInWords(show(), value, attribute, type)}`,
      ),
  )

  const beam = computed(() => {
    const [first] = served.value
    return first ? beamLook(first.type, values.value) : null
  })

  return { venue, lights, isPlaced, swatch, beam, words, outOfReach }
}
