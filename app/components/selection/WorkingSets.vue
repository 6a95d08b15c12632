<script setup lang="ts">
/** Working sets: named, turned on in this window, taken out. */
import { Lock, Trash2 } from '@lucide/vue'
import { computed, ref } from 'vue'
import { asWorkingSetId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { workingSetMembersOf } from '#core/show/workingSets'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { useWorkingSet } from '../../stores/workingSet'
import NameForm from './NameForm.vue'

const props = defineProps<{ show: Show }>()
const store = useShow()
const selection = useSelection()
const working = useWorkingSet()
const naming = ref(false)

const sets = computed(() =>
  [...props.show.all.workingSet].map(([key, { name }]) => {
    const id = asWorkingSetId(key)
    return { id, name, count: workingSetMembersOf(props.show).get(id)?.size ?? 0 }
  }),
)

/** The form goes with what it made, at once: nothing may move under the pointer a moment later. */
function record(name: string) {
  const input = { name, fixtures: [...selection.whole], workingSet: null }
  naming.value = !store.attempt('recordWorkingSet', input).ok
  void store.send('recordWorkingSet', input)
}

function toggle(id: (typeof sets.value)[number]['id']) {
  if (working.current === id) working.turnOff()
  else working.turnOn(id)
}
</script>

<template>
  <section aria-labelledby="working-sets-title">
    <div class="mb-1 flex items-baseline justify-between">
      <h2 id="working-sets-title" class="text-mist">Working sets</h2>
      <button
        v-if="selection.whole.length && !naming"
        type="button"
        class="text-sm text-mist underline hover:text-sail"
        @click="naming = true"
      >
        From selection
      </button>
    </div>
    <NameForm v-if="naming" label="Name of the working set" @keep="record" @cancel="naming = false" />
    <p v-if="sets.length === 0 && !naming" class="text-sm text-haze">
      Select the fixtures you may touch and name them; while the set is on, the others are shut out.
    </p>
    <div v-for="set in sets" :key="set.id" class="flex items-center gap-1">
      <button
        type="button"
        class="flex min-w-0 flex-1 items-center gap-1.5 rounded-md px-1 py-0.5 text-left hover:bg-plank-2"
        :class="working.current === set.id ? 'text-kelp' : ''"
        :aria-pressed="working.current === set.id"
        @click="toggle(set.id)"
      >
        <Lock :size="13" :class="working.current === set.id ? '' : 'text-haze'" aria-hidden="true" />
        <span class="min-w-0 truncate">{{ set.name }}</span>
        <span class="ml-auto font-mono text-xs text-haze">{{ set.count }}</span>
      </button>
      <IconButton
        :icon="Trash2"
        :size="13"
        class="rounded p-1 text-haze hover:text-coral"
        :aria-label="`Take out working set ${set.name}`"
        @click="store.send('deleteWorkingSet', { workingSet: set.id })"
      />
    </div>
  </section>
</template>
