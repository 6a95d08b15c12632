/** What the selected fixtures show of colour, and ways to change it. */
import { LEADING } from '#core/attributes/catalogue'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { colourPartName, type ColourPart } from '#core/attributes/colourPart'
import { hexOf, WHITE, type Chromaticity, type Colour } from '#core/colour/colour'
import { handOf } from '#core/cues/onStage'
import type { ColourOfType } from '#core/palettes/paletteColours'
import { gamutOf, lookOf, madeColour, restColour } from '#core/show/colours'
import type { FixtureType } from '#core/show/entities'
import { lets, TAKE_ALL } from '#core/show/masks'
import type { PlainColour } from '#core/show/values'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useStage } from '../../stores/stage'

/** A type of the selection, with what it makes of the colour its first fixture is asked for, and could. */
interface SelectedType extends ColourOfType {
  readonly gamut: readonly Chromaticity[]
}
/** ΔE 2000 that can just be told apart. */
const JUST_SEEN = 1

/** A part that mixes, and what the selected fixtures that have it show. */
export interface HandPart {
  readonly part: ColourPart
  readonly name: string
  readonly fixtures: number
  /** What it does to light: glass in front of white, or light of its own. */
  readonly kind: 'flags' | 'emitters'
  readonly look: Chromaticity
  readonly low: number
  readonly high: number
}

/** Colours used last, kept in this browser. */
const MOST_RECENT = 10

export function useHandColour() {
  const stage = useStage()
  const store = useShow()
  const selection = useSelection()
  const recent = useLocalStorage<Colour[]>('rhopander-recent-colours', [])

  const able = computed(() => {
    const { seenInPanels } = stage
    return selection.fixtures.flatMap((id) => {
      const seen = seenInPanels(id)
      return seen?.rigged.type.has.includes(LEADING.colour) ? [seen] : []
    })
  })

  const types = computed<readonly SelectedType[]>(() => {
    const byType = new Map<FixtureType, SelectedType>()
    for (const { rigged, colour } of able.value) {
      const known = byType.get(rigged.type)
      const one = known ?? {
        type: rigged.type,
        fixtures: 0,
        asked: colour,
        made: madeColour(rigged.type, colour),
        gamut: gamutOf(rigged.type),
      }
      byType.set(rigged.type, { ...one, fixtures: one.fixtures + 1 })
    }
    return [...byType.values()]
  })

  const short = computed(() => types.value.filter(({ made }) => made.difference >= JUST_SEEN))

  /** What is asked for: of several colours that of the first fixture. */
  const colour = computed<Colour>(() => {
    const [first] = types.value
    if (!first) return WHITE
    const look = lookOf(first.type, first.asked)
    return look.kind === 'colour' ? { x: look.x, y: look.y, level: look.level } : WHITE
  })
  const looks = computed(
    () => new Set(able.value.map(({ rigged, colour: asked }) => hexOf(madeColour(rigged.type, asked).look))),
  )
  const doesDiffer = computed(() => new Set(able.value.map(({ colour: asked }) => JSON.stringify(asked))).size > 1)

  /** "#ff8047", "3 colours": empty where nothing is away from rest. */
  const inWords = computed(() => {
    const isAway = able.value.some(
      ({ rigged, colour: asked }) => JSON.stringify(asked) !== JSON.stringify(restColour(rigged.type)),
    )
    const [first] = looks.value
    if (!isAway || !first) return ''
    return looks.value.size > 1 ? `${looks.value.size} colours` : first
  })

  const parts = computed<readonly HandPart[]>(() => {
    const found = new Map<ColourPart, HandPart>()
    for (const { rigged, colour: asked } of able.value) {
      const { mixing } = rigged.type
      const levels = [...madeColour(rigged.type, asked).parts]
      for (const [i, [part, level]] of levels.entries()) {
        const known = found.get(part)
        const fresh = {
          part,
          name: colourPartName(part),
          kind: mixing?.kind ?? 'emitters',
          look: mixing?.parts[i] ?? WHITE,
        }
        found.set(part, {
          ...fresh,
          ...known,
          fixtures: (known?.fixtures ?? 0) + 1,
          low: Math.min(known?.low ?? 1, level),
          high: Math.max(known?.high ?? 0, level),
        })
      }
    }
    return [...found.values()]
  })

  const state = computed(() => {
    const { person, view } = store
    const hand = person && view ? handOf(view, person) : null
    const mask = (person && view?.all.person.get(person)) ?? TAKE_ALL
    return {
      isHeld: able.value.some(({ rigged }) => hand?.get(rigged.id)?.has(LEADING.colour)),
      isTaken: lets(mask, LEADING.colour),
      /** It stays although its family is taken. */
      isHeldBack: mask.take.includes('colour') && !lets(mask, LEADING.colour),
    }
  })

  const input = (wanted: PlainColour) => ({ fixtures: [...selection.fixtures], colour: wanted })
  /** Shows a colour while it is dragged to. */
  const tryOut = (wanted: PlainColour) => stage.tryOut(selection.fixtures, 'setColour', input(wanted))
  /** Does what was dragged to; a colour is remembered as used. */
  function keepTrial(dragged: Colour | null) {
    if (dragged) note(dragged)
    return stage.commitTrial()
  }
  function set(wanted: PlainColour) {
    void store.send('setColour', input(wanted))
    if (wanted.kind === 'colour') note(wanted)
  }
  const take = (wish: boolean) => store.send('setTake', { attribute: LEADING.colour, take: wish })
  function note({ x, y, level }: Colour) {
    const hex = hexOf({ x, y, level })
    recent.value = [{ x, y, level }, ...recent.value.filter((one) => hexOf(one) !== hex)].slice(0, MOST_RECENT)
  }

  return {
    able,
    types,
    short,
    colour,
    looks,
    doesDiffer,
    parts,
    state,
    recent,
    tryOut,
    keepTrial,
    cancel: stage.endTrial,
    set,
    take,
    inWords,
  }
}
