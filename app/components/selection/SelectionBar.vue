<script setup lang="ts">
/** The order of the selection, its pattern, and stepping through its subsets. */
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ArrowDownUp, ChevronLeft, ChevronRight, Plus, Redo2, Undo2 } from '@lucide/vue'
import { computed } from 'vue'
import { groupsInOrder } from '#core/groups/groups'
import { writtenFixtures } from '#core/selection/written'
import type { FixtureId } from '#core/show/ids'
import { patternInWords } from '#core/selection/patterns'
import type { Pattern } from '#core/show/patterns'
import type { Show } from '#core/show/show'
import type { ActionId } from '../../keys/actions'
import { useKeyMap } from '../../stores/keys'
import { useSelection } from '../../stores/selection'
import PatternMenu from './PatternMenu.vue'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ show: Show }>()
const selection = useSelection()
const keys = useKeyMap()

const ORDERS: readonly { readonly name: string; readonly key: ActionId | null; readonly act: () => void }[] = [
  { name: 'Reverse', key: 'reverse', act: () => selection.bringInto('reverse') },
  { name: 'By number', key: null, act: () => selection.bringInto('by number') },
  { name: 'Across the stage', key: null, act: () => selection.bringInto('across the stage') },
  { name: 'Shuffle', key: null, act: () => selection.bringInto('shuffle') },
  { name: 'Invert', key: 'invert', act: selection.invert },
  { name: 'Add same type', key: 'same type', act: () => selection.addAlike('type') },
  { name: 'Add same hang', key: 'same hang', act: () => selection.addAlike('hang') },
]

const patternName = computed(() => {
  const { pattern } = selection
  if (!pattern) return 'Pattern'
  const words = patternInWords(pattern, (id) => props.show.all.group.get(id)?.name ?? 'a group')
  return capitalised(words)
})
const where = computed(() =>
  selection.step === null ? `all ${selection.whole.length}` : `${selection.step + 1} of ${selection.subsets.length}`,
)

/** An earlier or later selection as one would type it. */
function written(fixtures: readonly FixtureId[] = []): string {
  return writtenFixtures(props.show, fixtures) || 'nothing selected'
}

function part(by: Pattern | null) {
  selection.part(by)
}
</script>

<template>
  <div v-if="selection.whole.length || selection.before || selection.after" class="flex flex-col gap-1.5">
    <div class="flex gap-1.5 max-[1100px]:gap-1">
      <Menu as="div" class="relative">
        <MenuButton class="chip flex items-center gap-1 max-[1100px]:px-1.5" :disabled="!selection.whole.length">
          <ArrowDownUp :size="13" class="max-[1100px]:hidden" aria-hidden="true" />Order
        </MenuButton>
        <MenuItems
          class="absolute left-0 z-30 mt-1 w-48 rounded-lg border border-rule-2 bg-plank p-1 shadow-lg shadow-night/60 focus:outline-none"
        >
          <MenuItem v-for="order in ORDERS" :key="order.name" v-slot="{ active }">
            <button
              type="button"
              class="flex w-full items-center rounded px-2 py-1 text-left"
              :class="active ? 'bg-plank-2' : ''"
              @click="order.act()"
            >
              {{ order.name }}
              <span v-if="order.key" class="key ml-auto" aria-hidden="true">{{ keys.keys.get(order.key) }}</span>
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
      <PatternMenu
        :groups="groupsInOrder(show)"
        :name="patternName"
        :is-on="selection.pattern !== null"
        :disabled="selection.whole.length < 2"
        @part="part"
      />
      <IconButton
        :icon="Plus"
        :size="13"
        class="chip ml-auto px-1.5"
        :class="selection.isAdding ? 'chip-on' : ''"
        aria-label="Presses add to the selection"
        title="Presses add to the selection, as with Shift"
        :aria-pressed="selection.isAdding"
        @click="selection.isAdding = !selection.isAdding"
      />
      <IconButton
        :icon="Undo2"
        :size="13"
        class="chip px-1.5"
        :disabled="!selection.before"
        aria-label="Selection before this one"
        :title="`Back to ${written(selection.before)} (${keys.keys.get('last selection')})`"
        @click="selection.goBack()"
      />
      <IconButton
        v-if="selection.after"
        :icon="Redo2"
        :size="13"
        class="chip px-1.5"
        aria-label="Selection after this one"
        :title="`On to ${written(selection.after)} (${keys.keys.get('next selection')})`"
        @click="selection.goOn()"
      />
    </div>
    <div
      v-if="selection.whole.length > 1"
      class="flex items-center rounded-md border"
      :class="selection.step === null ? 'border-rule' : 'border-coral'"
      role="group"
      aria-label="Subset"
    >
      <IconButton
        :icon="ChevronLeft"
        :size="15"
        class="px-1.5 py-1 text-mist hover:text-sail"
        aria-label="Previous subset"
        :title="`Previous (${keys.keys.get('previous subset')})`"
        @click="selection.stepBy(-1)"
      />
      <p class="min-w-0 flex-1 truncate text-center text-sm" aria-live="polite">
        <span :class="selection.step === null ? 'text-mist' : 'font-semibold text-coral'">{{ where }}</span>
        <span v-if="selection.step !== null" class="text-mist"
          >, {{ selection.fixtures.length === 1 ? '1 fixture' : `${selection.fixtures.length} fixtures` }}</span
        >
      </p>
      <IconButton
        :icon="ChevronRight"
        :size="15"
        class="px-1.5 py-1 text-mist hover:text-sail"
        aria-label="Next subset"
        :title="`Next (${keys.keys.get('next subset')})`"
        @click="selection.stepBy(1)"
      />
      <button
        v-if="selection.step !== null"
        type="button"
        class="border-l border-rule px-2 py-1 text-sm text-mist hover:text-sail"
        :title="`Back to the whole (${keys.keys.get('whole selection')})`"
        @click="selection.backToWhole()"
      >
        Whole
      </button>
    </div>
  </div>
</template>
