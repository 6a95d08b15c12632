<script setup lang="ts">
/** Chooses the rule by which a selection is parted. */
import { Split } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { OrderedGroup } from '#core/groups/groups'
import type { Pattern } from '#core/show/patterns'
import FloatingPanel from '../shell/FloatingPanel.vue'

defineProps<{ groups: readonly OrderedGroup[]; name: string; isOn: boolean; disabled: boolean }>()
const emit = defineEmits<{ part: [pattern: Pattern | null] }>()
/** The N of the patterns that have one. */
const n = ref(2)

const rules = computed<{ readonly name: string; readonly pattern: Pattern }[]>(() => [
  {
    name: `Every ${n.value === 2 ? '2nd' : n.value === 3 ? '3rd' : `${n.value}th`}`,
    pattern: { kind: 'every', nth: n.value },
  },
  { name: `Runs of ${n.value}`, pattern: { kind: 'runs', length: n.value } },
  { name: n.value === 2 ? 'Halves' : `${n.value} parts`, pattern: { kind: 'parts', count: n.value } },
])
const others: readonly { readonly name: string; readonly pattern: Pattern }[] = [
  { name: 'Mirrored pairs', pattern: { kind: 'pairs' } },
  { name: 'One by one', pattern: { kind: 'single' } },
]
const item = 'w-full rounded px-2 py-1 text-left hover:bg-plank-2'

function choose(pattern: Pattern | null, close: () => void) {
  emit('part', pattern)
  close()
}
</script>

<template>
  <FloatingPanel
    :button-class="`chip flex max-w-full items-center gap-1 max-[1100px]:px-1.5 ${isOn ? 'chip-on' : ''}`"
    panel-class="w-48"
    :disabled="disabled"
  >
    <template #button>
      <Split :size="13" class="shrink-0 max-[1100px]:hidden" aria-hidden="true" /><span class="truncate">{{
        name
      }}</span>
    </template>
    <template #default="{ close }">
      <div class="flex items-center gap-1 px-2 py-1">
        <span class="text-sm text-mist">N</span>
        <button
          v-for="count in [2, 3, 4, 5, 6]"
          :key="count"
          type="button"
          class="flex-1 rounded font-mono text-sm"
          :class="n === count ? 'bg-sail font-semibold text-night' : 'text-mist hover:bg-plank-2'"
          :aria-pressed="n === count"
          @click="n = count"
        >
          {{ count }}
        </button>
      </div>
      <button
        v-for="rule in [...rules, ...others]"
        :key="rule.name"
        type="button"
        :class="item"
        @click="choose(rule.pattern, close)"
      >
        {{ rule.name }}
      </button>
      <template v-if="groups.length">
        <p class="px-2 pt-1.5 text-xs text-haze">Parts of a group</p>
        <div class="max-h-36 overflow-y-auto">
          <button
            v-for="{ id, group } in groups"
            :key="id"
            type="button"
            :class="item"
            @click="choose({ kind: 'group', group: id }, close)"
          >
            {{ group.name }}
          </button>
        </div>
      </template>
      <button v-if="isOn" type="button" :class="[item, 'text-coral']" @click="choose(null, close)">No pattern</button>
    </template>
  </FloatingPanel>
</template>
