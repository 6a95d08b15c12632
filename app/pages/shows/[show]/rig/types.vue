<script setup lang="ts">
/** The fixture types of the show. */
import { Download, Plus, Upload } from '@lucide/vue'
import { computed, ref } from 'vue'
import { asFixtureTypeId, type FixtureTypeId } from '#core/show/ids'
import { nextName } from '#core/show/freeNames'
import { BLANK, draftOf, type TypeDraft } from '../../../../composables/rig/useTypeDraft'
import { useDialogs } from '../../../../stores/dialogs'
import { useProposal } from '../../../../stores/proposal'
import { useShow } from '../../../../stores/show'
import FixtureGlyph from '../../../../components/stage/FixtureGlyph.vue'
import TypeEditor from '../../../../components/types/TypeEditor.vue'

const store = useShow()
const dialogs = useDialogs()
const proposal = useProposal()
const route = useRoute()
const picked = ref<FixtureTypeId | null>(null)
const fresh = ref<TypeDraft | null>(null)

const types = computed(() => {
  const show = store.view
  if (!show) return []
  const count = new Map<string, number>()
  for (const { type } of show.all.fixture.values()) if (type) count.set(type, (count.get(type) ?? 0) + 1)
  return [...show.all.fixtureType]
    .map(([id, type]) => ({ id: asFixtureTypeId(id), type, fixtures: count.get(id) ?? 0 }))
    .sort((a, b) => `${a.type.maker} ${a.type.name}`.localeCompare(`${b.type.maker} ${b.type.name}`))
})
const shown = computed(() => {
  const wanted = picked.value ?? route.query['type']
  return types.value.find(({ id }) => id === wanted) ?? types.value[0] ?? null
})
const stored = computed(() => {
  const show = store.view
  return show && shown.value && draftOf(show, shown.value.id)
})

function begin(from: TypeDraft) {
  const taken = types.value.map(({ type }) => type.name)
  const name = taken.includes(from.name) ? nextName(from.name, taken) : from.name
  fresh.value = { ...from, name, modes: from.modes.map((mode) => ({ ...mode, id: null })) }
}
function lookAt(id: FixtureTypeId) {
  fresh.value = null
  picked.value = id
}
function added(name: string) {
  fresh.value = null
  picked.value = types.value.find(({ type }) => type.name === name)?.id ?? null
}
</script>

<template>
  <main v-if="store.view" class="relative grid min-h-0 grid-cols-[220px_minmax(0,1fr)]">
    <nav class="flex min-h-0 flex-col gap-1 overflow-y-auto border-r border-rule bg-deck p-3" aria-label="Types">
      <button
        v-for="{ id, type, fixtures } in types"
        :key="id"
        type="button"
        class="flex items-center gap-2 rounded-md px-2 py-1.5 text-left"
        :class="!fresh && id === shown?.id ? 'bg-plank-2' : 'hover:bg-plank'"
        :aria-current="!fresh && id === shown?.id"
        @click="lookAt(id)"
      >
        <svg viewBox="-11 -11 22 22" width="22" height="22" aria-hidden="true">
          <FixtureGlyph :form="type.form" class="fill-night stroke-mist" stroke-width="1.4" />
        </svg>
        <span class="min-w-0 flex-1">
          <span class="block truncate">{{ type.name }}</span>
          <span class="block truncate text-xs text-haze">{{ type.maker }}</span>
        </span>
        <span class="font-mono text-sm text-haze" :title="`${fixtures} fixtures`">{{ fixtures }}</span>
      </button>
      <p v-if="fresh" class="rounded-md bg-plank-2 px-2 py-1.5">
        {{ fresh.name }} <span class="text-xs text-haze">new</span>
      </p>
      <button type="button" class="chip mt-1 flex items-center gap-1.5" @click="begin(BLANK)">
        <Plus :size="14" />New type
      </button>
      <button type="button" class="chip flex items-center gap-1.5" @click="dialogs.open = 'rig file'">
        <Upload :size="14" />Open a type file
      </button>
      <a
        v-if="!fresh && shown"
        class="chip flex items-center gap-1.5"
        :href="`/api/shows/${store.view.id}/types/${shown.id}`"
        download
      >
        <Download :size="14" />Write {{ shown.type.name }} (GDTF)
      </a>
    </nav>
    <TypeEditor
      v-if="fresh"
      key="fresh"
      :show="store.view"
      :type="null"
      :stored="fresh"
      @added="added"
      @leave="fresh = null"
    />
    <TypeEditor
      v-else-if="shown && stored"
      :key="shown.id"
      :show="store.view"
      :type="shown.id"
      :stored="stored"
      @copy="begin"
    />
    <p v-else class="m-5 grid place-items-center rounded-lg border border-dashed border-rule-2 text-mist">
      No types yet. A type says what a fixture can reach and how it listens.
    </p>
    <ProposalBar v-if="proposal.current" class="absolute inset-x-0 bottom-0" />
  </main>
</template>
