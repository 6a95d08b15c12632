<script setup lang="ts">
/** A family of the hand: its take switch, its name, what is in it; open, what it is made of. */
import { Switch } from '@headlessui/vue'
import { ChevronDown } from '@lucide/vue'
import type { Family } from '#core/attributes/families'
import { useSelection } from '../../stores/selection'
import { useShow } from '../../stores/show'
import { capitalised } from '../../composables/forms/capitalised'

const props = defineProps<{ family: Family; taken: boolean; summary: string; inHand: boolean; open: boolean }>()
const emit = defineEmits<{ home: []; toggle: [] }>()
const store = useShow()
const selection = useSelection()
const name = capitalised(props.family)

function set(take: boolean) {
  void store.send('setTake', { family: props.family, take })
}
</script>

<template>
  <section class="border-b border-rule px-3 py-1.5" :aria-label="name">
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
      <h3 class="shrink-0 font-semibold" :class="inHand ? 'text-sail' : 'text-mist'">
        <button
          type="button"
          class="flex items-center gap-0.5 hover:text-sail"
          :aria-expanded="open"
          @click="emit('toggle')"
        >
          {{ name }}<ChevronDown :size="13" class="text-haze" :class="open ? '' : '-rotate-90'" aria-hidden="true" />
        </button>
      </h3>
      <button
        v-if="open && selection.fixtures.length"
        type="button"
        class="text-xs text-haze hover:text-sail"
        :aria-label="`${name} home`"
        @click="emit('home')"
      >
        home
      </button>
      <slot v-if="open" name="heading" />
      <p class="ml-auto min-w-0 truncate text-right text-sm text-mist" :title="summary">
        {{ summary
        }}<template v-if="inHand && !taken">{{ summary ? ', ' : '' }}<span class="text-haze">held back</span></template>
      </p>
    </div>
    <slot v-if="open" />
  </section>
</template>
