<script setup lang="ts">
/** Who is in a group and in which order: dragged, moved by key, let go of, or joined by the selection. */
import { GripVertical, X } from '@lucide/vue'
import { computed, useTemplateRef } from 'vue'
import type { OrderedGroup } from '#core/groups/groups'
import { fixtureNumber } from '#core/show/cells'
import type { FixtureId } from '#core/show/ids'
import { useReorder } from '../../composables/table/useReorder'
import { useProposal } from '../../stores/proposal'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'

const props = defineProps<{ group: OrderedGroup }>()
const emit = defineEmits<{ proposed: [] }>()
const store = useShow()
const proposal = useProposal()
const selection = useSelection()

const members = computed(() =>
  props.group.members.map((id) => {
    const fixture = store.view?.all.fixture.get(id)
    return { id, number: fixture ? fixtureNumber(fixture) : '', name: fixture?.name ?? '' }
  }),
)
const joining = computed(() => selection.whole.filter((id) => !props.group.members.includes(id)))

/** Palettes that spread the group by rule are spread anew: what follows is shown first. */
async function keep(fixtures: FixtureId[]) {
  await proposal.offerOrSay('changeGroup', { group: props.group.id, fixtures })
  if (proposal.current) emit('proposed')
}
const list = useTemplateRef<HTMLElement>('list')
const reorder = useReorder(list, () => props.group.members, keep)
</script>

<template>
  <div class="flex flex-col gap-1.5">
    <ol ref="list" class="max-h-64 overflow-y-auto" :aria-label="`Members of ${group.group.name}`">
      <li v-for="(member, i) in members" :key="member.id" class="flex items-center gap-1.5 rounded hover:bg-plank-2">
        <button
          type="button"
          class="flex min-w-0 flex-1 items-baseline gap-2 rounded px-1 py-0.5 text-left"
          :aria-label="`${i + 1}. fixture ${member.number}. Alt and an arrow key move it`"
          @keydown.alt.up.prevent="reorder.shift(member.id, -1)"
          @keydown.alt.down.prevent="reorder.shift(member.id, 1)"
        >
          <span class="w-5 shrink-0 text-right font-mono text-xs text-haze" aria-hidden="true">{{ i + 1 }}</span>
          <span class="font-mono">{{ member.number }}</span>
          <span class="min-w-0 truncate text-mist">{{ member.name }}</span>
        </button>
        <GripVertical :size="13" class="shrink-0 cursor-grab text-haze" aria-hidden="true" />
        <IconButton
          :icon="X"
          :size="13"
          class="rounded p-1 text-haze hover:text-sail disabled:opacity-40"
          :disabled="members.length === 1"
          :aria-label="`Take fixture ${member.number} out of the group`"
          @click="keep(group.members.filter((id) => id !== member.id))"
        />
      </li>
    </ol>
    <div class="flex gap-1.5">
      <button
        type="button"
        class="chip flex-1"
        :disabled="joining.length === 0"
        @click="keep([...group.members, ...joining])"
      >
        {{ joining.length ? `Add ${joining.length} selected` : 'Add the selected' }}
      </button>
      <button type="button" class="chip" @click="keep([...group.members].reverse())">Reverse</button>
    </div>
  </div>
</template>
