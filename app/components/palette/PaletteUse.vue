<script setup lang="ts">
/** Where a palette is used: cues, palettes made of it, groups it serves, and what it stands for. */
import { computed } from 'vue'
import { listsInOrder } from '#core/cues/tracking'
import { groupsInOrder } from '#core/groups/groups'
import { madeOf } from '#core/show/links'
import { missingHere } from '#core/palettes/placed'
import { numbersInWords } from '#core/selection/written'
import { cuesUsing, palettesWithin, servedBy } from '#core/palettes/use'
import type { PaletteId } from '#core/show/ids'
import { showRecordOf, type Show } from '#core/show/show'
import { useShelfView } from '../../stores/shelfView'
import { useShow } from '../../stores/show'
import { counted } from '#core/show/counted'

const props = defineProps<{ show: Show; id: PaletteId }>()
const store = useShow()
const shelves = useShelfView()

const cues = computed(() => {
  const using = new Set<string>(cuesUsing(props.show, props.id))
  return listsInOrder(props.show)
    .map(({ id, list, cues: inList }) => ({ id, name: list.name, cues: inList.filter((cue) => using.has(cue.id)) }))
    .filter((list) => list.cues.length > 0)
})
const named = (ids: readonly PaletteId[]) =>
  ids.flatMap((id) => {
    const palette = props.show.all.palette.get(id)
    return palette ? [{ id, palette }] : []
  })
const parts = computed(() => named(palettesWithin(props.show, props.id)))
const wholes = computed(() => named(madeOf(props.show, props.id)))
const groups = computed(() => {
  const served = new Set<string>(servedBy(props.show, props.id).map(({ id }) => id))
  return groupsInOrder(props.show).flatMap(({ id, group, members }) => {
    const count = members.filter((member) => served.has(member)).length
    return count > 0 ? [{ id, name: group.name, count, of: members.length }] : []
  })
})
/** Those it is meant for that do not hang in the venue in play. */
const missing = computed(() => missingHere(props.show, props.id))
const roles = computed(() => {
  const { rest, highlight } = showRecordOf(props.show)
  return { rest: rest === props.id, highlight: highlight === props.id }
})
const ROLES = { rest: 'Everything rests at it', highlight: 'Highlight shows it' } as const

function setRole(role: 'rest' | 'highlight') {
  void store.send('setPaletteRole', { role, palette: roles.value[role] ? null : props.id })
}
</script>

<template>
  <section class="flex flex-col gap-2 px-3 py-2.5" aria-labelledby="use-title">
    <h3 id="use-title" class="font-semibold">Where it is used</h3>
    <p v-if="cues.length === 0" class="text-sm text-haze">No cue uses it yet.</p>
    <div v-for="list in cues" :key="list.id">
      <p class="text-sm text-mist">{{ list.name }}, {{ counted(list.cues.length, 'cue') }}</p>
      <p class="flex flex-wrap gap-1">
        <NuxtLink
          v-for="cue in list.cues"
          :key="cue.id"
          class="chip px-1.5 py-0 font-mono"
          :to="{ path: `/shows/${show.id}/cues`, query: { cue: cue.id } }"
          :title="cue.cue.name"
          >{{ cue.cue.number }}</NuxtLink
        >
      </p>
    </div>
    <template v-for="(list, title) in { 'Made of': parts, 'Part of': wholes }" :key="title">
      <div v-if="list.length">
        <p class="text-sm text-mist">{{ title }}</p>
        <p class="flex flex-wrap gap-1">
          <button
            v-for="other in list"
            :key="other.id"
            type="button"
            class="chip max-w-full truncate px-1.5 py-0"
            @click="shelves.look(other.id)"
          >
            {{ other.palette.number }} {{ other.palette.name }}
          </button>
        </p>
      </div>
    </template>
    <p v-if="groups.length" class="text-sm text-mist">
      Serves
      <span v-for="(group, i) in groups" :key="group.id"
        >{{ i > 0 ? ', ' : '' }}{{ group.name }}
        <span class="text-haze">{{ group.count === group.of ? 'all' : `${group.count} of ${group.of}` }}</span></span
      >.
    </p>
    <p v-if="missing.length" class="text-sm text-brass">Plays here without {{ numbersInWords(show, missing) }}.</p>
    <div class="flex gap-1.5">
      <button
        v-for="(name, role) in ROLES"
        :key="role"
        type="button"
        class="chip flex-1 py-0.5"
        :class="roles[role] ? 'chip-on' : ''"
        :aria-pressed="roles[role]"
        @click="setRole(role)"
      >
        {{ name }}
      </button>
    </div>
  </section>
</template>
