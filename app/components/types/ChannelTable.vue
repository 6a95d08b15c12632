<script setup lang="ts">
/** The channels of one mode and what each does over its levels, with what is wrong at its row. */
import { computed, shallowRef } from 'vue'
import { roleName } from '#core/attributes/channelRole'
import { channelAfter, functionAfter, laidOutChannels, repeatedForCells } from '#core/patch/channelLayout'
import { footprint, placesOf } from '#core/patch/span'
import { modeFaults } from '#core/patch/modeCheck'
import type { Channel, FixtureType } from '#core/show/entities'
import { channelRows, rolesFor, typedInto, type ChannelRow } from '../../composables/rig/channelRows'
import type { GridColumn } from '../../composables/table/gridColumn'
import { shortNumber } from '#core/show/shortNumber'
import GridTable from '../grid/GridTable.vue'
import ChannelDetail from './ChannelDetail.vue'

const props = defineProps<{
  type: FixtureType
  mode: string
  channels: readonly Channel[]
  keep: (channels: Channel[], row: number | null) => Promise<string | null>
}>()
const selected = shallowRef<ReadonlySet<string>>(new Set())

const rows = computed(() => channelRows(props.channels))
const faults = computed(() => modeFaults(props.type, props.channels))
const faultsOf = ({ index, part }: ChannelRow) =>
  faults.value.filter((fault) => fault.row === index && (fault.part ?? 0) === part)
const whole = computed(() => faults.value.filter(({ row }) => row === null))
/** What is wrong with the whole, then the first of what is wrong in its rows: they may be out of view. */
const said = computed(() => {
  const first = faults.value.find(({ row, severity }) => row !== null && severity === 'wrong')
  const name = props.channels[first?.row ?? -1]?.name
  const inRows = first && name !== undefined ? [`${name} ${first.message}`] : []
  return [...whole.value.map(({ message }) => message), ...inRows]
})
const wrong = computed(() => faults.value.filter(({ severity }) => severity === 'wrong').length)
const roles = computed(() => rolesFor(props.type))
/** The channels something of which is selected. */
const chosen = computed(() => new Set(rows.value.filter(({ id }) => selected.value.has(id)).map(({ index }) => index)))
const only = computed(() => {
  const [id, more] = [...selected.value]
  return more === undefined ? (rows.value.find((row) => row.id === id) ?? null) : null
})

type Number = 'coarse' | 'rest'
/** A number of the channel stands in its first row only. */
function ofChannel(key: Number, name: string, width: number): GridColumn<ChannelRow> {
  return {
    key,
    name,
    width,
    isNumber: true,
    edit: 'text',
    text: ({ channel, part }) => (part > 0 ? '' : shortNumber(channel[key], 3)),
    rank: ({ channel }) => channel[key],
  }
}
function ofFunction(key: 'from' | 'to', name: string): GridColumn<ChannelRow> {
  return {
    key,
    name,
    width: 52,
    isNumber: true,
    edit: 'text',
    text: ({ does }) => shortNumber(does[key], 3),
    rank: ({ does }) => does[key],
  }
}
const ofCell: GridColumn<ChannelRow> = {
  key: 'cell',
  name: 'Cell',
  width: 46,
  isNumber: true,
  edit: 'text',
  text: ({ channel, part }) => (part > 0 ? '' : String(channel.cell ?? '')),
  rank: ({ channel }) => channel.cell ?? 0,
}
const columns = computed<readonly GridColumn<ChannelRow>[]>(() => [
  {
    key: 'name',
    name: 'Name',
    width: 112,
    edit: 'text',
    text: ({ channel, part, does }) => (part === 0 ? channel.name : does.name || '·'),
    rank: ({ index, part }) => index * 1000 + part,
  },
  {
    key: 'does',
    name: 'Drives',
    width: 112,
    edit: roles.value.map(roleName),
    text: ({ does }) => roleName(does.does),
  },
  ...(props.type.cells ? [ofCell] : []),
  ofChannel('coarse', 'Channel', 58),
  {
    key: 'fine',
    name: 'Fine',
    width: 52,
    isNumber: true,
    edit: 'text',
    text: ({ channel, part }) => (part > 0 ? '' : placesOf(channel).slice(1).join(' ')),
    rank: ({ channel }) => channel.fine,
  },
  {
    key: 'levels',
    name: 'Levels',
    width: 76,
    edit: 'text',
    text: ({ does }) => `${does.first}–${does.last}`,
    rank: ({ does }) => does.first,
  },
  ofFunction('from', 'From'),
  ofFunction('to', 'To'),
  ofChannel('rest', 'Rest', 50),
  {
    key: 'check',
    name: 'Check',
    width: 118,
    text: (row) =>
      faultsOf(row)
        .map(({ message }) => message)
        .join('; '),
    trouble: (row) => faultsOf(row).find(({ severity }) => severity === 'wrong')?.message ?? null,
  },
])

async function commitCell(ids: readonly string[], column: string, text: string): Promise<string | null> {
  const next = [...props.channels]
  const typed = rows.value.filter(({ id }) => ids.includes(id))
  for (const row of typed) {
    const channel = next[row.index]
    const made = channel && typedInto({ ...row, channel }, column, text, roles.value)
    if (typeof made === 'string') return made
    if (made) next[row.index] = made
  }
  return props.keep(next, typed[0]?.index ?? null)
}

const change = (index: number, channel: Channel) =>
  props.keep(
    props.channels.map((known, i) => (i === index ? channel : known)),
    index,
  )

function add() {
  void props.keep([...props.channels, channelAfter(props.channels)], props.channels.length)
}
const nextFunction = computed(() => only.value && functionAfter(only.value.channel))
function addFunction() {
  const [row, next] = [only.value, nextFunction.value]
  if (row && next) void change(row.index, { ...row.channel, functions: [...row.channel.functions, next] })
}
/** What drives the first cell, once for each. */
function repeat() {
  void props.keep(repeatedForCells(props.channels, props.type.cells?.count ?? 0), null)
}
function layOut() {
  void props.keep(laidOutChannels(props.channels), null)
}

/** Functions go by themselves; a channel goes with its first. */
function remove() {
  const gone = rows.value.filter(({ id }) => selected.value.has(id))
  const left = props.channels.flatMap((channel, index) => {
    const parts = gone.filter((row) => row.index === index).map(({ part }) => part)
    if (parts.includes(0)) return []
    return [{ ...channel, functions: channel.functions.filter((_, part) => !parts.includes(part)) }]
  })
  if (left.length === 0) return
  void props.keep(left, null)
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
        <button type="button" class="chip whitespace-nowrap" @click="add">Add a channel</button>
        <button
          type="button"
          class="chip whitespace-nowrap"
          :disabled="!nextFunction"
          title="Another thing the selected channel does, over the levels that are left"
          @click="addFunction"
        >
          Add levels
        </button>
        <button
          type="button"
          class="chip whitespace-nowrap"
          title="One after the other, in the order they stand"
          @click="layOut"
        >
          Lay out
        </button>
        <button
          v-if="type.cells"
          type="button"
          class="chip whitespace-nowrap"
          :disabled="!channels.some(({ cell }) => cell === 1)"
          title="The channels of the first cell once for each cell, in place of what the others have"
          @click="repeat"
        >
          Repeat cell 1
        </button>
        <button
          type="button"
          class="chip whitespace-nowrap"
          :disabled="selected.size === 0 || chosen.size === channels.length"
          @click="remove"
        >
          Take out {{ selected.size || '' }}
        </button>
      </template>
    </GridTable>
    <ChannelDetail
      v-if="only"
      :key="only.id"
      class="mt-1.5"
      :row="only"
      :channels="channels"
      :type="type"
      :keep="(channel) => change(only?.index ?? 0, channel)"
    />
    <p class="mt-1.5 text-sm" role="status" :class="wrong ? 'text-coral' : whole.length ? 'text-mist' : 'text-kelp'">
      {{ footprint({ channels: [...channels] }) }} channels.
      {{ faults.length === 0 ? 'Nothing overlaps and nothing needed is left out.' : said.join('; ') }}
    </p>
  </div>
</template>
