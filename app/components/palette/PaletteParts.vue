<script setup lang="ts">
/** Copies a palette, or splits it by groups. */
import { computed, ref } from 'vue'
import { groupsInOrder } from '#core/groups/groups'
import { servedBy } from '#core/palettes/use'
import type { Palette } from '#core/show/entities'
import type { GroupId, PaletteId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'
import { useShow } from '../../stores/show'
import FloatingPanel from '../shell/FloatingPanel.vue'
import { plural } from '#core/show/counted'
import { freeNumberAfter } from '#core/show/freeNumbers'

const props = defineProps<{ show: Show; id: PaletteId; palette: Palette }>()
const store = useShow()
const proposal = useProposal()
const chosen = ref<readonly GroupId[]>([])

const groups = computed(() => {
  const served = new Set<string>(servedBy(props.show, props.id).map(({ id }) => id))
  return groupsInOrder(props.show).filter(({ members }) => members.some((member) => served.has(member)))
})
const free = computed(() => freeNumberAfter(props.show.all.palette.values(), props.palette.number))

function toggle(group: GroupId) {
  chosen.value = chosen.value.includes(group)
    ? chosen.value.filter((other) => other !== group)
    : [...chosen.value, group]
}
function split(close: () => void) {
  close()
  void proposal.offerOrSay('splitPalette', { palette: props.id, groups: [...chosen.value] })
  chosen.value = []
}
</script>

<template>
  <FloatingPanel button-class="quiet-button w-full py-1.5" panel-class="w-64 p-2.5">
    <template #button>Copy or split</template>
    <template #default="{ close }">
      <button
        type="button"
        class="quiet-button w-full py-1.5"
        @click="(store.send('copyPalette', { palette: id, number: free, name: `${palette.name}, copy` }), close())"
      >
        Copy it to {{ free }}
      </button>
      <p class="mt-2.5 mb-1 text-sm text-mist">
        Split: each group gets a palette of its own, and cues use that for its fixtures.
      </p>
      <ul class="max-h-48 overflow-y-auto">
        <li v-for="group in groups" :key="group.id">
          <label class="flex items-center gap-2 rounded px-1 py-0.5 hover:bg-plank-2">
            <input
              type="checkbox"
              class="accent-kelp"
              :checked="chosen.includes(group.id)"
              @change="toggle(group.id)"
            />{{ group.group.name }}
          </label>
        </li>
      </ul>
      <p v-if="groups.length === 0" class="text-sm text-haze">No group has any of its fixtures.</p>
      <button type="button" class="main-button mt-1.5 w-full py-1.5" :disabled="!chosen.length" @click="split(close)">
        Split by {{ chosen.length || 'no' }} {{ plural(chosen.length, 'group') }}
      </button>
    </template>
  </FloatingPanel>
</template>
