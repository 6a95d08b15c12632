<script setup lang="ts">
/** What controls say and what became of it, those that were learnt, and the addresses everybody has. */
import { computed } from 'vue'
import type { ControlsStatus, Said } from '#core/control/said'
import { shortNumber } from '#core/show/shortNumber'
import { asControlBindingId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { bindingInWords, KNOWN_ADDRESSES } from '../../composables/output/controlWords'
import { useShow } from '../../stores/show'

const props = defineProps<{ show: Show; status: ControlsStatus | null }>()
const store = useShow()
const said = computed(() => [...(props.status?.said ?? [])].reverse())
const clock = new Intl.DateTimeFormat('en-GB', { timeStyle: 'medium' })
const withWhat = ({ args }: Said) =>
  args.map((one) => (typeof one === 'number' ? shortNumber(one, 3) : String(one))).join(' ')
const learnt = computed(() =>
  [...props.show.all.controlBinding]
    .map(([id, binding]) => ({ id: asControlBindingId(id), ...binding, words: bindingInWords(props.show, binding) }))
    .sort((a, b) => a.address.localeCompare(b.address)),
)
</script>

<template>
  <div class="grid min-h-0 grid-rows-[minmax(0,1fr)_minmax(0,0.9fr)]">
    <section class="flex min-h-0 flex-col" aria-label="What controls say">
      <p v-if="said.length === 0" class="m-auto max-w-md p-6 text-center text-mist">
        Nothing was said yet. Turn listening on and move a control: what it says, and what that does, is seen here.
      </p>
      <div v-else class="min-h-0 flex-1 overflow-y-auto px-4 py-2" tabindex="0" aria-label="Messages">
        <table class="w-full table-fixed text-sm">
          <caption class="sr-only">
            Messages, the newest first
          </caption>
          <thead class="text-left text-xs text-haze">
            <tr>
              <th class="w-20 font-normal">at</th>
              <th class="w-24 font-normal">from</th>
              <th class="w-48 font-normal">address</th>
              <th class="w-16 font-normal">with</th>
              <th class="font-normal">did</th>
            </tr>
          </thead>
          <tbody class="align-top">
            <tr v-for="one in said" :key="one.id">
              <td class="py-0.5 font-mono text-haze">{{ clock.format(one.at) }}</td>
              <td class="font-mono text-haze">{{ one.from }}</td>
              <td class="truncate pr-2 font-mono" :title="one.address">{{ one.address }}</td>
              <td class="truncate pr-2 font-mono text-mist">{{ withWhat(one) }}</td>
              <td :class="one.why ? 'text-coral' : 'text-mist'">{{ one.why ?? one.did ?? '–' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="status && status.leftOut > 0" class="px-4 py-1 text-sm text-brass">
        {{ status.leftOut }} packets were left out: they are no OSC, or came too fast.
      </p>
    </section>
    <div class="grid min-h-0 grid-cols-[minmax(0,2fr)_minmax(0,3fr)] border-t border-rule bg-deck">
      <section class="min-h-0 overflow-y-auto px-4 py-3" tabindex="0" aria-label="Learnt controls">
        <h2 class="font-semibold">Learnt</h2>
        <p v-if="learnt.length === 0" class="mt-1 text-sm text-mist">
          No control was learnt. Press Learn on the right, move a fader or press a button, and say what it does.
        </p>
        <table v-else class="mt-1 w-full text-sm">
          <tbody>
            <tr v-for="one in learnt" :key="one.id">
              <th class="max-w-36 truncate py-0.5 pr-2 text-left font-mono font-normal">{{ one.address }}</th>
              <td class="text-mist">{{ one.words }}</td>
              <td class="text-right">
                <button
                  type="button"
                  class="text-xs text-mist underline"
                  :aria-label="`Forget ${one.address}`"
                  @click="store.send('unbindControls', { bindings: [one.id] })"
                >
                  forget
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </section>
      <section class="min-h-0 overflow-y-auto border-l border-rule px-4 py-3" tabindex="0" aria-label="Addresses">
        <h2 class="font-semibold">Addresses everybody has</h2>
        <table class="mt-1 w-full text-sm">
          <tbody class="align-baseline">
            <tr v-for="one in KNOWN_ADDRESSES" :key="one.address">
              <th class="py-0.5 pr-2 text-left font-mono font-normal whitespace-nowrap">{{ one.address }}</th>
              <td class="pr-2 font-mono text-xs whitespace-nowrap text-haze">{{ one.comes }}</td>
              <td class="text-mist">{{ one.does }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
  </div>
</template>
