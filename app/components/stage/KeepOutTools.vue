<script setup lang="ts">
/** What stays out of a proposed change: fixtures as they are typed, the cue that is looked at, families. */
import { X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { entryWorldOf } from '#core/groups/entryWorld'
import { parseEntry } from '#core/selection/entry'
import { FAMILIES } from '#core/attributes/families'
import { numberOfFixture } from '#core/show/cells'
import type { Show } from '#core/show/show'
import { useProposal } from '../../stores/proposal'

const props = defineProps<{ show: Show }>()
const proposal = useProposal()
const whose = ref('')
const trouble = ref('')

const kept = computed(() => {
  const { fixtures, cues, families } = proposal.exclusions
  return [
    ...cues.map((id) => ({
      key: id,
      words: `cue ${props.show.all.cue.get(id)?.number ?? ''}`,
      drop: () => proposal.exclude({ cues: cues.filter((other) => other !== id) }),
    })),
    ...fixtures.map((id) => ({
      key: id,
      words: numberOfFixture(props.show, id),
      drop: () => proposal.exclude({ fixtures: fixtures.filter((other) => other !== id) }),
    })),
    ...families.map((family) => ({
      key: family,
      words: family,
      drop: () => proposal.exclude({ families: families.filter((other) => other !== family) }),
    })),
  ]
})
const lookedNumber = computed(() => {
  const { lookedCue } = proposal
  return lookedCue && !proposal.exclusions.cues.includes(lookedCue)
    ? props.show.all.cue.get(lookedCue)?.number
    : undefined
})

function keepFixtures() {
  const world = entryWorldOf(props.show, [], new Set(), () => true)
  const asked = parseEntry(whose.value, world)
  trouble.value = asked.ok ? '' : asked.message
  if (!asked.ok) return
  proposal.exclude({ fixtures: [...new Set([...proposal.exclusions.fixtures, ...asked.fixtures])] })
  whose.value = ''
}
function keepCue() {
  const { lookedCue } = proposal
  if (lookedCue) proposal.exclude({ cues: [...proposal.exclusions.cues, lookedCue] })
}
function keepFamily(event: Event) {
  const { target } = event
  if (!(target instanceof HTMLSelectElement)) return
  const family = FAMILIES.find((known) => known === target.value)
  if (family) proposal.exclude({ families: [...new Set([...proposal.exclusions.families, family])] })
  target.value = ''
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-1.5" role="group" aria-label="Keep out of it">
    <span class="text-xs text-haze">Keep out</span>
    <button
      v-for="item in kept"
      :key="item.key"
      type="button"
      class="chip flex items-center gap-1 border-shoal px-1.5 py-0 text-xs"
      :aria-label="`Let ${item.words} follow`"
      @click="item.drop"
    >
      {{ item.words }}<X :size="11" aria-hidden="true" />
    </button>
    <button v-if="lookedNumber !== undefined" type="button" class="chip px-1.5 py-0 text-xs" @click="keepCue">
      cue {{ lookedNumber }}
    </button>
    <form class="relative" @submit.prevent="keepFixtures">
      <input
        v-model="whose"
        class="field w-24 px-1.5 py-0 font-sans text-xs"
        placeholder="fixtures …"
        aria-label="Fixtures to keep out"
        autocomplete="off"
        @keydown.esc.stop="whose = ''"
      />
      <p
        v-if="trouble"
        class="absolute bottom-full left-0 z-20 mb-1 w-max max-w-64 rounded-md border border-coral bg-plank px-2 py-1 text-xs text-coral"
        role="alert"
      >
        {{ trouble }}
      </p>
    </form>
    <select class="chip py-0 text-xs" aria-label="A family to keep out" @change="keepFamily">
      <option value="">a family …</option>
      <option v-for="family in FAMILIES" :key="family" :value="family">{{ family }}</option>
    </select>
  </div>
</template>
