<script setup lang="ts">
/** Which targets were measured in this venue: what is seen on those tells how the rig hangs. */
import { computed, ref } from 'vue'
import type { Show } from '#core/show/show'
import { targetsOf } from '#core/show/targets'
import { isSurveyed } from '#core/survey/sightings'
import { useShow } from '../../stores/show'
import { useTrueUp } from '../../stores/trueUp'

const props = defineProps<{ show: Show }>()
const store = useShow()
const room = useTrueUp()
const isOpen = ref(false)
const targets = computed(() =>
  [...targetsOf(props.show).values()].map(({ id, target }) => ({
    id,
    name: target.name,
    isSurveyed: isSurveyed(props.show, id),
  })),
)
const surveyedNames = computed(() => room.surveyed.map(({ target }) => target.name).join(', '))
</script>

<template>
  <section class="flex max-h-[45%] shrink-0 flex-col border-t border-rule" aria-label="Surveyed targets">
    <header class="flex items-center px-4 py-2">
      <h2 class="font-semibold">Surveyed</h2>
      <button type="button" class="chip ml-auto" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ isOpen ? 'Done' : 'Choose' }}
      </button>
    </header>
    <p v-if="!isOpen" class="px-4 pb-3 text-sm text-mist">
      {{
        surveyedNames || 'No target was measured yet. Choose those whose places you know: lights are steered onto them.'
      }}
    </p>
    <ul v-else class="min-h-0 overflow-y-auto px-4 pb-3" tabindex="0" aria-label="Targets of this venue">
      <li v-for="one in targets" :key="one.id">
        <label class="flex items-center gap-2 py-0.5 text-sm">
          <input
            type="checkbox"
            class="accent-coral"
            :checked="one.isSurveyed"
            @change="store.send('surveyTargets', { targets: [one.id], isSurveyed: !one.isSurveyed })"
          />
          {{ one.name }}
        </label>
      </li>
    </ul>
  </section>
</template>
