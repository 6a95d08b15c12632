<script setup lang="ts">
/** How controls are listened to, whose hand they change, who is told back, and learning one. */
import { computed } from 'vue'
import type { CommandInput } from '#core/commands/registry'
import type { ControlsStatus } from '#core/control/said'
import { controlLineOf } from '#core/show/controlLine'
import { asPersonId } from '#core/show/ids'
import type { Show } from '#core/show/show'
import { useCommit } from '../../composables/forms/useCommit'
import { useInterfaces } from '../../composables/output/useInterfaces'
import { useShow } from '../../stores/show'
import LearnForm from './LearnForm.vue'

const props = defineProps<{ show: Show; status: ControlsStatus | null }>()
const store = useShow()
const { keep } = useCommit()
const line = computed(() => controlLineOf(props.show))
const froms = useInterfaces(() => line.value.from)
const change = (fields: CommandInput<'setControlLine'>) => keep('setControlLine', fields)
const NOBODY = 'nobody'
const people = computed(() => [
  { key: NOBODY, name: NOBODY },
  ...[...props.show.all.person].map(([key, { name }]) => ({ key, name })),
])
const keepPerson = (key: string) => change({ person: key === NOBODY ? null : asPersonId(key) })
const keepAnswers = (text: string) => change({ answerTo: text.split(/[\s,;]+/).filter((part) => part !== '') })
const actsOn = computed(() => {
  const count = props.status?.selected ?? 0
  if (count === 0) return 'Nothing is selected for them.'
  return count === 1 ? 'They act on the fixture that is selected.' : `They act on the ${count} that are selected.`
})
</script>

<template>
  <section class="flex flex-col gap-3 p-4" aria-label="Listening to controls">
    <div class="flex items-center">
      <h2 class="text-lg font-semibold">Controls</h2>
      <button
        type="button"
        role="switch"
        class="ml-auto"
        :class="line.isOn ? 'main-button py-1' : 'quiet-button py-1'"
        :aria-checked="line.isOn"
        @click="store.send('setControlLine', { isOn: !line.isOn })"
      >
        {{ line.isOn ? 'On' : 'Off' }}
      </button>
    </div>
    <p v-if="status?.trouble" class="text-sm text-coral" role="alert">{{ status.trouble }}</p>
    <div class="grid grid-cols-[minmax(0,1fr)_80px] gap-2">
      <ChoiceField label="Network interface" :value="line.from" :options="froms" :keep="(from) => change({ from })" />
      <NumberField label="Port" unit="" :value="line.port" :keep="(port) => change({ port })" />
    </div>
    <ChoiceField label="They change the hand of" :value="line.person ?? NOBODY" :options="people" :keep="keepPerson" />
    <p v-if="line.isOn" class="text-sm text-mist">{{ actsOn }}</p>
    <div class="grid grid-cols-[minmax(0,1fr)_80px] gap-2">
      <TextField
        label="What happens is told to"
        :shown="line.answerTo.join(', ')"
        placeholder="nobody"
        :keep="keepAnswers"
      />
      <NumberField label="at port" unit="" :value="line.answerPort" :keep="(answerPort) => change({ answerPort })" />
    </div>
    <h3 class="border-t border-rule pt-3 font-semibold">Learn a control</h3>
    <LearnForm :show="show" :status="status" />
  </section>
</template>
