<script setup lang="ts">
/** Who has been in the show and who is in now; one’s own name can be changed, people without work taken out. */
import { formatTimeAgo } from '@vueuse/core'
import { computed } from 'vue'
import type { PersonId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import type { Presence } from '../../session/access'
import { useCommit } from '../../composables/forms/useCommit'
import { useShow } from '../../stores/show'
import TextField from '../fields/TextField.vue'

const props = defineProps<{ show: Show; people: readonly Presence[] }>()
const emit = defineEmits<{ takeOut: [person: PersonId] }>()
const store = useShow()
const { keep } = useCommit()

const rows = computed(() =>
  props.people
    .flatMap((one) => {
      const name = props.show.all.person.get(one.person)?.name
      return name === undefined ? [] : [{ ...one, name, isSelf: one.person === store.person }]
    })
    .sort(
      (a, b) =>
        Number(b.isSelf) - Number(a.isSelf) ||
        Number(b.isIn) - Number(a.isIn) ||
        (b.seenAt ?? '').localeCompare(a.seenAt ?? '') ||
        a.name.localeCompare(b.name),
    ),
)

function about({ isIn, role, seenAt, hasWork }: Presence): string {
  const seen = isIn ? 'in now' : seenAt ? `last here ${formatTimeAgo(new Date(seenAt))}` : 'not seen yet'
  return [...(role ? [role] : []), seen, ...(hasWork ? [] : ['no work'])].join(', ')
}
</script>

<template>
  <ul class="min-h-0 flex-1 overflow-y-auto p-2" aria-label="People">
    <li v-for="row in rows" :key="row.person" class="flex items-center gap-2 rounded-md px-2 py-1.5">
      <span
        class="size-2 shrink-0 rounded-full"
        :class="row.isIn ? 'bg-kelp' : 'border border-rule-2'"
        aria-hidden="true"
      />
      <span class="min-w-0 flex-1">
        <TextField
          v-if="row.isSelf"
          label="You are called"
          :shown="row.name"
          :keep="(name) => keep('renamePerson', { name })"
        />
        <span v-else class="block truncate">{{ row.name }}</span>
        <span class="block truncate text-xs text-haze">{{ about(row) }}</span>
      </span>
      <button
        v-if="store.role === 'owns' && !row.isSelf && !row.isIn && !row.hasWork"
        type="button"
        class="chip shrink-0"
        :aria-label="`Take out ${row.name}`"
        @click="emit('takeOut', row.person)"
      >
        Take out
      </button>
    </li>
  </ul>
</template>
