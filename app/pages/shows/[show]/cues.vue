<script setup lang="ts">
/** The Cues room: the carry sheet and the cue looked at. */
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import { listsInOrder } from '#core/cues/tracking'
import { FAMILIES, type Family } from '#core/show/families'
import { cueId, type CueId } from '#core/show/ids'
import { isTyping } from '../../../composables/isTyping'
import { useProposal } from '../../../stores/proposal'
import { useShow } from '../../../stores/show'

const store = useShow()
const proposal = useProposal()
const listIndex = ref(0)
const family = ref<Family>('position')
const asked = cueId.safeParse(useRoute().query['cue'])
const chosen = ref<CueId | null>(asked.success ? asked.data : null)

const show = computed(() => proposal.drawn)
const lists = computed(() => (show.value ? listsInOrder(show.value) : []))
if (chosen.value)
  listIndex.value = Math.max(
    0,
    lists.value.findIndex(({ cues }) => cues.some(({ id }) => id === chosen.value)),
  )
const list = computed(() => lists.value[listIndex.value] ?? lists.value[0])
const looked = computed(() => {
  const cues = list.value?.cues ?? []
  const wanted = chosen.value ?? list.value?.list.onStage
  return cues.find(({ id }) => id === wanted)?.id ?? cues[0]?.id ?? null
})

function go(cue: CueId) {
  if (list.value) void store.send('goToCue', { list: list.value.id, cue })
}

function step(by: 1 | -1) {
  const cues = list.value?.cues ?? []
  const next = cues[cues.findIndex(({ id }) => id === looked.value) + by]
  if (next) chosen.value = next.id
}

useEventListener('keydown', (event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : null
  if (by) {
    event.preventDefault()
    step(by)
  }
  if (event.key === 'Enter' && looked.value && !(event.target instanceof HTMLButtonElement)) go(looked.value)
})
</script>

<template>
  <main v-if="show" class="grid min-h-0 grid-cols-[minmax(0,1fr)_316px] grid-rows-[minmax(0,1fr)_auto]">
    <section class="flex min-h-0 flex-col bg-night" aria-label="Carry sheet">
      <div class="flex items-center gap-2 px-4 pt-2.5 pb-1">
        <div class="flex rounded-lg border border-rule-2 bg-deck p-0.5" role="radiogroup" aria-label="Cue list">
          <button
            v-for="(item, i) in lists"
            :key="item.id"
            type="button"
            role="radio"
            :aria-checked="item.id === list?.id"
            class="rounded-md px-2.5 py-1 text-sm"
            :class="item.id === list?.id ? 'bg-plank-2 font-semibold text-sail' : 'text-mist hover:text-sail'"
            @click="((listIndex = i), (chosen = null))"
          >
            {{ item.list.name }}
          </button>
        </div>
        <label class="ml-auto flex items-center gap-2 text-sm text-mist">
          Shows
          <select
            v-model="family"
            class="rounded-md border border-rule-2 bg-deck px-2 py-1 text-sail"
            aria-label="Family shown"
          >
            <option v-for="option in FAMILIES" :key="option" :value="option">{{ option }}</option>
          </select>
        </label>
      </div>
      <CarrySheet
        v-if="list && list.cues.length"
        :show="show"
        :list="list"
        :family="family"
        :looked="looked"
        @look="chosen = $event"
        @go="go"
      />
      <p v-else class="m-4 grid flex-1 place-items-center rounded-lg border border-dashed border-rule-2 text-mist">
        <span>Cues stand here, one row each. Build the first in Focus: aim or recall something, then press Cue.</span>
      </p>
    </section>
    <CueDetail v-if="list && looked" :show="show" :list="list" :cue="looked" />
    <ProposalBar class="col-span-2" />
  </main>
</template>
