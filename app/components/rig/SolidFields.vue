<script setup lang="ts">
/** The sizes of one solid, each kept by itself. */
import { computed } from 'vue'
import { solid as solidSchema, type Solid } from '#core/show/entities'
import { issueInWords } from '#core/show/faults'
import { inLevelFrame, type PlanPoint } from '#core/venue/outline'

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
const inSolid = (place: PlanPoint) => inLevelFrame(props.ownPlace?.(place) ?? place, props.solid.at, props.solid.turn)

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
