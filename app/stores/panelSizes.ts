/** How wide or high this browser keeps the panels of the rooms. */
import { useLocalStorage, useMediaQuery, useWindowSize } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'

/** A panel's size: at first, at first on a narrow screen, and at least; pixels. */
interface PanelSize {
  readonly name: string
  readonly along: 'width' | 'height'
  readonly first: number
  readonly narrow: number
  readonly least: number
}

export const PANELS = {
  select: { name: 'Width of Select', along: 'width', first: 248, narrow: 200, least: 180 },
  hand: { name: 'Width of the hand', along: 'width', first: 316, narrow: 290, least: 280 },
  shelf: { name: 'Height of the shelf', along: 'height', first: 172, narrow: 172, least: 140 },
  inspector: { name: 'Width of the rig panel', along: 'width', first: 316, narrow: 316, least: 280 },
  tables: { name: 'Height of the tables', along: 'height', first: 264, narrow: 264, least: 140 },
  cue: { name: 'Width of the cue panel', along: 'width', first: 316, narrow: 316, least: 300 },
} as const satisfies Readonly<Record<string, PanelSize>>

export type PanelId = keyof typeof PANELS

/** The stage, or the sheet, keeps most of the window: no panel takes more than this part of it. */
const MOST = { width: 0.36, height: 0.66 }

export const usePanelSizes = defineStore('panelSizes', () => {
  /** Only what was drawn to another size. */
  const drawn = useLocalStorage<Partial<Record<PanelId, number>>>('rhopander-panels', {})
  const isNarrow = useMediaQuery('(max-width: 1100px)')
  const { width, height } = useWindowSize()

  function limitsOf(panel: PanelId): { readonly min: number; readonly max: number } {
    const { along, least } = PANELS[panel]
    return {
      min: least,
      max: Math.max(least, Math.round(MOST[along] * (along === 'width' ? width.value : height.value))),
    }
  }

  /** Every panel's size inside its limits, pixels. */
  const sizes = computed(() => {
    const sizeOf = (panel: PanelId) => {
      const { min, max } = limitsOf(panel)
      const { first, narrow } = PANELS[panel]
      return Math.min(max, Math.max(min, drawn.value[panel] ?? (isNarrow.value ? narrow : first)))
    }
    return {
      select: sizeOf('select'),
      hand: sizeOf('hand'),
      shelf: sizeOf('shelf'),
      inspector: sizeOf('inspector'),
      tables: sizeOf('tables'),
      cue: sizeOf('cue'),
    }
  })

  /** The stage with a panel beside it and tables below, as rooms of the rig are laid out. */
  const besideAndBelow = computed(() => ({
    gridTemplateColumns: `minmax(0, 1fr) ${sizes.value.inspector}px`,
    gridTemplateRows: `minmax(160px, 1fr) ${sizes.value.tables}px`,
  }))

  function draw(panel: PanelId, to: number) {
    const { min, max } = limitsOf(panel)
    drawn.value = { ...drawn.value, [panel]: Math.round(Math.min(max, Math.max(min, to))) }
  }

  /** Back to the size it has at first. */
  function reset(panel: PanelId) {
    drawn.value = { ...drawn.value, [panel]: undefined }
  }

  return { sizes, besideAndBelow, limitsOf, draw, reset }
})
