<script setup lang="ts">
/** One output: on or off, its grand master and black-out, what it sends and where to. */
import { computed, ref, watch } from 'vue'
import type { CommandInput } from '#core/commands/registry'
import { PROTOCOLS, SENT_NUMBERS, type Output } from '#core/show/entities'
import type { OutputId } from '#core/show/ids'
import { useCommit } from '../../composables/forms/useCommit'
import { sentInWords } from '../../composables/output/outputWords'
import { useInterfaces } from '../../composables/output/useInterfaces'
import { useShow } from '../../stores/show'
import RemovalBox from '../rig/RemovalBox.vue'
import GrandMaster from './GrandMaster.vue'

const props = defineProps<{ id: OutputId; output: Output }>()
const store = useShow()
const { keep } = useCommit()
const froms = useInterfaces(() => props.output.from)
const isRemoving = ref(false)
watch(
  () => props.id,
  () => (isRemoving.value = false),
)

type Fields = Omit<CommandInput<'changeOutput'>, 'output'>
const change = (fields: Fields) => keep('changeOutput', { output: props.id, ...fields })
const PROTOCOL_OPTIONS = PROTOCOLS.map((key) => ({ key, name: key }))
/** The other protocol counts from another number: universes keep theirs. */
function chooseProtocol(protocol: Output['protocol']) {
  const shift = SENT_NUMBERS[protocol].least - SENT_NUMBERS[props.output.protocol].least
  void change({ protocol, sentAs: props.output.sentAs + shift })
}
function keepAddresses(text: string) {
  const addresses = text.split(/[\s,;]+/).filter((part) => part !== '')
  return change({ addresses })
}
const keepSync = (text: string) => {
  const typed = text.trim()
  return change({ sync: typed === '' ? null : Number(typed) })
}
const isE131 = computed(() => props.output.protocol === 'E1.31')
</script>

<template>
  <section class="flex flex-col gap-3 p-4" :aria-label="output.name">
    <div class="flex items-center gap-2">
      <h2 class="min-w-0 truncate text-lg font-semibold">{{ output.name }}</h2>
      <button
        type="button"
        role="switch"
        class="ml-auto shrink-0"
        :class="output.isOn ? 'main-button py-1' : 'quiet-button py-1'"
        :aria-checked="output.isOn"
        @click="store.send('changeOutput', { output: id, isOn: !output.isOn })"
      >
        {{ output.isOn ? 'On' : 'Off' }}
      </button>
    </div>
    <GrandMaster :id="id" :output="output" />
    <div class="border-t border-rule pt-3" />
    <TextField label="Name" :shown="output.name" :keep="(name) => change({ name })" />
    <SwitchField
      class="self-start"
      label="Protocol"
      :options="PROTOCOL_OPTIONS"
      :value="output.protocol"
      @choose="chooseProtocol"
    />
    <div class="grid grid-cols-3 gap-2">
      <NumberField label="Universes from" unit="" :value="output.first" :keep="(first) => change({ first })" />
      <NumberField label="to" unit="" :value="output.last" :keep="(last) => change({ last })" />
      <NumberField label="sent as from" unit="" :value="output.sentAs" :keep="(sentAs) => change({ sentAs })" />
    </div>
    <p class="text-sm text-mist">They go out as {{ sentInWords(output) }}.</p>
    <ChoiceField label="Network interface" :value="output.from" :options="froms" :keep="(from) => change({ from })" />
    <TextField
      label="To these addresses"
      :shown="output.addresses.join(', ')"
      :placeholder="isE131 ? 'everyone, by multicast' : 'everyone, by broadcast'"
      :keep="keepAddresses"
    />
    <div v-if="isE131" class="grid grid-cols-2 gap-2">
      <NumberField
        label="Priority, 0 to 200"
        unit=""
        :value="output.priority"
        :keep="(priority) => change({ priority })"
      />
      <TextField
        label="Synchronised by"
        :shown="output.sync === null ? '' : String(output.sync)"
        placeholder="no universe"
        :keep="keepSync"
      />
    </div>
    <TextField
      v-if="isE131"
      label="Source name"
      :shown="output.sourceName"
      :keep="(sourceName) => change({ sourceName })"
    />
    <label v-else class="flex items-center gap-2 text-sm">
      <input
        type="checkbox"
        class="accent-coral"
        :checked="output.sync !== null"
        @change="store.send('changeOutput', { output: id, sync: output.sync === null ? 1 : null })"
      />
      Receivers show all universes together
    </label>
    <RemovalBox
      v-if="isRemoving"
      :title="`Delete ${output.name}`"
      :warning="output.isOn ? 'It is on: receivers are told that it ends.' : 'Nothing goes out by it any more.'"
      act="Delete"
      :remove="() => keep('deleteOutput', { output: id })"
      @back="isRemoving = false"
      @done="isRemoving = false"
    />
    <button v-else type="button" class="chip self-start" @click="isRemoving = true">Delete</button>
  </section>
</template>
