<script setup lang="ts">
/** A family of the hand: its take switch, its name, what is in it. */
import { Switch } from '@headlessui/vue'
import type { Family } from '#core/attributes/families'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ family: Family; taken: boolean; summary: string; inHand: boolean }>()
const emit = defineEmits<{ home: [] }>()
const store = useShow()
const selection = useSelection()
const name = capitalised(props.family)

function set(take: boolean) {
  void store.send('setTake', { family: props.family, take })
}
</script>

<template>
  <section class="border-b border-rule px-3 py-2" :aria-label="name">
    <div class="flex items-center gap-2">
      <Switch
        :model-value="taken"
        class="relative h-[18px] w-[30px] shrink-0 rounded-full border transition-colors"
        :class="taken ? 'border-kelp bg-kelp' : 'border-rule-2 bg-night'"
        :aria-label="`Take ${family}`"
        :title="taken ? `${name} is taken when you record` : `${name} is held back when you record`"
        @update:model-value="set"
      >
        <span
          class="absolute top-[2px] h-3 w-3 rounded-full transition-all"
          :class="taken ? 'left-[14px] bg-night' : 'left-[2px] bg-haze'"
          aria-hidden="true"
        />
      </Switch>
      <h3 class="font-semibold" :class="inHand ? 'text-sail' : 'text-mist'">{{ name }}</h3>
      <button
        v-if="selection.fixtures.length"
        type="button"
        class="text-xs text-haze hover:text-sail"
        :aria-label="`${name} home`"
        @click="emit('home')"
      >
        home
      </button>
      <p class="ml-auto min-w-0 truncate text-right text-sm text-mist" :title="summary">
        {{ summary
        }}<template v-if="inHand && !taken">{{ summary ? ', ' : '' }}<span class="text-haze">held back</span></template>
      </p>
    </div>
    <slot />
  </section>
</template>
