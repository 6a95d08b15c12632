<script setup lang="ts">
/** Recorded groups: picked with a press, brought into another order by dragging, changed by their menu. */
import { GripVertical } from '@lucide/vue'
import { computed, ref, useTemplateRef } from 'vue'
import { groupsInOrder, type OrderedGroup } from '#core/groups/groups'
import type { FixtureId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useReorder } from '../../composables/table/useReorder'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'
import GroupMenu from './GroupMenu.vue'
import { COLOUR_GROUND } from '../shelf/paletteColours'
import NameForm from './NameForm.vue'
import { nextNumber } from '#core/show/freeNumbers'

const props = defineProps<{ show: Show }>()
const store = useShow()
const selection = useSelection()
const workingSet = useWorkingSet()

const groups = computed(() => groupsInOrder(props.show))
const naming = ref(false)
const list = useTemplateRef<HTMLElement>('list')
const reorder = useReorder(
  list,
  () => groups.value.map(({ id }) => id),
  (order) => void store.send('orderGroups', { groups: order }),
)

const isWhole = (ids: readonly FixtureId[]) =>
  ids.length > 0 && ids.length === selection.whole.length && ids.every((id, i) => selection.whole[i] === id)
const isOutside = (ids: readonly FixtureId[]) => !ids.some((id) => workingSet.isIn(id))

function pick({ members, group }: OrderedGroup, event: MouseEvent) {
  if (selection.adds(event)) return selection.add(members)
  selection.set(members)
  if (group.pattern) selection.keepPattern(group.pattern)
}

/** The form goes with what it made, at once: nothing may move under the pointer a moment later. */
function record(name: string) {
  const number = nextNumber(groups.value.map(({ group }) => group))
  const pattern = selection.pattern?.kind === 'group' ? null : selection.pattern
  const input = { number, name, fixtures: [...selection.whole], pattern }
  naming.value = !store.attempt('recordGroup', input).ok
  void store.send('recordGroup', input)
}
</script>

<template>
  <section aria-labelledby="groups-title">
    <div class="mb-1 flex items-baseline justify-between">
      <h2 id="groups-title" class="text-mist">Groups</h2>
      <button
        v-if="selection.whole.length && !naming"
        type="button"
        class="text-sm text-mist underline hover:text-sail"
        @click="naming = true"
      >
        Keep selection
      </button>
    </div>
    <NameForm v-if="naming" label="Name of the group" @keep="record" @cancel="naming = false" />
    <p v-if="groups.length === 0 && !naming" class="text-sm text-haze">Select fixtures, then keep them as a group.</p>
    <ol ref="list" class="flex flex-col">
      <li
        v-for="group in groups"
        :key="group.id"
        class="group flex items-center gap-1 rounded-md border border-transparent"
        :class="[
          isWhole(group.members) ? 'border-coral bg-coral-deep' : 'hover:bg-plank-2',
          isOutside(group.members) ? 'text-haze' : '',
        ]"
      >
        <span class="h-4 w-1 shrink-0 rounded-full" :class="COLOUR_GROUND[group.group.colour]" aria-hidden="true" />
        <button
          type="button"
          class="flex min-w-0 flex-1 items-baseline gap-1.5 py-0.5 text-left"
          @click="pick(group, $event)"
          @keydown.alt.up.prevent="reorder.shift(group.id, -1)"
          @keydown.alt.down.prevent="reorder.shift(group.id, 1)"
        >
          <span class="w-6 shrink-0 text-right font-mono text-xs text-haze" aria-hidden="true">{{
            group.group.number
          }}</span>
          <span class="min-w-0 truncate">{{ group.group.name }}</span>
          <span class="ml-auto shrink-0 font-mono text-xs text-haze" aria-hidden="true">{{
            group.members.length
          }}</span>
        </button>
        <GripVertical
          :size="13"
          class="shrink-0 cursor-grab text-haze opacity-0 group-hover:opacity-100"
          aria-hidden="true"
        />
        <GroupMenu :group="group" />
      </li>
    </ol>
  </section>
</template>
