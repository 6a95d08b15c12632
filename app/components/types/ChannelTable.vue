<script setup lang="ts">
/** The channels of one mode, with what is wrong with them at their row. */
import { computed, shallowRef } from 'vue'
import { channelAfter, laidOutChannels } from '#core/patch/channelLayout'
import { footprint } from '#core/patch/span'
import { modeFaults, roleInWords } from '#core/patch/modeCheck'
import type { Channel, FixtureType } from '#core/show/entities'
import { CHANNEL_ROLES } from '#core/show/families'
import type { GridColumn } from '../../composables/table/gridColumn'
import { NOT_A_NUMBER, numberTyped, shortNumber } from '../../composables/forms/numbers'
import GridTable from '../grid/GridTable.vue'

interface Row {
  readonly id: string
  readonly index: number
  readonly channel: Channel
}

const props = defineProps<{
  type: FixtureType
  mode: string
  channels: readonly Channel[]
  keep: (channels: Channel[], row: number | null) => Promise<string | null>
}>()
const selected = shallowRef<ReadonlySet<string>>(new Set())

const rows = computed<Row[]>(() => props.channels.map((channel, index) => ({ id: String(index), index, channel })))
const faults = computed(() => modeFaults(props.type, props.channels))
const faultsOf = (index: number) => faults.value.filter(({ row }) => row === index)
const whole = computed(() => faults.value.filter(({ row }) => row === null))
const wrong = computed(() => faults.value.filter(({ severity }) => severity === 'wrong').length)
const roleByName = new Map(CHANNEL_ROLES.map((role) => [roleInWords(role), role] as const))

function measured(key: 'coarse' | 'fine' | 'from' | 'to' | 'rest', name: string): GridColumn<Row> {
  return {
    key,
    name,
    width: 62,
    isNumber: true,
    edit: 'text',
    text: ({ channel }) => (channel[key] === null ? '' : shortNumber(channel[key], 3)),
    rank: ({ channel }) => channel[key],
  }
}
const columns: readonly GridColumn<Row>[] = [
  { key: 'name', name: 'Name', width: 150, edit: 'text', text: ({ channel }) => channel.name },
  {
    key: 'does',
    name: 'Drives',
    width: 130,
    edit: [...roleByName.keys()],
    text: ({ channel }) => roleInWords(channel.does),
  },
  measured('coarse', 'Channel'),
  measured('fine', 'Fine'),
  measured('from', 'From'),
  measured('to', 'To'),
  measured('rest', 'Rest'),
  {
    key: 'check',
    name: 'Check',
    width: 230,
    text: ({ index }) =>
      faultsOf(index)
        .map(({ message }) => message)
        .join('; '),
    trouble: ({ index }) => faultsOf(index).find(({ severity }) => severity === 'wrong')?.message ?? null,
  },
]

function changed(channel: Channel, column: string, text: string): Channel | string {
  if (column === 'name') return { ...channel, name: text }
  if (column === 'does') return { ...channel, does: roleByName.get(text) ?? channel.does }
  if (column === 'fine' && text.trim() === '') return { ...channel, fine: null }
  const value = numberTyped(text)
  return value === null ? NOT_A_NUMBER : { ...channel, [column]: value }
}

async function commitCell(ids: readonly string[], column: string, text: string): Promise<string | null> {
  const next = [...props.channels]
  for (const id of ids) {
    const index = Number(id)
    const channel = next[index]
    const made = channel && changed(channel, column, text)
    if (typeof made === 'string') return made
    if (made) next[index] = made
  }
  return props.keep(next, Number(ids[0]))
}

function add() {
  void props.keep([...props.channels, channelAfter(props.channels)], props.channels.length)
}
function layOut() {
  void props.keep(laidOutChannels(props.channels), null)
}
function remove() {
  void props.keep(
    props.channels.filter((_, i) => !selected.value.has(String(i))),
    null,
  )
  selected.value = new Set()
}
</script>

<template>
  <div>
    <GridTable
      class="h-72 rounded-lg border border-rule"
      :label="`Channels of ${mode}`"
      :rows="rows"
      :columns="columns"
      :selected="selected"
      :keep="commitCell"
      empty="No channels."
      @select="(ids) => (selected = new Set(ids))"
      @remove="remove"
    >
      <template #bar>
        <button type="button" class="chip" @click="add">Add a channel</button>
        <button type="button" class="chip" title="One after the other, in the order they stand" @click="layOut">
          Lay out in order
        </button>
        <button
          type="button"
          class="chip"
          :disabled="selected.size === 0 || selected.size === channels.length"
          @click="remove"
        >
          Take out {{ selected.size || '' }}
        </button>
      </template>
    </GridTable>
    <p class="mt-1.5 text-sm" role="status" :class="wrong ? 'text-coral' : whole.length ? 'text-mist' : 'text-kelp'">
      {{ footprint({ channels: [...channels] }) }} channels.
      {{
        faults.length === 0
          ? 'Nothing overlaps and nothing needed is left out.'
          : whole.map(({ message }) => message).join('; ')
      }}
    </p>
  </div>
</template>
