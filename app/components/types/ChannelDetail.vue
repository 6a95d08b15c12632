<script setup lang="ts">
/** What the table of channels has no column for, of the channel and the function selected in it. */
import { computed } from 'vue'
import { attributeName, isNumberAttribute } from '#core/attributes/attribute'
import { canSpin as canTurn } from '#core/attributes/channelRole'
import { wheelOf } from '#core/show/attributeRange'
import { DIMMER_CURVES, type Channel, type FixtureType } from '#core/show/entities'
import { withFunction, type ChannelRow } from '../../composables/rig/channelRows'

const props = defineProps<{
  row: ChannelRow
  channels: readonly Channel[]
  type: FixtureType
  keep: (channel: Channel) => Promise<string | null>
}>()

const CURVES = DIMMER_CURVES.map((key) => ({ key, name: key }))
const ITSELF = ''
const followed = computed(() => [
  { key: ITSELF, name: 'nothing' },
  ...props.channels.filter((_, i) => i !== props.row.index).map(({ name }) => ({ key: name, name })),
])
/** Slots the function may be bound to. */
const ALWAYS = ''
const slots = computed(() => [
  { key: ALWAYS, name: 'always' },
  ...props.type.has.filter(isNumberAttribute).flatMap((attribute) =>
    (wheelOf(props.type, attribute)?.slots ?? []).map((slot, number) => ({
      key: `${attribute} ${number}`,
      name: `${attributeName(attribute)}: ${slot.name}`,
    })),
  ),
])
const bound = computed(() => {
  const { when } = props.row.does
  return when ? `${when.attribute} ${when.number}` : ALWAYS
})
const canSpin = computed(() => canTurn(props.row.does.does))

const set = (change: Partial<Channel>) => props.keep({ ...props.row.channel, ...change })
const setFunction = (change: Partial<ChannelRow['does']>) =>
  props.keep(withFunction(props.row.channel, props.row.part, change))
function bind(key: string) {
  const attribute = props.type.has.find((one) => key.startsWith(`${one} `))
  const number = Number(key.split(' ')[1])
  return setFunction({ when: attribute && isNumberAttribute(attribute) ? { attribute, number } : null })
}
</script>

<template>
  <fieldset
    class="flex flex-wrap items-end gap-2 rounded-lg border border-rule bg-plank px-3 py-2"
    :aria-label="`More of ${row.channel.name}`"
  >
    <ChoiceField
      class="w-36"
      label="Curve"
      :value="row.channel.curve"
      :options="CURVES"
      :keep="(curve) => set({ curve })"
    />
    <ChoiceField
      class="w-36"
      label="Follows"
      :value="row.channel.follows ?? ITSELF"
      :options="followed"
      :keep="(name) => set({ follows: name === ITSELF ? null : name })"
    />
    <ChoiceField class="w-44" label="Only at" :value="bound" :options="slots" :keep="bind" />
    <NumberField
      class="w-24"
      label="Highlight"
      unit=""
      placeholder="as it is"
      :value="row.channel.highlight"
      :keep="(highlight) => set({ highlight })"
    />
    <button
      v-for="{ name, isOn, turn } in [
        { name: 'Goes down with intensity', isOn: row.channel.dims, turn: () => set({ dims: !row.channel.dims }) },
        { name: 'Goes over at once', isOn: row.channel.snaps, turn: () => set({ snaps: !row.channel.snaps }) },
      ]"
      :key="name"
      type="button"
      class="chip"
      :class="isOn ? 'chip-on' : ''"
      :aria-pressed="isOn"
      @click="turn"
    >
      {{ name }}
    </button>
    <button
      v-if="canSpin"
      type="button"
      class="chip"
      :class="row.does.spins ? 'chip-on' : ''"
      :aria-pressed="row.does.spins"
      @click="setFunction({ spins: !row.does.spins })"
    >
      Spins, rpm
    </button>
  </fieldset>
</template>
