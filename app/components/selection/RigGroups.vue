<script setup lang="ts">
/** Groups the rig makes by itself: by type, by hang, by type on each hang. */
import { ChevronRight } from '@lucide/vue'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { rigGroupsOf, type RigGroup } from '#core/groups/groups'
import type { Show } from '#core/show/show'
import { useSelection } from '../../stores/selection'

const props = defineProps<{ show: Show }>()
const selection = useSelection()
const isOpen = useLocalStorage('rhopander-rig-groups', false)
const groups = computed(() => rigGroupsOf(props.show))

function pick({ members }: RigGroup, event: MouseEvent) {
  if (selection.adds(event)) selection.add(members)
  else selection.set(members)
}
</script>

<template>
  <section v-if="groups.length">
    <button
      type="button"
      class="mb-1 flex items-center gap-1 text-mist hover:text-sail"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    >
      <ChevronRight :size="13" :class="isOpen ? 'rotate-90' : ''" aria-hidden="true" />By type and hang
    </button>
    <div v-if="isOpen" class="flex flex-wrap gap-1">
      <button
        v-for="group in groups"
        :key="`${group.by} ${group.name}`"
        type="button"
        class="chip py-0.5"
        :title="`${group.members.length} fixtures; follows the rig`"
        @click="pick(group, $event)"
      >
        {{ group.name }}
      </button>
    </div>
  </section>
</template>
