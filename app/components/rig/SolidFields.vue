<script setup lang="ts">
/** The sizes of one solid, each kept by itself. */
import { computed } from 'vue'
import { solid as solidSchema, type Solid } from '#core/show/entities'
import { turnLevel } from '#core/geometry/rotation'
import { vec3 } from '#core/geometry/vector'
import { issueInWords } from '#core/show/faults'
import type { PlanPoint } from '#core/venue/outline'

const props = defineProps<{
  solid: Solid
  keep: (solid: Solid) => Promise<string | null>
  /** Where a place of the stage is on the set piece; without one an outline is not drawn on the plan. */
  ownPlace?: (place: PlanPoint) => PlanPoint
}>()

const SIZES = {
  width: 'Width',
  depth: 'Depth',
  height: 'Height',
  radius: 'Radius',
  thickness: 'Thickness',
  count: 'Steps',
} as const
type Size = keyof typeof SIZES
const isSize = (key: string): key is Size => key in SIZES

/** On the solid itself, which has a seat on its piece. */
function inSolid(place: PlanPoint): PlanPoint {
  const onPiece = props.ownPlace?.(place) ?? place
  const { x, y } = turnLevel(vec3(onPiece.x - props.solid.at.x, onPiece.y - props.solid.at.y, 0), -props.solid.turn)
  return { x: fine(x), y: fine(y) }
}
/** To the tenth of a millimetre. */
const fine = (metres: number) => Math.round(metres * 1e4) / 1e4 + 0

const sizes = computed(() =>
  Object.entries(props.solid).flatMap(([key, value]) =>
    isSize(key) && typeof value === 'number' ? [{ key, label: SIZES[key], value }] : [],
  ),
)

/** Checks what is typed before it is handed on, so that the reason stands at the field. */
async function apply(change: Record<string, unknown>): Promise<string | null> {
  const checked = solidSchema.safeParse({ ...props.solid, ...change })
  if (checked.success) return props.keep(checked.data)
  const [issue] = checked.error.issues
  return issue ? issueInWords(issue) : 'This does not fit.'
}
</script>

<template>
  <div class="flex flex-col gap-2">
    <div class="grid grid-cols-3 gap-2">
      <NumberField
        v-for="size in sizes"
        :key="size.key"
        :label="size.label"
        :unit="size.key === 'count' ? 'in number' : 'm'"
        :digits="3"
        :value="size.value"
        :keep="(value) => apply({ [size.key]: value })"
      />
    </div>
    <OutlineField
      v-if="solid.kind === 'prism'"
      label="Outline"
      :outline="solid.outline"
      v-bind="ownPlace ? { ownPlace: inSolid } : {}"
      :keep="(outline: PlanPoint[]) => apply({ outline })"
    />
  </div>
</template>
