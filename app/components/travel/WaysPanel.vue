<script setup lang="ts">
/** Looks for better ways round down a whole list: before and after, kept as one change. */
import { computed } from 'vue'
import { counted } from '#core/show/counted'
import type { Turning } from '#core/travel/unwinding'
import { useSelection } from '../../stores/selection'
import { useUnwinding } from '../../stores/unwinding'
import CheckBar from './CheckBar.vue'

const unwinding = useUnwinding()
const selection = useSelection()

const scopes = computed(() => [
  { key: 'list' as const, name: 'all heads' },
  {
    key: 'fixtures' as const,
    name: selection.order.size > 0 ? `${selection.order.size} selected` : 'selected',
  },
])
const LINES: readonly { readonly key: keyof Turning; readonly name: string; readonly unit: string; digits: number }[] =
  [
    { key: 'longest', name: 'Longest move seen', unit: 's', digits: 1 },
    { key: 'seen', name: 'All moves seen', unit: 's', digits: 1 },
    { key: 'degrees', name: 'Turning in all', unit: '°', digits: 0 },
    { key: 'longWays', name: 'Moves past half round', unit: '', digits: 0 },
    { key: 'bent', name: 'Straight moves not kept', unit: '', digits: 0 },
  ]
const summary = computed(() => {
  if (unwinding.found === null || unwinding.part !== null) return ''
  if (unwinding.found.length === 0) return 'Every head turns as little as it can.'
  const { before, after } = unwinding.totals
  const saved = before.seen - after.seen
  const heads = counted(unwinding.found.length, 'head')
  if (saved > 0.05) return `${heads} would turn ${saved.toFixed(1)} s less while lit.`
  return `${heads} would go more as they are meant to.`
})
</script>

<template>
  <div class="flex flex-col">
    <header class="border-b border-rule px-4 py-3">
      <h2 class="text-xl font-semibold">Ways round</h2>
      <p class="text-sm text-mist">
        Most places can be lit two ways round or more. Over the whole list those are chosen that keep moves that are
        seen short and straight, and leave pan room to turn. The light goes where it goes now.
      </p>
      <p class="mt-1 text-shoal" role="status">{{ summary }}</p>
      <div v-if="unwinding.part !== null" class="mt-2 flex items-center gap-2">
        <CheckBar :part="unwinding.part" label="Looking for better ways" />
        <button type="button" class="chip px-1.5" @click="unwinding.putBack()">Stop</button>
      </div>
    </header>
    <section class="flex flex-col gap-2 border-b border-rule px-4 py-3" aria-label="What to look for">
      <SwitchField
        label="For which heads"
        :options="scopes"
        :value="unwinding.scope"
        @choose="(key) => (unwinding.scope = key)"
      />
      <label class="flex items-center gap-2 text-sm">
        <input v-model="unwinding.isFreed" type="checkbox" class="accent-coral" />Also those chosen by hand in a cue
      </label>
      <div class="mt-1 flex flex-wrap gap-1.5">
        <template v-if="unwinding.tried">
          <button type="button" class="chip border-coral text-coral" @click="unwinding.keep()">Keep</button>
          <button type="button" class="chip" @click="unwinding.putBack()">Put back</button>
        </template>
        <button v-else type="button" class="chip" :disabled="!unwinding.canLook" @click="unwinding.look()">
          Look for better ways
        </button>
      </div>
      <p v-if="!unwinding.canLook" class="text-sm text-coral">Select heads first.</p>
    </section>
    <table v-if="unwinding.found?.length" class="mx-4 my-3 text-sm">
      <caption class="sr-only">
        All these heads, before and after
      </caption>
      <thead class="text-right text-xs text-haze">
        <tr>
          <th scope="col" class="text-left font-normal">All these heads</th>
          <th scope="col" class="font-normal">now</th>
          <th scope="col" class="font-normal">then</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ key, name, unit, digits } in LINES" :key="key" class="border-t border-rule/60">
          <th scope="row" class="py-1 text-left font-normal text-mist">{{ name }}</th>
          <td class="text-right font-mono">{{ unwinding.totals.before[key].toFixed(digits) }} {{ unit }}</td>
          <td class="text-right font-mono text-shoal">{{ unwinding.totals.after[key].toFixed(digits) }} {{ unit }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
