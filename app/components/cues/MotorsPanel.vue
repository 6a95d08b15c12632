<script setup lang="ts">
/** Every cue with moves that are too fast for the motors; pressing one looks at it. */
import { computed } from 'vue'
import { counted } from '#core/show/counted'
import { listsInOrder } from '#core/cues/tracking'
import type { Show } from '#core/show/show'
import { useCuesRoom } from '../../stores/cuesRoom'
import { useMotorCheck } from '../../stores/motorCheck'

const props = defineProps<{ show: Show }>()
const room = useCuesRoom()
const motors = useMotorCheck()

const lists = computed(() => listsInOrder(props.show))
const found = computed(() =>
  motors.found.flatMap((fast) => {
    const list = lists.value.find(({ cues }) => cues.some(({ id }) => id === fast.cue))
    const cue = props.show.all.cue.get(fast.cue)
    return list && cue ? [{ ...fast, number: cue.number, name: cue.name, list: list.list.name }] : []
  }),
)
</script>

<template>
  <div class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <h2 class="text-xl font-semibold">Too fast for the motors</h2>
      <p class="text-sm text-mist">
        Heads that cannot get there in their time, or could not follow the way they are to go. The light is behind by so
        much at the worst instant.
      </p>
    </header>
    <p v-if="found.length === 0" class="px-4 py-3 text-sm text-mist">
      {{ motors.isLooking ? 'Looking through the cues …' : 'Every move of every cue can be made in its time.' }}
    </p>
    <ul v-else class="px-2 py-2" aria-label="Cues with moves too fast">
      <li v-for="fast in found" :key="fast.cue">
        <button
          type="button"
          class="grid w-full grid-cols-[44px_1fr_auto] items-baseline gap-x-2 rounded px-2 py-1 text-left hover:bg-plank-2"
          @click="room.find(fast.cue)"
        >
          <span class="font-mono text-coral">{{ fast.number }}</span>
          <span class="truncate font-semibold">{{ fast.name || 'No name' }}</span>
          <span class="text-sm" :class="fast.isLit ? 'text-coral' : 'text-haze'">{{
            fast.isLit ? `${fast.lagMetres.toFixed(2)} m` : 'dark'
          }}</span>
          <span />
          <span class="text-sm text-mist">
            {{ counted(fast.fixtures, 'fixture') }}{{ lists.length > 1 ? `, ${fast.list}` : '' }}
          </span>
        </button>
      </li>
    </ul>
  </div>
</template>
