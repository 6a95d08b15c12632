<script setup lang="ts">
/** Which cue list is looked at, and its settings. */
import { onClickOutside } from '@vueuse/core'
import { Plus, Settings2 } from '@lucide/vue'
import { computed, ref, useTemplateRef } from 'vue'
import { nextNumber } from '#core/show/freeNumbers'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useShow } from '../../stores/show'
import ListMenu from './ListMenu.vue'

const room = useCuesRoom()
const store = useShow()
const lists = computed(() => room.lists.map(({ id, list }) => ({ key: id, name: list.name })))
const isOpen = ref(false)
const menu = useTemplateRef<HTMLElement>('menu')
onClickOutside(menu, () => (isOpen.value = false))

async function addList() {
  const number = nextNumber(room.lists.map(({ list }) => list))
  if (!(await store.send('addCueList', { number, name: `List ${number}`, intensityRule: 'highest' }))) return
  const made = room.lists.find(({ list }) => list.number === number)
  if (made) room.lookAtList(made.id)
  isOpen.value = true
}
</script>

<template>
  <div class="flex items-center gap-2">
    <SwitchField
      label="Cue list"
      :options="lists"
      :value="room.list?.id ?? null"
      @choose="(list) => room.lookAtList(list)"
    />
    <div ref="menu" class="relative flex gap-1">
      <IconButton
        :icon="Settings2"
        :size="14"
        class="chip px-1.5"
        aria-label="Settings of this list"
        :aria-expanded="isOpen"
        :disabled="!room.list"
        @click="isOpen = !isOpen"
      />
      <IconButton :icon="Plus" :size="14" class="chip px-1.5" aria-label="Add a cue list" @click="addList" />
      <div
        v-if="isOpen && room.list"
        class="absolute top-full left-0 z-30 mt-1 rounded-lg border border-rule-2 bg-plank p-3 shadow-lg shadow-night/60"
        role="dialog"
        :aria-label="`Settings of ${room.list.list.name}`"
        @keydown.esc.stop="isOpen = false"
      >
        <ListMenu :key="room.list.id" :list="room.list" @close="isOpen = false" />
      </div>
    </div>
  </div>
</template>
